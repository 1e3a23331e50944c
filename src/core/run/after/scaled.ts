import type { RunFigures } from '../snapshot/figures';
import type { Plan } from '../../document';
import { withAmount } from '../../pour';

/** The cavities that a repeat is poured into instead. */
export interface OtherMould {
  mouldId: string;
  cavityId: string;
  name: string;
  count: number;
}

/**
 * A plan for another mould: every cavity is one of the other's, and every amount the same share of it. Shares, “to the rim” and the
 * like stay as they are; millilitres, millimetres and levels become the share they were. Embeds and zones stay with the old mould.
 */
export function scaledTo(plan: Plan, computed: RunFigures, to: OtherMould): Plan {
  const shareOf = (stepId: string): number | undefined => {
    const found = computed.groups.flatMap((g) =>
      g.layers.filter((l) => l.stepId === stepId).map((l) => ({ ml: l.each, of: g.capacity }))
    );
    const [first] = found;
    if (!first || !(first.of > 0)) return undefined;
    const own = found.filter((f) => f.of === first.of);
    return Math.min(1, own.reduce((s, f) => s + f.ml, 0) / first.of);
  };
  const [group] = plan.groups;
  const groups = group
    ? [
        {
          id: group.id,
          name: `${to.name} ${to.count > 1 ? `1–${to.count}` : ''}`.trim().slice(0, 40),
          mouldId: to.mouldId,
          cavityId: to.cavityId,
          count: to.count
        }
      ]
    : [];
  const measured = new Set(['volume', 'deep', 'to level', 'zone']);
  return {
    ...plan,
    groups,
    spares: [],
    steps: plan.steps
      .filter((s) => s.where.length === 0 || (group !== undefined && s.where.includes(group.id)))
      .map((s) => {
        const where = s.where.length && group ? [group.id] : [];
        const { amount } = s.act as { amount?: { kind: string } };
        const share = amount && measured.has(amount.kind) ? shareOf(s.id) : undefined;
        return share === undefined
          ? { ...s, where }
          : { ...s, where, act: withAmount(s.act, { kind: 'share', of: Number(share.toFixed(5)) }) };
      })
  };
}
