import { listCards, listPlans, wholeShelf } from '$lib/server/database';
import { stock } from '$lib/server/past';
import { store } from '$lib/server/store';

export const load = async ({ url }) => {
  const { db } = await store();
  const shelf = await wholeShelf(db);
  const left = await stock(db, shelf, Date.now());
  // What a gram of each colourant cost, and whether any of it is left.
  const costs: Record<string, number> = {};
  const empty: string[] = [];
  for (const c of shelf.colourants) {
    const mine = left.filter((s) => s.lot.of.kind === 'colourant' && s.lot.of.colourantId === c.id);
    const latest = mine.at(-1);
    if (latest) costs[c.id] = latest.costGram;
    if (mine.length && mine.every((s) => s.left <= 0)) empty.push(c.id);
  }
  return {
    bases: shelf.bases,
    colourants: shelf.colourants,
    scales: shelf.scales,
    costs,
    empty,
    cards: await listCards(db, 'trialcards'),
    plans: (await listPlans(db)).map(({ plan }) => ({
      id: plan.id,
      name: plan.name,
      baseId: plan.mixes[0]?.baseId ?? '',
      cups: plan.cups.filter((c) => 'mix' in c.from)
    })),
    wanted: url.searchParams.get('colour') ?? '',
    without: url.searchParams.get('without') ?? ''
  };
};
