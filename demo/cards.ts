import type { Base } from '../src/core/material';
import type { Shelf } from '../src/core/shelf';
import { startingLibrary } from '../src/core/shelf';
import { knobMould } from './knob-mould';
import { moulds } from './moulds';

const own: Shelf = { moulds, ...startingLibrary };

/** The bar soap once more, its lye and its oils from jars that stand ready: small fresh batches for thin bands. */
const bar = own.bases.find((b) => b.id === 'bar-soap')!;
const stockSoap = {
  ...bar,
  id: 'stock-soap',
  name: 'Bar soap from stocks',
  fragrance: 0,
  stock: { lye: 0.5, oils: true },
  source: `${bar.source} Stock lye one to one by weight, stock oils melted together.`
} as Base;

/** Order J: its casting box, and the plan that pours its rubber. */
export const knob = knobMould(own);

/** The cards on Fenwick Sluice's shelf: its own moulds beside the starting library. */
export const cards: Shelf = {
  ...own,
  moulds: [...moulds, knob.container],
  bases: [...own.bases, stockSoap]
};
