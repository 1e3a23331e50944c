import { computePlan, shelfOf } from '$core/plan';
import { readPlans, wholeShelf } from '$lib/server/database';
import { store } from '$lib/server/store';

export const load = async () => {
  const { db } = await store();
  const [{ good, broken }, shelf] = await Promise.all([readPlans(db), wholeShelf(db)]);
  return {
    shelf,
    broken,
    plans: good.map(({ plan, changedAt }) => {
      const { groups, cups, totals, problems, bases } = computePlan(plan, shelfOf(plan, shelf));
      return {
        id: plan.id,
        name: plan.name,
        notes: plan.notes,
        showFace: plan.showFace,
        base: bases.map((b) => b.name).join(', ') || 'no base yet',
        changedAt,
        groups,
        cups,
        totals,
        toMend: problems.filter((p) => p.level !== 'note').length
      };
    })
  };
};
