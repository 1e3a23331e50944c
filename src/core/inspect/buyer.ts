import { materials } from '../material';
import type { Plan } from '../plan';
import type { RunFigures } from '../run';
import { acts } from '../pour';
import { figure } from '../quantity';

/** What a buyer is promised of a repeat, and what not: sentences in plain words. */
export interface BuyerSheet {
  matches: string[];
  differs: string[];
  care: string[];
}

/** What is agreed to differ: a colour by ΔE00, a weight by a share. */
export interface Tolerance {
  deltaE: number;
  weight: number;
}

/** What most workshops can keep to from one day to another: ΔE00 3 is seen side by side only. */
export const USUAL_TOLERANCE: Tolerance = { deltaE: 3, weight: 0.05 };

/**
 * A sheet for the buyer of a repeat: what will match and what cannot, from the plan's own acts, bases and finish. A figure stands in
 * it only where the plan gives it.
 */
export function buyerSheet(plan: Plan, computed: RunFigures, tolerance: Tolerance): BuyerSheet {
  const definitions = plan.steps.flatMap((s) => (s.muted ? [] : (acts.find(s.act.kind) ?? [])));
  const shaping = definitions.filter((d) => d.group === 'pour in' || d.group === 'move');
  const marbled = plan.cups.some((c) => c.mixing === 'marbled' || c.mixing === 'speckled');
  const grams = computed.groups.map((g) => ({
    name: g.name,
    each: g.layers.reduce((s, l) => s + l.grams, 0) / Math.max(1, g.count)
  }));
  // A cup that is filled from others is no colour of its own.
  const colours = computed.cups.filter((c) => c.mixes.some((m) => m.weighings.length > 0)).map((c) => c.name);
  // What levels by itself comes out the same; of everything else only the amounts do.
  const layered = shaping.every((d) => d.varies === undefined);
  return {
    matches: [
      'The shape: every piece comes from the same mould.',
      `The colours (${colours.join(', ')}), each within a difference of ${tolerance.deltaE} (ΔE00): seen only side by side in daylight.`,
      ...grams.map(
        (g) =>
          `The weight of ${g.name}: ${figure(g.each, 'g', 0)}, ${(tolerance.weight * 100).toFixed(0)} % more or less.`
      ),
      ...(layered
        ? ['The order of the layers and where they meet, within a millimetre.']
        : ['How much of each colour is in it.'])
    ],
    differs: [
      ...new Set([
        ...definitions.flatMap((d) => (d.varies ? [`No two pieces are alike in ${d.varies}.`] : [])),
        ...(marbled ? ['No two pieces are alike in their veins and specks.'] : []),
        ...(computed.bases.some((b) => materials.has(b.kind, 'yellows and shrinks'))
          ? ['Soap yellows a little and shrinks as it cures.']
          : []),
        ...(computed.bases.some((b) => materials.has(b.kind, 'has pores'))
          ? ['Small pores and clouds belong to the material.']
          : []),
        'Colours look different in photos.'
      ])
    ],
    care: computed.bases.flatMap((b) => materials.find(b.kind)?.care ?? [])
  };
}
