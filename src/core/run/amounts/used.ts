import type { CupLoss } from '../../batch';
import type { RunFigures } from '../snapshot/figures';
import type { Use } from '../../shelf/stock';
import { weighedOf } from './actuals';
import { inOf, type RunState } from '../log/state';
import type { WeighTask } from '../tasks/task';

/**
 * Everything a run took from the shelf, by stock key, at the moment it was weighed; what was begun again, topped up or stirred
 * in later counts too. What was not read counts as it was aimed at.
 */
export const usesOf = (state: RunState): Use[] => {
  const took = state.tasks.flatMap((t) => {
    const grams = inOf(t);
    return t.task.kind === 'weigh' && grams !== undefined && t.doneAt !== undefined
      ? [{ task: t.task, grams, at: t.doneAt, instead: t.instead }]
      : [];
  });
  const lines = [...took, ...state.wasted].flatMap(({ task, grams, at, instead }): Use[] => {
    // Another pot than planned: known by its card, or else from no lot that is kept.
    if (instead) return instead.colourantId ? [{ key: `colourant:${instead.colourantId}`, grams, at }] : [];
    return (task.takes ?? []).map(({ key, share }) => ({ key, grams: grams * share, at }));
  });
  return [...lines, ...addedUses(state)];
};

/** What top-ups and liquid stirred in later took. */
function addedUses(state: RunState): Use[] {
  const takesOf = (of: string, key: string) => {
    const same = (t: WeighTask) => t.key === key && (t.mixId === of || t.cupId === of);
    const found = state.tasks.find((t) => t.task.kind === 'weigh' && same(t.task))?.task;
    return found?.kind === 'weigh' ? (found.takes ?? []) : [];
  };
  return state.mishaps.flatMap((m) => {
    const lines = m.lines ?? (m.part === undefined ? [] : [{ key: m.part, grams: m.grams }]);
    return lines.flatMap((l) =>
      takesOf(m.of, l.key).map(({ key, share }) => ({ key, grams: l.grams * share, at: m.at }))
    );
  });
}

/** What one cavity of each group really took, ml, as the mean of what was weighed into it; groups weighed whole only. */
export function tookOf(computed: RunFigures, state: RunState): { groupId: string; ml: number }[] {
  return computed.groups.flatMap((group) => {
    const pours = state.tasks.filter(
      ({ task }) => task.kind === 'pour' && (task.cavitySetId ?? task.groupId) === group.cavitySetId
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
export function lossesOf(computed: RunFigures, state: RunState): CupLoss[] {
  return computed.cups.flatMap((cup) => {
    const left = state.left.get(cup.cupId);
    const pours = state.tasks.filter((t) => t.task.kind === 'pour' && t.task.cupId === cup.cupId);
    if (left === undefined || !pours.length || pours.some((t) => t.actual === undefined)) return [];
    // What was not read, spilled or stirred in later teaches nothing of what clings.
    const told = new Set(cup.mixes.map((m) => m.mixId));
    if (state.mishaps.some((m) => told.has(m.of) || m.of === cup.cupId)) return [];
    if (state.tasks.some((t) => t.assumed !== undefined && t.task.kind === 'weigh' && told.has(t.task.mixId)))
      return [];
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
