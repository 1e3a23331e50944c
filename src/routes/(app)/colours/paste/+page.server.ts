import { landed } from '$core/shelf';
import { wholeShelf } from '$lib/server/database';
import { store } from '$lib/server/store';

export const load = async () => {
  const shelf = await wholeShelf((await store()).db);
  // What a gram of each thing cost, from its latest lot.
  const costs: Record<string, number> = {};
  for (const lot of [...shelf.lots].sort((a, b) => a.boughtAt - b.boughtAt)) {
    const key =
      lot.of.kind === 'colourant'
        ? lot.of.colourantId
        : lot.of.kind === 'part'
          ? `${lot.of.baseId}:${lot.of.part}`
          : '';
    if (key) costs[key] = landed(lot) / lot.grams;
  }
  return { shelf, costs };
};
