import { z } from 'zod';
import type { Computed } from '../plan/computed';
import { PlanFile } from '../plan/read';
import { Task } from './tasks/task';

const list = z.array(z.looseObject({}));

/**
 * What a run keeps for good. The planned figures are the core's own result, written by the program that froze them:
 * what the screens and the record read is checked here, the rest is kept as it was.
 */
const Figures = z.looseObject({
  bases: z.array(
    z.looseObject({ baseId: z.string(), name: z.string(), states: list, stirMinutes: z.number() })
  ),
  groups: z.array(
    z.looseObject({
      groupId: z.string(),
      cavitySetId: z.string(),
      name: z.string(),
      count: z.number(),
      layers: list
    })
  ),
  cups: z.array(z.looseObject({ cupId: z.string(), name: z.string(), colour: z.string(), mixes: list })),
  common: list,
  totals: z.looseObject({ pieces: z.number() }),
  division: z.number().positive(),
  score: z.looseObject({ windows: list, gates: list, demould: list }),
  lines: list,
  letDowns: list,
  cautions: z.array(z.string())
});

/** A run as it was begun: its plan, its tasks, its figures, and the version of the rules that made them. */
export const FrozenRun = z.object({
  version: z.literal(1),
  rules: z.number().int(),
  file: PlanFile,
  tasks: z.array(Task),
  computed: Figures.transform((figures) => figures as unknown as Computed)
});
export type FrozenRun = z.infer<typeof FrozenRun>;
