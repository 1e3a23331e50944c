import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import * as demo from '../../../demo/plans';
import { computePlan, type Plan } from '../plan';
import { pourAlone } from '../plan/plans.testing';

const tideline = pourAlone(demo.tideline);

/** The knobs, and the same knobs again in other cavities from cups of their own: written one after the other. */
function twice(change: (again: Plan['steps']) => Plan['steps'] = (x) => x): Plan {
  const own = (id: string) => `${id}-2`;
  const [group] = tideline.groups;
  const again = tideline.steps.map((s) => ({
    ...s,
    id: own(s.id),
    where: [own(group!.id)],
    gates: s.gates.map((g) => ({ ...g, id: own(g.id) })),
    act: 'cupId' in s.act ? { ...s.act, cupId: own(s.act.cupId as string) } : s.act
  }));
  return {
    ...tideline,
    groups: [group!, { ...group!, id: own(group!.id), name: 'the others' }],
    mixes: [...tideline.mixes, ...tideline.mixes.map((m) => ({ ...m, id: own(m.id) }))],
    cups: [
      ...tideline.cups,
      ...tideline.cups.map((c, i) => ({
        ...c,
        id: own(c.id),
        letter: 'PQR'[i]!,
        from: 'mix' in c.from ? { mix: own(c.from.mix) } : c.from
      }))
    ],
    steps: [...tideline.steps, ...change(again)]
  };
}

const pours = (plan: Plan) =>
  computePlan(plan, cards)
    .sequence.filter((i) => i.kind === 'pour')
    .map((i) => i.stepId);

describe('a wait', () => {
  const plan = twice();
  const { score, sequence } = computePlan(plan, cards);
  const alone = computePlan(tideline, cards).score;

  it('is filled with what other cavities want, and all is done much sooner', () => {
    expect(score.ends).toBeLessThan(alone.ends * 1.25);
    const order = pours(plan);
    expect(order.indexOf('lay-mudflat-2')).toBeLessThan(order.indexOf('lay-heron'));
    expect(order.indexOf('lay-heron-2')).toBeLessThan(order.indexOf('lay-foam'));
  });

  it('leaves each cavity’s own order, loses nothing, and never has the hands in two places', () => {
    for (const group of plan.groups) {
      const own = plan.steps.filter((s) => s.where.includes(group.id)).map((s) => s.id);
      const done = [
        ...new Set(sequence.flatMap((i) => ('stepId' in i && own.includes(i.stepId) ? i.stepId : [])))
      ];
      expect(done).toEqual(own.filter((id) => done.includes(id)));
    }
    expect(pours(plan).sort()).toEqual(
      [...pours(tideline), ...pours(tideline).map((id) => `${id}-2`)].sort()
    );
    const busy = score.blocks.filter((b) => !b.unattended).sort((a, b) => a.from - b.from);
    for (const [i, b] of busy.entries()) if (i) expect(b.from).toBeGreaterThanOrEqual(busy[i - 1]!.to - 1e-9);
  });

  it('never brings a pour before its gate, or a mix after its pour', () => {
    for (const gate of score.gates) {
      const pour = score.blocks.find((b) => b.act === 'pour' && b.stepId === gate.stepId);
      if (pour) expect(pour.from).toBeGreaterThanOrEqual(gate.opens - 1e-9);
    }
    for (const [i, item] of sequence.entries())
      if (item.kind === 'pour')
        expect(sequence.findIndex((x) => x.kind === 'mix' && x.mixId === item.mixId)).toBeLessThan(i);
  });

  it('stays idle where the other step counts from what is still to come', () => {
    const bound = twice((again) =>
      again.map((s, i) =>
        i
          ? s
          : {
              ...s,
              gates: [
                {
                  id: 'gate-bound',
                  all: [{ kind: 'since' as const, zero: { stepDone: 'lay-heron' }, minutes: 1 }]
                }
              ]
            }
      )
    );
    const order = pours(bound);
    expect(order.indexOf('lay-mudflat-2')).toBeGreaterThan(order.indexOf('lay-heron'));
  });

  it('of days is filled too: other cavities are not poured after the first are sealed', () => {
    const whole = demo.tideline;
    const [group] = whole.groups;
    const again = whole.steps.map((s) => ({
      ...s,
      id: `${s.id}-2`,
      where: ['others'],
      gates: s.gates.map((g) => ({ ...g, id: `${g.id}-2` }))
    }));
    const both: Plan = {
      ...whole,
      groups: [group!, { ...group!, id: 'others', name: 'the others' }],
      steps: [...whole.steps, ...again]
    };
    const order = pours(both);
    const { score: long } = computePlan(both, cards);
    const pour = (id: string) => long.blocks.find((b) => b.act === 'pour' && b.stepId === id)!;
    const sealed = long.blocks.find((b) => b.stepId === whole.steps.at(-1)!.id)!;
    expect(order).toContain('lay-mudflat-2');
    expect(pour('lay-mudflat-2').to).toBeLessThan(sealed.from);
  });

  it('of one group alone is as it was written', () => {
    expect(pours(tideline)).toEqual(tideline.steps.filter((s) => 'cupId' in s.act).map((s) => s.id));
  });
});
