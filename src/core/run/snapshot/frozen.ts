import { z } from 'zod';
import { PlanFile } from '../../plan/read';
import { Task } from '../tasks/task';
import { RunFigures } from './figures';
import { snapshotFrom1to2 } from './1to2';

/** A run as it was begun, version 2: its plan, its tasks, its figures, and the version of the rules that made them. */
const Frozen2 = z.object({
  version: z.literal(2),
  rules: z.number().int(),
  file: PlanFile,
  tasks: z.array(Task),
  computed: RunFigures
});
export type FrozenRun = z.output<typeof Frozen2>;

/** A frozen run of any version that was ever written, as version 2. */
export const FrozenRun = z.preprocess(snapshotFrom1to2, Frozen2);

/** The same without its plan file, which is stored beside it. */
export const FrozenParts = z.preprocess(snapshotFrom1to2, Frozen2.omit({ file: true }));
