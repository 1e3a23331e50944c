import { layerState } from '../../material';
import type { Fix } from '../../problem';
import type { Amount, Gate, Plan, Step } from '../../document';
import type { FilledCavitySet, PouredLayer } from '../fill';
import { freshId } from '../../edit/fresh-id';
import type { ResolvedStep } from '../read-steps';
import type { ResolvedMix } from '../resolve';
import { figure } from '../../quantity';

/** Amounts that fill up to somewhere: poured in several layers, the last one still ends there. */
const UP_TO: ReadonlySet<Amount['kind']> = new Set(['to level', 'to share', 'rim', 'dome', 'zone']);

/** More layers than this are another piece, not a mend. */
const MOST_LAYERS = 12;

/** One layer in one cavity, and what is poured into it. */
interface Laid {
  step: ResolvedStep;
  layer: PouredLayer;
  cavitySet: FilledCavitySet;
  mix: ResolvedMix;
}

/**
 * The plan with a layer poured in several, a gate before each but the first: what lies below has to carry the next.
 * The last takes what is left. Nothing where its cavities are not alike, or the act takes no amount.
 *
 * @param tops where each of the layers but the last ends, ml in one cavity, rising
 */
function inLayers(
  plan: Plan,
  { step, layer, cavitySet, mix }: Laid,
  tops: readonly number[]
): Plan | undefined {
  const known = step.own;
  const amount = known?.definition.amount?.(known.act);
  const alike = step.cavitySets.every(
    (s) => s.kind.id === cavitySet.cavitySet.kind.id && s.mould.id === cavitySet.cavitySet.mould.id
  );
  if (!known || !amount || !alike || layer.chamber) return undefined;
  const state = layerState(mix.base);
  const amounts: Amount[] = tops.map((ml, i) => ({
    kind: 'volume',
    ml: rounded(ml - (tops[i - 1] ?? layer.fromMl))
  }));
  const poured = amounts.reduce((s, a) => s + (a.kind === 'volume' ? a.ml : 0), 0);
  amounts.push(UP_TO.has(amount.kind) ? amount : { kind: 'volume', ml: rounded(layer.each - poured) });
  let made = plan;
  const steps = amounts.map((amount, i): Step => {
    const act = known.definition.changed(known.act, { amount }) as Step['act'];
    if (i === 0) return { ...step.step, act };
    const gate: Gate = { id: freshId(made, 'gate'), all: [{ kind: 'state', state, of: 'layer below' }] };
    const own: Step = { ...step.step, id: freshId(made, 'layer'), act, gates: [gate] };
    made = { ...made, steps: [...made.steps, own] };
    return own;
  });
  return { ...plan, steps: plan.steps.flatMap((s) => (s.id === step.step.id ? steps : [s])) };
}

const rounded = (ml: number) => Number(ml.toPrecision(4));

/** The same layer in layers no deeper than a base takes at once, mm. */
export function notDeeper(plan: Plan, laid: Laid, most: number): Fix[] {
  const { layer, cavitySet } = laid;
  const depth = layer.to - layer.from;
  const n = Math.ceil(depth / most - 1e-9);
  // A hair less than the limit, so that rounding passes it nowhere.
  const step = Math.min(most * 0.999, depth);
  if (n > MOST_LAYERS) return [];
  const tops = Array.from({ length: n - 1 }, (_, i) =>
    cavitySet.cavity.volumeAt(layer.from + step * (i + 1))
  );
  const value = inLayers(plan, laid, tops);
  if (!value) return [];
  const words =
    n === 2
      ? `Pour ${figure(most, 'mm')}, gate, then the rest`
      : `Pour it in ${n} layers of at most ${figure(most, 'mm')}, a gate before each`;
  const anew = mixedAnew(value, laid.mix, n);
  return [
    { words, edit: { path: ['steps'], value: value.steps } },
    ...(anew ? [{ words: `${words}, each layer mixed for itself`, edit: { path: [], value: anew } }] : [])
  ];
}

/** What waits past its cup's window is mixed anew for each layer. */
function mixedAnew(plan: Plan, { mix }: ResolvedMix, n: number): Plan | undefined {
  if (mix.feeds === 'split') return undefined;
  const mixes = plan.mixes.map((m) =>
    m.id === mix.id ? { ...m, turns: Math.min(60, (mix.turns ?? 1) * n) } : m
  );
  return { ...plan, mixes };
}

/** The same layer in so many equal ones, each mixed for itself once the one below carries it. */
export function inEqualLayers(plan: Plan, laid: Laid, n: number): Plan | undefined {
  const { layer } = laid;
  if (n > MOST_LAYERS) return undefined;
  return inLayers(
    plan,
    laid,
    Array.from({ length: n - 1 }, (_, i) => layer.fromMl + (layer.each * (i + 1)) / n)
  );
}
