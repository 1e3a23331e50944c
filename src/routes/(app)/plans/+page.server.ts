import { computePlan, shelfOf } from '$core/plan';
import { listPlans, wholeShelf } from '$lib/server/database';
import { store } from '$lib/server/store';

export const load = async () => {
  const { db } = await store();
  const [plans, shelf] = await Promise.all([listPlans(db), wholeShelf(db)]);
  return {
    shelf,
    plans: plans.map(({ plan, changedAt }) => {
      const { groups, cups, totals, problems } = computePlan(plan, shelfOf(plan, shelf));
      return {
        id: plan.id,
        name: plan.name,
        notes: plan.notes,
        showFace: plan.showFace,
        base: shelf.bases.find((b) => b.id === plan.baseId)?.name ?? 'no base yet',
        changedAt,
        groups,
        cups,
        totals,
        toMend: problems.filter((p) => p.level !== 'note').length
      };
    })
  };
};
