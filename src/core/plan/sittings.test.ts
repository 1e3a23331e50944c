import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { nightHeron, tideline } from '../../../demo/plans';
import { tasksOf } from '../run';
import type { Plan } from '../document';
import { computePlan, type Computed } from '.';
import { mixed } from './plans.testing';

/** The plan whose last layer waits so many minutes after the step before it. */
function lastWaits(plan: Plan, minutes: number): Plan {
  const at = plan.steps.findLastIndex((s) => s.act.kind === 'lay');
  const before = plan.steps.slice(0, at).findLast((s) => s.act.kind === 'lay')!;
  return {
    ...plan,
    steps: plan.steps.map((s, i) =>
      i === at
        ? {
            ...s,
            gates: [{ id: 'next-day', all: [{ kind: 'since', zero: { stepDone: before.id }, minutes }] }]
          }
        : { ...s, gates: s.act.kind === 'lay' ? [] : s.gates }
    )
  };
}
/** A pour of one cup again in the last layer: it is poured today and tomorrow. */
const sameCup = (plan: Plan): Plan => {
  const lays = plan.steps.filter((s) => s.act.kind === 'lay');
  const [first, last] = [lays[0]!, lays.at(-1)!];
  const { cupId } = first.act as unknown as { cupId: string };
  return {
    ...plan,
    steps: plan.steps.map((s) =>
      s.id === last.id ? { ...s, act: { ...s.act, cupId } as Plan['steps'][number]['act'] } : s
    )
  };
};
const said = (c: Computed, code: string) => c.problems.filter((p) => p.code === code).map((p) => p.sentence);
/** Everything that all mixes of all cups pour, ml: by an independent sum what lies in the cavities. */
const lies = (c: Computed) =>
  c.groups.reduce((s, g) => s + g.count * g.layers.reduce((t, l) => t + l.each, 0), 0);
const poured = (c: Computed) =>
  c.cups.filter((x) => !x.jug).reduce((s, x) => s + x.mixes.reduce((t, m) => t + m.balance.pouredMl, 0), 0);

describe('one mix split into cups, poured today and tomorrow', () => {
  const plan = lastWaits(mixed(tideline, 'split'), 900);
  const c = computePlan(plan, cards);

  it('is made in each sitting, with the cups that are poured in it', () => {
    expect(c.common.map((m) => m.sitting)).toEqual([1, 2]);
    const made = c.common.map((m) =>
      c.cups.flatMap((x) => x.mixes.filter((y) => y.turn === m.turn).map(() => x.name))
    );
    expect(made[1]).toHaveLength(1);
    expect(made[0]).not.toContain(made[1]![0]);
    expect(said(c, 'past-window')).toEqual([]);
    expect(poured(c)).toBeCloseTo(lies(c), 6);
  });

  it('is weighed and stirred in its own sitting, after the wait', () => {
    const ids = tasksOf(plan, c).map((t) => t.id);
    const second = c.common[1]!.mixId;
    expect(ids.findIndex((id) => id.startsWith(`weigh:${second}`))).toBeGreaterThan(
      ids.indexOf('gate:next-day')
    );
    for (const w of c.score.windows) {
      const pours = c.score.blocks.filter((b) => b.act === 'pour' && b.mixId === w.mixId);
      for (const b of pours) expect(b.to).toBeLessThanOrEqual(w.to + 1e-9);
    }
  });

  it('begins its second sitting with its own checks, once the first has rested', () => {
    expect(c.score.sittings).toHaveLength(2);
    expect(c.score.sittings[1]!.after).toBeGreaterThan(800);
    const tasks = tasksOf(plan, c);
    const again = tasks.findIndex((t) => t.id === 'prepare~2');
    expect(tasks[again]).toMatchObject({ kind: 'prepare', sitting: 2 });
    expect(tasks[again - 1]!.id).toBe('gate:next-day');
  });
});

describe('a cup poured in two sittings', () => {
  it.each(['each', 'split'] as const)('is made twice: %s', (way) => {
    const c = computePlan(sameCup(lastWaits(mixed(tideline, way), 900)), cards);
    const twice = c.cups.filter((x) => x.mixes.length > 1);
    expect(twice).toHaveLength(1);
    expect(twice[0]!.mixes.map((m) => m.sitting)).toEqual([1, 2]);
    for (const m of twice[0]!.mixes) expect(m.balance.mixed).toBeGreaterThan(0);
    expect(said(c, 'past-window')).toEqual([]);
    expect(poured(c)).toBeCloseTo(lies(c), 6);
  });

  it('is one mix where the wait is shorter than it stays open', () => {
    const c = computePlan(sameCup(lastWaits(mixed(tideline, 'each'), 5)), cards);
    expect(c.cups.every((x) => x.mixes.length === 1)).toBe(true);
  });
});

describe('a top on a piece that is out of its mould', () => {
  const loaf = nightHeron.groups[0]!;
  const top = (amount: Record<string, unknown>): Plan => ({
    ...nightHeron,
    steps: [
      ...nightHeron.steps.filter((s) => s.act.kind !== 'cut' && s.act.kind !== 'air'),
      {
        id: 'top-next-day',
        act: { kind: 'top', cupId: nightHeron.cups[0]!.id, amount, how: 'piped' },
        where: [loaf.id],
        gates: []
      }
    ]
  });

  it('has no rim: all of it is weighed, made when the loaf is out, and lies on it', () => {
    const full = computePlan(nightHeron, cards).groups[0]!;
    const c = computePlan(top({ kind: 'volume', ml: 150 }), cards);
    const [group] = c.groups;
    expect(said(c, 'overfull')).toEqual([]);
    const own = group!.layers.find((l) => l.stepId === 'top-next-day')!;
    expect(own.each).toBeCloseTo(150, 9);
    expect(own.from).toBeCloseTo(full.layers.at(-1)!.to, 6);
    expect(own.to - own.from).toBeGreaterThan(0);
    const out = c.sequence.findIndex((i) => 'stepId' in i && i.stepId.startsWith('demould'));
    const mixes = c.sequence.flatMap((i, at) => (i.kind === 'mix' ? [at] : []));
    expect(mixes.some((at) => at > out)).toBe(true);
    expect(c.score.sittings).toHaveLength(2);
  });

  it('cannot be poured up to a rim that is not there', () => {
    const c = computePlan(top({ kind: 'rim' }), cards);
    expect(c.problems.some((p) => p.stepId === 'top-next-day' && p.level === 'stop')).toBe(true);
  });
});

describe('cups made of others', () => {
  it('are filled in the sitting they are poured in, from a mix of that sitting', () => {
    // The whole loaf, and its jug once more on the next day.
    const jugged = nightHeron.steps.find((s) => {
      const id = (s.act as unknown as { cupId?: string }).cupId;
      return nightHeron.cups.some((x) => x.id === id && 'cups' in x.from);
    })!;
    const shared = (of: number) => ({ kind: 'share' as const, of });
    const plan: Plan = {
      ...nightHeron,
      steps: [
        { ...jugged, act: { ...jugged.act, amount: shared(0.4) } as typeof jugged.act, gates: [] },
        {
          ...jugged,
          id: 'again',
          act: { ...jugged.act, amount: shared(0.4) } as typeof jugged.act,
          gates: [{ id: 'next-day', all: [{ kind: 'since', zero: { stepDone: jugged.id }, minutes: 1200 }] }]
        }
      ]
    };
    const c = computePlan(plan, cards);
    const jug = c.cups.find((x) => x.jug && x.mixes.length)!;
    expect(jug.mixes).toHaveLength(2);
    expect(c.common.map((m) => m.sitting)).toEqual([1, 2]);
    for (const m of jug.mixes) {
      const from = m.filledFrom!.reduce((s, f) => s + f.grams, 0);
      expect(from).toBeCloseTo(m.balance.mixed, 6);
    }
    expect(said(c, 'past-window')).toEqual([]);
  });
});
