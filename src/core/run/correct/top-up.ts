import { PORTION, weighOutCup, type WeighedCup } from '../../batch';
import { booksOf, potOf } from '../amounts/ledger';
import type { RunState } from '../log/state';
import type { FrozenRun } from '../snapshot/frozen';
import type { Problem } from '../../problem';
import type { Plan } from '../../document';
import type { Shelf } from '../../shelf';
import { resolve } from '../../plan/resolve';
import { vesselLoss } from '../../plan/weighing/weighed';
import { roomIn } from '../../plan/room';
import { figure } from '../../quantity';

/** A top-up cup: the same recipe for what is missing, and how long it will pour. */
export interface TopUpCup extends WeighedCup {
  /** Minutes from the joining of its parts until it no longer levels: its own window, not the first cup's. */
  window: number;
  problems: Problem[];
}

/**
 * Works out a cup to the same recipe for a missing volume, mixed on its own. Its window is its own: a small cup
 * stays open longer than the first one. Undefined where the plan's base or scale is gone.
 * @param ml missing volume, > 0
 */
export function topUpCup(plan: Plan, shelf: Shelf, cupId: string, ml: number): TopUpCup | undefined {
  const resolved = resolve(plan, shelf);
  const cup = resolved.cupOf.get(cupId);
  if (!cup?.mix || cup.parts.length || !resolved.scales.length || !(ml > 0)) return undefined;
  const { base, formula, behaviour } = cup.mix;
  const out = weighOutCup({
    formula,
    doses: cup.doses,
    fillers: cup.fillers,
    pouredMl: ml,
    losses: { cling: plan.bench.losses.cling, vessel: vesselLoss(plan.bench.losses, undefined) },
    scales: resolved.scales,
    readings: plan.bench.readings
  });
  const small = out.balance.mixed < base.leastMix;
  return {
    ...out,
    window: behaviour.pourUntil(out.balance.mixed, roomIn(plan.bench)),
    problems: small ? [tooSmall(out.balance.mixed, base.leastMix)] : []
  };
}

/** More of a cup out of the pot it was filled from: what is still in there, and its colours with it. */
export interface MoreFromPot {
  lines: { key: string; name: string; grams: number; division: number }[];
  /** What the pot keeps over what its other cups still want, g. */
  spare: number;
}

/**
 * What to take out of a mix's pot, and of its colours, for so many grams more of it; undefined where it has no pot, or where that
 * has not so much over. Its clock is the pot's.
 */
export function moreFromPot(
  frozen: FrozenRun,
  state: RunState,
  mixId: string,
  grams: number
): MoreFromPot | undefined {
  const pot = booksOf(frozen, state).get(potOf(state, mixId) ?? '');
  if (!pot || state.lost.has(pot.mixId) || !(grams > 0)) return undefined;
  const own = state.tasks.flatMap(({ task }) =>
    task.kind === 'weigh' && task.mixId === mixId && !task.takeOut ? [task] : []
  );
  const times = grams / own.reduce((s, t) => s + t.grams, 0);
  const lines = own.map(({ key, name, division, grams: g }) => ({ key, name, division, grams: g * times }));
  const spare = pot.left - pot.wanted;
  const taken = lines.find((l) => l.key === PORTION)?.grams ?? 0;
  return taken > 0 && taken <= spare ? { lines, spare: spare - taken } : undefined;
}

const tooSmall = (mixed: number, least: number): Problem => ({
  code: 'mix-too-small',
  level: 'warn',
  path: 'topUp',
  sentence: `A top-up of ${figure(mixed, 'g', 1)} is under the ${figure(least, 'g')} that mix well.`,
  mend: `Mix ${figure(least, 'g')} and keep what is left.`
});
