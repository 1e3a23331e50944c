import { readPlans, wholeShelf } from '$lib/server/database';
import { store } from '$lib/server/store';

/** What was used last stands in the answers from the start. */
export const load = async () => {
  const { db } = await store();
  const [{ good }, shelf] = await Promise.all([readPlans(db), wholeShelf(db)]);
  const last = good.toSorted((a, b) => b.changedAt - a.changedAt)[0]?.plan;
  return {
    shelf,
    last: last && {
      mouldId: last.groups[0]?.mouldId,
      baseId: last.mixes[0]?.baseId,
      colourantIds: last.cups.flatMap((c) => c.recipe.slice(0, 1).map((l) => l.colourantId))
    }
  };
};
