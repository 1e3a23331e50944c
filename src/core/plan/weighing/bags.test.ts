import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { duration, metricWords } from '../../quantity';
import { applyTechnique, newPlan, withNewCup } from '../../edit';
import { splitAll } from '../../document';
import { computePlan } from '../compute';
import { type Plan } from '../read';

/** A bed and two cups piped in four rings, all from one mix or each by itself, into so many roundels. */
function piped(count = 3, bag?: number, split = true): Plan {
  const base = cards.bases.find((b) => b.kind === 'resin')!;
  let plan: Plan = { ...newPlan('trial', 'Trial', cards, 'roundel'), steps: [] };
  plan = { ...plan, mixes: plan.mixes.map((m) => ({ ...m, baseId: base.id })) };
  for (let i = 1; i < 3; i++) plan = withNewCup(plan);
  plan = {
    ...plan,
    groups: plan.groups.map((g) => ({ ...g, count })),
    bench: { ...plan.bench, losses: { cling: 0.03, vessel: 1, ...(bag === undefined ? {} : { bag }) } }
  };
  const where = { techniqueId: 'piped-petals', groupId: 'group-1', keep: 'nothing' as const };
  return applyTechnique(split ? splitAll(plan, base.id) : plan, cards, where);
}

const balances = (plan: Plan) =>
  computePlan(plan, cards).cups.map((c) => c.mixes.map((m) => m.balance.vessel));

describe('a piping bag', () => {
  it('keeps some of its cup, which is mixed on top: the usual, or what was weighed', () => {
    const close = (all: number[][], wanted: number[]) =>
      all.forEach((own, i) => own.forEach((v) => expect(v).toBeCloseTo(wanted[i]!, 6)));
    close(balances(piped()), [1, 4, 4]);
    close(balances(piped(3, 7.5)), [1, 8.5, 8.5]);
    close(balances(piped(3, 0)), [1, 1, 1]);
  });

  it('holds what its cup pipes and what stays in it, said at every line it pipes', () => {
    const plan = piped();
    const computed = computePlan(plan, cards);
    for (const cup of plan.cups.slice(1)) {
      const rings = plan.steps.filter((s) => s.act.kind === 'ribbon' && s.act.cupId === cup.id);
      expect(rings.length).toBeGreaterThan(0);
      const grams = computed.groups[0]!.layers.filter((l) => l.cupId === cup.id).reduce(
        (s, l) => s + l.grams,
        0
      );
      // The heat of a cup asks for several mixes: each has its own filling.
      const fillings = computed.cups.find((c) => c.cupId === cup.id)!.mixes.length;
      expect(fillings).toBe(3);
      const said = `its bag holds ${(grams / fillings + 3).toFixed(2)} g, of which 3.00 g stay in it`;
      for (const ring of rings)
        expect(metricWords(computed.lines.find((l) => l.stepId === ring.id)!.measures ?? '')).toContain(said);
    }
    expect(computed.lines.find((l) => l.stepId.startsWith('lay'))!.measures ?? '').not.toContain('bag');
  });

  it('says how long it pipes and how long its bed is soft, each from its own mixing', () => {
    const plan = piped(6, undefined, false);
    const { lines, score } = computePlan(plan, cards);
    const bed = score.windows.find((w) => w.cupId === plan.cups[0]!.id)!;
    const rings = plan.steps.filter((s) => s.act.kind === 'ribbon');
    expect(new Set(rings.map((r) => r.act.cupId)).size).toBe(2);
    // The bed is a larger mix than a bag: it gels sooner.
    const bagGels = score.windows.find((w) => w.cupId === rings[0]!.act.cupId)!;
    expect(duration(bed.gels - bed.zero)).not.toBe(duration(bagGels.gels - bagGels.zero));
    for (const ring of rings) {
      const own = score.windows.find((w) => w.cupId === ring.act.cupId)!;
      const [from, to, soft] = [own.from - own.zero, own.to - own.zero, bed.gels - bed.zero].map(duration);
      expect(lines.find((l) => l.stepId === ring.id)!.measures).toContain(
        `it pipes ${from} to ${to} after its mixing, its bed is soft for ${soft} after its own`
      );
    }
  });

  it('is none where lines are drizzled', () => {
    const plan = piped();
    const steps = plan.steps.map((s) =>
      s.act.kind === 'ribbon' ? { ...s, act: { ...s.act, how: 'drizzled' } } : s
    );
    expect(
      balances({ ...plan, steps })
        .flat()
        .every((v) => Math.abs(v - 1) < 1e-6)
    ).toBe(true);
  });
});
