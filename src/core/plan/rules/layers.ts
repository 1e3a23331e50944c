import { layerState } from '../../cure';
import type { Found } from '../../problem';
import type { Gate, Plan } from '../document';
import type { FilledStrand, PouredLayer } from '../fill';
import { freshId } from '../fresh-id';
import { notDeeper } from '../layering';
import type { ResolvedMix, ResolvedPlan, ResolvedStep } from '../resolve';

/** Layers deeper than the resin allows, layers laid on a wet one, and cavities left short. */
export function layerProblems(plan: ResolvedPlan, filled: FilledStrand): Found[] {
  const problems: Found[] = [];
  let wet: PouredLayer | undefined;
  let told = false;
  for (const step of plan.steps) {
    if (!step.strands.some((s) => s.id === filled.strand.id)) continue;
    if (step.step.gates.length) [wet, told] = [undefined, false];
    for (const layer of filled.layers.filter((l) => l.stepId === step.step.id)) {
      const mix = plan.cupOf.get(layer.cupId)?.mix;
      if (!mix) continue;
      problems.push(...tooDeep(plan.plan, { step, layer, strand: filled, mix }));
      if (!told && wet && liesLevel(step) && runsTogether(plan, wet, layer)) {
        problems.push(onWet(plan.plan, step, mix));
        told = true;
      }
      wet = liesLevel(step) ? layer : undefined;
    }
  }
  return [...problems, ...shortFill(filled)];
}

/** Whether a step’s layers should lie apart: a puddle, a line, a chamber are meant to meet what is fluid. */
const liesLevel = ({ own }: ResolvedStep): boolean =>
  own?.definition.traits?.(own.act).includes('levels') ?? false;

/** Whether a layer on a wet one spoils both: another colour, and not split from one mix to be poured wet on wet. */
function runsTogether({ cupOf }: ResolvedPlan, below: PouredLayer, layer: PouredLayer): boolean {
  if (below.cupId === layer.cupId) return false;
  const mix = cupOf.get(layer.cupId)?.mix?.mix;
  return mix?.feeds !== 'split' || cupOf.get(below.cupId)?.mix?.mix.id !== mix.id;
}

function tooDeep(plan: Plan, laid: Parameters<typeof notDeeper>[1]): Found[] {
  const { base } = laid.mix;
  const depth = laid.layer.to - laid.layer.from;
  if (base.kind !== 'resin' || depth <= base.depthLimit + 1e-9) return [];
  return [
    {
      code: 'layer-too-deep',
      level: 'warn',
      path: `plan/steps/${laid.step.step.id}/act/amount`,
      sentence: `This layer is ${depth.toFixed(1)} mm deep; ${base.name} takes ${base.depthLimit} mm at once before it overheats.`,
      mend: `Pour it in layers of at most ${base.depthLimit} mm, each once the one below has gelled.`,
      tries: notDeeper(plan, laid, base.depthLimit)
    }
  ];
}

function onWet(plan: Plan, { step }: ResolvedStep, { base }: ResolvedMix): Found {
  const state = layerState(base);
  const gate: Gate = { id: freshId(plan, 'gate'), all: [{ kind: 'state', state, of: 'layer below' }] };
  return {
    code: 'no-gate',
    level: 'warn',
    path: `plan/steps/${step.id}`,
    sentence: 'This layer goes onto one that is still wet: the two colours will run together.',
    mend: 'Wait between them, where they should stay apart.',
    tries: [
      {
        words: `Wait until it is ${state}`,
        edit: { path: ['steps', step.id, 'gates', gate.id], value: gate }
      }
    ]
  };
}

function shortFill({ strand, cavity, layers, filledMl }: FilledStrand): Found[] {
  // What was drawn out on purpose is no shortfall.
  const poured = Math.max(
    filledMl,
    layers.reduce((s, l) => s + l.each, 0)
  );
  if (!layers.length || poured >= cavity.capacity * 0.985) return [];
  return [
    {
      code: 'short-fill',
      level: 'note',
      path: `plan/groups/${strand.group.id}`,
      sentence: `${strand.name} ends at ${((filledMl / cavity.capacity) * 100).toFixed(0)} % of the cavity.`,
      mend: 'Fill the last layer to the rim, if the piece should be whole.'
    }
  ];
}
