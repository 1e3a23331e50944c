import { formulaOf } from '$core/material';
import { suited } from '$lib/ui/colour/suited';
import { brokenCards, wholeShelf } from '$lib/server/database';
import { colourTable, STRENGTHS } from '../../../lib/server/colour-table';
import { store } from '$lib/server/store';

export const load = async ({ url }) => {
  const { db } = await store();
  const { bases, colourants } = await wholeShelf(db);
  const asked = url.searchParams.get('material');
  const base = bases.find((b) => b.id === asked) ?? suited(bases, colourants);
  const formula = base && formulaOf(base);
  return {
    bases: bases.map(({ id, name }) => ({ id, name })),
    baseId: base?.id ?? '',
    basis: formula?.ok ? formula.value.basis.words : undefined,
    strengths: STRENGTHS,
    rows: colourTable(colourants, base),
    broken: await brokenCards(db, ['colourants'])
  };
};
