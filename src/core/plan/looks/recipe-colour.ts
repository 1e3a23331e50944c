import { deepColour, type Look } from '../../colour';
import type { Cup } from '../../document';
import { formulaOf, type Base, type Colourant } from '../../material';
import { dosesOf } from '../resolve';
import { tintOf } from './looks';

/** The colour of a cup's recipe in a base, dry and deep; undefined where the base's card comes to no formula. */
export function recipeColour(cup: Cup, base: Base, colourants: readonly Colourant[]): Look | undefined {
  const formula = formulaOf(base);
  if (!formula.ok) return undefined;
  const byId = new Map(colourants.map((c) => [c.id, c]));
  return deepColour(tintOf(dosesOf(cup, byId), base, formula.value));
}
