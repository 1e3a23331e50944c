import { median } from '../../quantity';
import { debriefOf } from '../after/debrief';
import type { FrozenRun } from '../snapshot/frozen';
import type { RunState } from '../log/state';

/** Pours of a kind that must have been timed before the record says how long one takes. */
const ENOUGH = 3;

/** How long one cavity of a kind of act took in a run, minutes. */
export interface HandTime {
  kind: string;
  each: number;
}

/** What a run tells of the hands: each pour's minutes for one cavity, pauses left out. */
export function handTimesOf(frozen: FrozenRun, state: RunState): HandTime[] {
  const kindOf = new Map(frozen.file.plan.steps.map((s) => [s.id, s.act.kind]));
  return debriefOf(frozen, state).acts.flatMap(({ stepId, spent }) => {
    const kind = stepId === undefined ? undefined : kindOf.get(stepId);
    return kind === undefined || spent <= 0 ? [] : [{ kind, each: spent / 60 }];
  });
}

/** Minutes a cavity of each kind of act, as the median of what runs told; of kinds that three told of. */
export function learnedHands(told: readonly HandTime[]): Map<string, { each: number; times: number }> {
  const byKind = new Map<string, number[]>();
  for (const { kind, each } of told) byKind.set(kind, [...(byKind.get(kind) ?? []), each]);
  return new Map(
    [...byKind].flatMap(([kind, all]) => {
      if (all.length < ENOUGH) return [];
      return [[kind, { each: Number(median(all).toFixed(3)), times: all.length }] as const];
    })
  );
}
