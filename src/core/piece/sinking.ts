import { isWhite } from '../colour';
import { materials } from '../material';
import type { FilledCavitySet, Pour } from '../plan/fill';
import { hasTrait } from '../plan/read-steps';
import type { ResolvedPlan } from '../plan/resolve';

/**
 * A colour with so many percent more of a white than what lies on it sinks through it while both are thin. This and the
 * next two are starting values, set by eye on drawn pieces: the trade gives no figures.
 */
const HEAVIER = 1;
/** Of a heavy colour, what sinks and stands as lace; the rest stays where it was poured. */
const SINKS = 0.75;
/** Shares of a pour between which a heavy colour makes lace: less is lost in it, more covers it. */
const LACES = { least: 0.02, most: 0.3 } as const;

/** The share of a pour that will sink: of a heavy colour in thin resin under or on lighter puddles; 0 for all else, and in a bar. */
export function sinkingOf(plan: ResolvedPlan, filled: FilledCavitySet, pour: Pour, bar: boolean): number {
  const cup = plan.cupOf.get(pour.cupId);
  if (!materials.has(cup?.mix?.base.kind, 'runs thin') || bar) return 0;
  const others = filled.pours.filter((p) => p.cupId !== pour.cupId && puddles(p));
  if (others.length < 2 || !filled.cavitySet) return 0;
  const all = filled.pours.reduce((s, p) => s + p.each, 0);
  const own = filled.pours.filter((p) => p.cupId === pour.cupId).reduce((s, p) => s + p.each, 0);
  if (own / all < LACES.least || own / all > LACES.most) return 0;
  if (!mainlyWhite(plan, pour.cupId)) return 0;
  const lighter = others.every((p) => whiteOf(plan, pour.cupId) - whiteOf(plan, p.cupId) >= HEAVIER);
  return lighter ? SINKS : 0;
}

const puddles = ({ act }: Pour): boolean => hasTrait(act, 'digs');

/** Whether most of a cup's colour is white: a tint with white in it does not sink as a white does. */
function mainlyWhite(plan: ResolvedPlan, cupId: string): boolean {
  const all = (plan.cupOf.get(cupId)?.doses ?? []).reduce((s, d) => s + d.percent, 0);
  return whiteOf(plan, cupId) > 0.6 * all;
}

/** Percent of whites in a cup: the heavy pigments, four times as heavy as resin. */
const whiteOf = (plan: ResolvedPlan, cupId: string): number =>
  (plan.cupOf.get(cupId)?.doses ?? []).reduce((s, d) => s + (isWhite(d.colourant) ? d.percent : 0), 0);
