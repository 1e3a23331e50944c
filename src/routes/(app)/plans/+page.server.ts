import { readPlans, wholeShelf } from '$lib/server/database';
import { learnedOfEach } from '../../../lib/server/learned-history';
import { store } from '$lib/server/store';
import { inThread } from '../../../lib/server/workers';

export const load = async () => {
  const { db } = await store();
  const [{ good, broken }, shelf] = await Promise.all([readPlans(db), wholeShelf(db)]);
  const plans = good.map(({ plan }) => plan);
  // With what the record teaches, as on the workbench: two figures for one plan must not disagree.
  const learnedEach = await learnedOfEach(db, plans, Date.now());
  const tiles = await inThread('tiles', {
    plans: plans.map((plan, i) => ({ plan, learned: learnedEach[i]! })),
    shelf
  });
  return {
    shelf,
    broken,
    plans: good.map(({ plan: { id, name, notes }, changedAt, revision }, i) => ({
      ...tiles[i]!,
      id,
      name,
      notes,
      changedAt,
      revision
    }))
  };
};
