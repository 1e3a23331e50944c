import type { CupLoss } from '../batch';
import type { Computed } from '../plan/computed';
import type { Use } from '../shelf/stock';
import { weighedOf } from './actuals';
import type { RunState } from './state';

/** Everything a run took from the shelf, by stock key, at the moment it was weighed; what was begun again counts too. */
export const usesOf = (state: RunState): Use[] => {
  const took = state.tasks.flatMap(({ task, actual, doneAt }) =>
    task.kind === 'weigh' && actual !== undefined && doneAt !== undefined
      ? [{ task, grams: actual, at: doneAt }]
      : []
  );
  return [...took, ...state.wasted].flatMap(({ task, grams, at }): Use[] =>
    (task.takes ?? []).map(({ key, share }) => ({ key, grams: grams * share, at }))
  );
};

/** What one cavity of each group really took, ml, as the mean of what was weighed into it; groups weighed whole only. */
export function tookOf(computed: Computed, state: RunState): { groupId: string; ml: number }[] {
  return computed.groups.flatMap((group) => {
    const pours = state.tasks.filter(
      ({ task }) => task.kind === 'pour' && (task.strandId ?? task.groupId) === group.strandId
    );
    if (!pours.length || pours.some((t) => t.status !== 'done' || t.actual === undefined)) return [];
    const ml = pours.reduce((s, t) => {
      const cup = computed.cups.find((c) => t.task.kind === 'pour' && c.cupId === t.task.cupId);
      return cup && cup.density > 0 ? s + t.actual! / cup.density : s;
    }, 0);
    return [{ groupId: group.groupId, ml: ml / group.count }];
  });
}

/** What each cup lost, where it was weighed empty at the end: mixed, poured and left as they really were, g. */
export function lossesOf(computed: Computed, state: RunState): CupLoss[] {
  return computed.cups.flatMap((cup) => {
    const left = state.left.get(cup.cupId);
    const pours = state.tasks.filter((t) => t.task.kind === 'pour' && t.task.cupId === cup.cupId);
    if (left === undefined || !pours.length || pours.some((t) => t.actual === undefined)) return [];
    const mixed = cup.mixes.flatMap((m) =>
      m.weighings.filter((w) => w.kind !== 'reserve').map((w) => weighedOf(state, m.mixId, w.key) ?? 0)
    );
    return [
      {
        mixed: mixed.reduce((s, g) => s + g, 0) - cup.balance.reserved,
        poured: pours.reduce((s, t) => s + t.actual!, 0),
        left,
        vessel: cup.balance.vessel,
        baseId: cup.baseId
      }
    ];
  });
}
