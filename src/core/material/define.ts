import type { CommonCard } from './card';
import { FORMS } from './colourant';
import type { MaterialDefinition } from './definition';

const NEEDED = [
  'kind',
  'name',
  'heading',
  'spoken',
  'schema',
  'fields',
  'traits',
  'formula',
  'making',
  'behaviour',
  'carriesLayer',
  'demould',
  'limits',
  'compatibility',
  'cautions',
  'thinners',
  'overshoot',
  'optics',
  'mould',
  'care',
  'starting'
] as const satisfies readonly (keyof MaterialDefinition)[];

/** A material as given. Throws on what is incomplete: a fault of the program, not of a card. */
export function defineMaterial<C extends CommonCard>(
  definition: MaterialDefinition<C>
): MaterialDefinition<C> {
  const lacking = NEEDED.filter((key) => definition[key] === undefined);
  if (lacking.length) throw new Error(`The material “${definition.kind}” lacks ${lacking.join(', ')}.`);
  const unsaid = FORMS.filter((form) => !definition.compatibility[form]);
  if (unsaid.length)
    throw new Error(`The material “${definition.kind}” does not say how ${unsaid.join(', ')} takes to it.`);
  return definition;
}
