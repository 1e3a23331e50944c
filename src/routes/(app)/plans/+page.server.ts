import { readPlans, wholeShelf } from '$lib/server/database';
import { store } from '$lib/server/store';
import { inThread } from '$lib/server/sums';

export const load = async () => {
  const { db } = await store();
  const [{ good, broken }, shelf] = await Promise.all([readPlans(db), wholeShelf(db)]);
  const tiles = await inThread('tiles', { plans: good.map(({ plan }) => plan), shelf });
  return {
    shelf,
    broken,
    plans: good.map(({ plan: { id, name, notes, showFace }, changedAt }, i) => ({
      ...tiles[i]!,
      id,
      name,
      notes,
      showFace,
      changedAt
    }))
  };
};
