import { layerState } from '../material';
import type { FilledCavitySet } from './fill';
import type { ResolvedAct } from './read-steps';
import type { ResolvedPlan } from './resolve';
import { roomIn } from './room';

/** Minutes after which half the depth of a cavity carries the next layer; never where nothing is known of its material. */
export function setsAfter({ plan, cupOf }: ResolvedPlan, { pours, cavity }: FilledCavitySet): number {
  const mix = cupOf.get(pours[0]?.cupId ?? '')?.mix;
  if (!mix) return Infinity;
  return mix.behaviour.layerReaches(layerState(mix.base), cavity.depth / 2, roomIn(plan.bench));
}

/** Minutes that pass by themselves with an act. */
export const passing = ({ definition, act, step }: ResolvedAct): number =>
  definition.hands(act, step, 1).unattended;

/**
 * The steps of a cavity set before which what lies there was left alone: by a gate of the step or of a wait just before
 * it, or by acts that passed time enough to set since the last pour, such as a day's cure before the next layer.
 */
export function leftAlone(plan: ResolvedPlan, filled: FilledCavitySet): ReadonlySet<string> {
  const found = new Set<string>();
  let [passed, waited] = [0, false];
  for (const resolved of plan.steps) {
    const here = resolved.here(filled.cavitySet.id);
    if (!here) continue;
    const { id, gates } = resolved.step;
    if (waited || gates.length || (passed > 0 && passed >= setsAfter(plan, filled))) found.add(id);
    waited = here.definition.group === 'wait' && gates.length > 0;
    if (filled.pours.some((p) => p.stepId === id)) passed = 0;
    passed += passing(here);
  }
  return found;
}
