import { figuresOf, type Plan } from '$core/plan';
import { type Shelf } from '$core/shelf';
import { mixIdOf } from '$core/document';
import { listCards, listPlans, wholeShelf } from '$lib/server/database';
import { stock } from '../../../../lib/server/learned-history';
import { store } from '$lib/server/store';

/** Grams of base in each cup, in one mix of it. */
const batchesOf = (plan: Plan, shelf: Shelf): Record<string, number> =>
  Object.fromEntries(
    figuresOf(plan, shelf).cups.flatMap((c) => {
      const most = Math.max(0, ...c.mixes.map((m) => m.batch));
      return most > 0 ? [[c.cupId, Number(most.toPrecision(3))]] : [];
    })
  );

export const load = async ({ url }) => {
  const { db } = await store();
  const shelf = await wholeShelf(db);
  const planId = url.searchParams.get('plan') ?? '';
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
      scaleId: plan.bench.scaleIds[0] ?? '',
      cups: plan.cups.filter((c) => 'mix' in c.from),
      /** The base of each cup, and, of the plan that is asked for, how much of it each cup holds, g. */
      baseOf: Object.fromEntries(
        plan.cups.map((c) => [c.id, plan.mixes.find((m) => m.id === mixIdOf(c))?.baseId ?? ''])
      ),
      grams: plan.id === planId ? batchesOf(plan, shelf) : {}
    })),
    planId,
    cupId: url.searchParams.get('cup') ?? '',
    wanted: url.searchParams.get('colour') ?? '',
    without: url.searchParams.get('without') ?? ''
  };
};
