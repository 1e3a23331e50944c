import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { buoy, rockpool, tideline } from '../../../demo/plans';
import { cureOf } from '../cure';
import { factsOf, foldRun, freeze, gateOpening, isReady, orderOf, type GateTask } from '../run';
import { done, upTo } from '../run/run.testing';
import { applyTechnique, newPlan } from '../edit';
import { computePlan, type Plan } from '.';

const base = cards.bases.find((b) => b.id === rockpool.mixes[0]!.baseId)!;

/** Flames of two cups of very different sizes, filled in by the technique. */
function flames(): Plan {
  const bare = newPlan('flames', 'Flames', cards, 'roundel');
  const made = applyTechnique(
    { ...bare, steps: [], mixes: bare.mixes.map((m) => ({ ...m, baseId: base.id })) },
    cards,
    { techniqueId: 'drag-flames', groupId: 'group-1', keep: 'nothing' }
  );
  const [first, second] = made.steps.filter((s) => s.act.kind === 'ribbon');
  return {
    ...made,
    steps: made.steps.map((s) =>
      s.id === first!.id
        ? { ...s, act: { ...s.act, amount: { kind: 'share' as const, of: 0.85 } } as typeof s.act }
        : s
    ),
    groups: made.groups.map((g) => ({ ...g, count: 2 })),
    cups: made.cups.map((c) =>
      c.id === (second!.act as unknown as { cupId: string }).cupId ? { ...c, name: 'small' } : c
    )
  };
}

describe('cups that must be as far at one moment', () => {
  const plan = flames();
  const { starts, score, cups } = computePlan(plan, cards);

  it('are mixed apart by the difference of their own times, the slowest first', () => {
    expect(starts!.length).toBeGreaterThan(1);
    for (const s of starts!) {
      const cup = cups.find((c) => c.cupId === s.cupId)!;
      const own = cureOf(base.openMinutes, { cup: cup.mixes[0]!.balance.mixed }, plan.bench.roomCelsius);
      const slowest = Math.max(
        ...starts!.map((x) => {
          const other = cups.find((c) => c.cupId === x.cupId)!;
          return cureOf(base.openMinutes, { cup: other.mixes[0]!.balance.mixed }, plan.bench.roomCelsius)
            .begins['holds a line'];
        })
      );
      expect(s.later).toBeCloseTo(slowest - own.begins['holds a line'], 6);
    }
    // The fuller cup runs ahead, and is mixed later.
    const [small, large] = [...starts!].sort(
      (a, b) =>
        cups.find((c) => c.cupId === a.cupId)!.balance.mixed -
        cups.find((c) => c.cupId === b.cupId)!.balance.mixed
    );
    expect(small!.later).toBe(0);
    expect(large!.later).toBeGreaterThan(1);
  });

  it('are really mixed so: their parts meet apart by just that, and the hands wait in between', () => {
    const met = new Map(score.windows.map((w) => [w.cupId, w.zero]));
    const zero = Math.min(...starts!.map((s) => met.get(s.cupId)!));
    for (const s of starts!) expect(met.get(s.cupId)! - zero).toBeCloseTo(s.later, 6);
    const held = score.gates.filter((g) => g.cupId !== undefined);
    expect(held.map((g) => g.cupId)).toEqual(starts!.filter((s) => s.later > 0).map((s) => s.cupId));
    for (const g of held) {
      expect(g.state).toMatch(/has stood \d/);
      expect(score.blocks.every((b) => b.to <= g.from + 1e-9 || b.from >= g.opens - 1e-9)).toBe(true);
    }
  });

  it('reach the state that is waited for at one moment', () => {
    const reached = starts!.map((s) => {
      const window = score.windows.find((w) => w.cupId === s.cupId)!;
      const grams = cups.find((c) => c.cupId === s.cupId)!.mixes[0]!.balance.mixed;
      return (
        window.zero + cureOf(base.openMinutes, { cup: grams }, plan.bench.roomCelsius).begins['holds a line']
      );
    });
    expect(Math.max(...reached) - Math.min(...reached)).toBeLessThan(1e-6);
  });

  it('are waited for in the run, on the clock of the cup that was mixed first', () => {
    const frozen = freeze(plan, cards);
    const hold = frozen.tasks.find((t) => t.kind === 'gate' && t.holds !== undefined) as GateTask;
    const own = frozen.tasks.find((t) => t.kind === 'weigh' && t.mixId === hold.holds)!;
    const before = upTo(frozen, hold.id, 1000).slice(0, -1);
    const state = foldRun(frozen.tasks, before, 0.01);
    expect(state.now?.task.id).toBe(hold.id);
    const first = state.cups.get(starts![0]!.cupId)!.zero!;
    const opening = gateOpening(hold, state, { now: first, dayStart: 0 }, []);
    expect(opening.open).toBe(false);
    expect((opening.opensAt - first) / 60_000).toBeCloseTo(hold.minutes, 6);
    expect(isReady(own.id, orderOf(frozen.tasks), new Map(state.tasks.map((t) => [t.task.id, t])))).toBe(
      false
    );
    const after = foldRun(frozen.tasks, [...before, done(hold, opening.opensAt)], 0.01);
    expect(after.now?.task.id).toBe(own.id);
    expect(factsOf(frozen.computed, after).find((a) => a.id === hold.id)!.actual).toBeCloseTo(
      hold.minutes,
      2
    );
  });

  it('are all made before the first of them is waited for, and poured one after the other', () => {
    const pours = score.blocks.filter((b) => b.act === 'pour');
    const stirred = score.blocks.filter((b) => b.act === 'stir');
    expect(Math.max(...stirred.map((b) => b.to))).toBeLessThanOrEqual(
      Math.min(...pours.map((b) => b.from)) + 1e-9
    );
  });

  it('need no thought where one waits alone', () => {
    expect(computePlan(tideline, cards).starts).toBeUndefined();
  });
});

describe('a cup that a step waits for the next day', () => {
  const DAY = 1440;
  const [bed] = tideline.steps;
  const foam = tideline.cups.at(-1)!;
  const line: Plan['steps'][number] = {
    id: 'line',
    act: {
      kind: 'ribbon',
      cupId: foam.id,
      amount: { kind: 'share', of: 0.03 },
      path: {
        points: [
          { x: -0.5, y: 0 },
          { x: 0.5, y: 0 }
        ]
      },
      width: 2,
      how: 'piped'
    } as Plan['steps'][number]['act'],
    where: bed!.where,
    gates: [
      {
        id: 'next-day',
        all: [
          { kind: 'since', zero: { stepDone: bed!.id }, minutes: DAY },
          { kind: 'state', state: 'holds a line', of: { cup: foam.id } }
        ]
      }
    ]
  };
  const plan: Plan = { ...tideline, steps: [bed!, line] };
  const { score, sequence, problems, cups } = computePlan(plan, cards);

  it('is mixed so that it comes to its state as the day is over, and is not past its window then', () => {
    const hold = sequence.find((i) => i.kind === 'hold')!;
    expect(hold).toMatchObject({ after: { stepDone: bed!.id }, cupId: foam.id });
    const mixed = cups.find((c) => c.cupId === foam.id)!.mixes[0]!.balance.mixed;
    const own = cureOf(
      cards.bases[0]!.kind === 'resin' ? cards.bases[0]!.openMinutes : NaN,
      { cup: mixed },
      plan.bench.roomCelsius
    );
    expect(hold.kind === 'hold' && hold.minutes).toBeCloseTo(DAY - own.begins['holds a line'], 6);
    const window = score.windows.find((w) => w.cupId === foam.id)!;
    const poured = score.blocks.find((b) => b.stepId === 'line' && b.act === 'pour')!;
    expect(poured.from - window.zero).toBeGreaterThan(own.begins['holds a line'] - 3);
    expect(problems.map((p) => p.code)).not.toContain('past-window');
  });

  it('of soap counts the lye, the melting and the joining before its clock starts', () => {
    const [first, second] = buoy.steps.filter((x) => x.act.kind === 'lay');
    const soap: Plan = {
      ...buoy,
      steps: [
        first!,
        {
          ...second!,
          gates: [
            {
              id: 'next-day',
              all: [
                { kind: 'since', zero: { stepDone: first!.id }, minutes: DAY },
                {
                  kind: 'state',
                  state: 'medium trace',
                  of: { cup: (second!.act as unknown as { cupId: string }).cupId }
                }
              ]
            }
          ]
        }
      ]
    };
    const { score } = computePlan(soap, cards);
    const bed = score.blocks.find((b) => b.stepId === first!.id)!;
    const line = score.blocks.find((b) => b.stepId === second!.id)!;
    expect(score.gates.some((g) => g.cupId !== undefined)).toBe(true);
    expect(line.from - bed.to - DAY).toBeGreaterThan(-1e-6);
    expect(line.from - bed.to - DAY).toBeLessThan(3);
  });

  it('waits in the run as well, on the clock of that step', () => {
    const { tasks } = freeze(plan, cards);
    const wait = tasks.find((t) => t.kind === 'gate' && t.holds === foam.id) as GateTask;
    expect(wait.all![0]!.condition).toMatchObject({ kind: 'since', zero: { stepDone: bed!.id } });
    expect(tasks.indexOf(wait)).toBeLessThan(
      tasks.findIndex((t) => t.kind === 'weigh' && t.mixId === foam.id)
    );
  });

  it('is mixed ahead where the wait is hardly longer than it takes', () => {
    const soon: Plan = {
      ...plan,
      steps: [
        bed!,
        {
          ...line,
          gates: [
            {
              ...line.gates[0]!,
              all: [{ kind: 'since', zero: { stepDone: bed!.id }, minutes: 20 }, line.gates[0]!.all[1]!]
            }
          ]
        }
      ]
    };
    expect(computePlan(soon, cards).sequence.some((i) => i.kind === 'hold')).toBe(false);
  });
});
