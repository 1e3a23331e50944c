import { cards } from '../../../demo/cards';
import { splitAll } from '../document';
import { applyTechnique, newPlan, withNewCup } from '../edit';
import type { Plan } from '../plan';

/** A plan of one technique in a material and a mould of the demo's, with four cups. */
export function tried(techniqueId: string, kind: string, mouldId: string): Plan {
  const base = cards.bases.find((b) => b.kind === kind)!;
  let plan: Plan = { ...newPlan('trial', 'Trial', cards, mouldId), steps: [] };
  plan = { ...plan, mixes: plan.mixes.map((m) => ({ ...m, baseId: base.id })) };
  for (let i = 1; i < 4; i++) plan = withNewCup(plan);
  return applyTechnique(splitAll(plan, base.id), cards, { techniqueId, groupId: 'group-1', keep: 'nothing' });
}
