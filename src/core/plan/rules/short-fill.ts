import { inPlan, type Diagnostic } from '../../problem';
import type { FilledCavitySet } from '../fill';

/** A cavity that ends short of its rim. */
export function shortFill({ cavitySet, cavity, layers, filledMl }: FilledCavitySet): Diagnostic[] {
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
      ...inPlan('groups', cavitySet.group.id),
      sentence: `${cavitySet.name} ends at ${((filledMl / cavity.capacity) * 100).toFixed(0)} % of the cavity.`,
      mend: 'Fill the last layer to the rim, if the piece should be whole.'
    }
  ];
}
