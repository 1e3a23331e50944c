import { layerState } from '../../material';
import type { Diagnostic } from '../../problem';
import type { FilledCavitySet, PouredLayer } from '../fill';
import { found } from '../found';
import { leftAlone } from '../left-alone';
import { hasTrait, type ResolvedStep } from '../read-steps';
import type { ResolvedPlan } from '../resolve';
import { roomIn } from '../room';
import { layerTooDeep } from './layer-too-deep';
import { onWet } from './no-gate';
import { shortFill } from './short-fill';

/** Layers deeper than the resin allows, layers laid on a wet one, and cavities left short. */
export function layerProblems(plan: ResolvedPlan, filled: FilledCavitySet): Diagnostic[] {
  const { id } = filled.cavitySet;
  const steps = plan.steps.filter((s) => s.cavitySets.some((set) => set.id === id));
  const cups = [...new Set(filled.layers.map((l) => l.cupId))].map((cupId) => plan.cupOf.get(cupId));
  const looksAt = [filled, steps, cups, roomIn(plan.plan.bench)];
  return found(plan.memo, `layers ${id}`, looksAt, () => inLayers(plan, filled));
}

function inLayers(plan: ResolvedPlan, filled: FilledCavitySet): Diagnostic[] {
  const problems: Diagnostic[] = [];
  let wet: PouredLayer | undefined;
  let told = false;
  const alone = leftAlone(plan, filled);
  for (const step of plan.steps) {
    if (!step.cavitySets.some((s) => s.id === filled.cavitySet.id)) continue;
    if (alone.has(step.step.id) && !(wet && waitsTooShort(plan, step, wet))) [wet, told] = [undefined, false];
    for (const layer of filled.layers.filter((l) => l.stepId === step.step.id)) {
      const mix = plan.cupOf.get(layer.cupId)?.mix;
      if (!mix) continue;
      problems.push(...layerTooDeep(plan, { step, layer, cavitySet: filled, mix }));
      if (!told && wet && liesLevel(step) && runsTogether(plan, wet, layer)) {
        problems.push(onWet(plan.plan, step, mix));
        told = true;
      }
      wet = liesLevel(step) ? layer : undefined;
    }
  }
  return [...problems, ...shortFill(filled)];
}

/** Of the time in which a layer comes to carry the next: a wait of minutes under this share of it leaves it wet. */
const STILL_WET = 0.5;

/** Whether all that a step waits for is minutes since the layer below it was poured, far fewer than that takes to set. */
function waitsTooShort(plan: ResolvedPlan, { step }: ResolvedStep, wet: PouredLayer): boolean {
  const mix = plan.cupOf.get(wet.cupId)?.mix;
  const since = step.gates.flatMap((g) => g.all);
  if (!mix || !since.length) return false;
  const sets = mix.behaviour.layerReaches(layerState(mix.base), wet.to - wet.from, roomIn(plan.plan.bench));
  return since.every(
    (c) =>
      c.kind === 'since' &&
      'stepDone' in c.zero &&
      c.zero.stepDone === wet.stepId &&
      c.minutes < STILL_WET * sets
  );
}

/** Whether a step’s layers should lie apart: a puddle, a line, a chamber are meant to meet what is fluid. */
const liesLevel = ({ own }: ResolvedStep): boolean => hasTrait(own, 'levels');

/** Whether a layer on a wet one spoils both: another colour, and not split from one mix to be poured wet on wet. */
function runsTogether({ cupOf }: ResolvedPlan, below: PouredLayer, layer: PouredLayer): boolean {
  if (below.cupId === layer.cupId) return false;
  const mix = cupOf.get(layer.cupId)?.mix?.mix;
  return mix?.feeds !== 'split' || cupOf.get(below.cupId)?.mix?.mix.id !== mix.id;
}
