import type { CupLoss } from '../batch';
import type { Computed } from '../plan/compute';
import type { Plan } from '../plan/document';
import type { Use } from '../shelf/stock';
import { weighedOf } from './actuals';
import type { RunState } from './fold';

/** Everything a run took from the shelf, by stock key, at the moment it was weighed. */
export function usesOf(plan: Plan, computed: Computed, state: RunState): Use[] {
  const lots = new Map(
    plan.cups.flatMap((c) => (c.fillers ?? []).flatMap((f) => (f.lotId ? [[f.id, f.lotId] as const] : [])))
  );
  return state.tasks.flatMap(({ task, actual, doneAt }): Use[] => {
    if (task.kind !== 'weigh' || actual === undefined || doneAt === undefined || task.takeOut) return [];
    const w = [...computed.common, ...computed.cups.flatMap((c) => c.mixes)]
      .find((m) => m.mixId === task.mixId)
      ?.weighings.find((x) => x.key === task.key);
    if (!w) return [];
    if (w.kind === 'filler')
      return lots.has(w.key) ? [{ key: `lot:${lots.get(w.key)}`, grams: actual, at: doneAt }] : [];
    if (w.kind === 'colourant') {
      const key = `colourant:${w.colourantId}`;
      if (!w.letDown) return [{ key, grams: actual, at: doneAt }];
      // A let-down holds one part of colourant to so many of its carrier, which is a part of the base.
      const { parts } = w.letDown;
      const made = computed.letDowns.find((l) => l.colourantId === w.colourantId && l.parts === parts);
      const colour = actual / (parts + 1);
      return [
        { key, grams: colour, at: doneAt },
        ...(made
          ? [{ key: `part:${plan.baseId}:${made.carrierKey}`, grams: actual - colour, at: doneAt }]
          : [])
      ];
    }
    if (task.portionOf) return [];
    return [{ key: `part:${plan.baseId}:${w.key}`, grams: actual, at: doneAt }];
  });
}

/** What one cavity of each group really took, ml, as the mean of what was weighed into it; groups weighed whole only. */
export function tookOf(plan: Plan, computed: Computed, state: RunState): { groupId: string; ml: number }[] {
  return computed.groups.flatMap((group) => {
    const pours = state.tasks.filter((t) => t.task.kind === 'pour' && t.task.groupId === group.groupId);
    if (!pours.length || pours.some((t) => t.status !== 'done' || t.actual === undefined)) return [];
    const ml = pours.reduce((s, t) => {
      const cupId = t.task.kind === 'pour' ? t.task.cupId : '';
      return s + t.actual! / (computed.cups.find((c) => c.cupId === cupId)?.density ?? computed.density);
    }, 0);
    return [{ groupId: group.groupId, ml: ml / group.count }];
  });
}

/** What each cup lost, where it was weighed empty at the end: mixed, poured and left as they really were, g. */
export function lossesOf(computed: Computed, state: RunState): CupLoss[] {
  return computed.cups.flatMap((cup) => {
    const left = state.left[cup.cupId];
    const pours = state.tasks.filter((t) => t.task.kind === 'pour' && t.task.cupId === cup.cupId);
    if (left === undefined || !pours.length || pours.some((t) => t.actual === undefined)) return [];
    const mixed = cup.mixes.flatMap((m) =>
      m.weighings.filter((w) => w.kind !== 'reserve').map((w) => weighedOf(state, m.mixId, w.key) ?? 0)
    );
    return [
      {
        mixed: mixed.reduce((s, g) => s + g, 0) - cup.balance.reserved,
        poured: pours.reduce((s, t) => s + t.actual!, 0),
        left
      }
    ];
  });
}
