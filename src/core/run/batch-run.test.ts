import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import * as demo from '../../../demo/plans';
import { applyEdit } from '../document/apply-edit';
import { computePlan, type Plan } from '../plan';
import { mixed, pourAlone } from '../plan/plans.testing';
import { clocksOf } from './times/clocks';
import { factsOf } from './amounts/actuals';
import { foldRun } from './log/fold';
import { freeze } from './snapshot/freeze';
import { lossesOf, tookOf, usesOf } from './amounts/used';
import { planFromRun } from './after/repeat';
import { tasksOf } from './tasks/tasks-of';
import { type RunEvent } from './log/events';
import type { Task } from './tasks/task';
import { soon } from './run.testing';

const rockpool = pourAlone(demo.rockpool);
const saltings = pourAlone(demo.saltings);
const samphire = pourAlone(demo.samphire);
const shingle = pourAlone(demo.shingle);
const tideline = pourAlone(demo.tideline);

const MINUTE = 60_000;
const begun = (plan: Plan) => {
  const computed = computePlan(plan, cards);
  return { plan, computed, tasks: tasksOf(plan, computed) };
};
let count = 0;
const event = (body: Record<string, unknown>, at: number) =>
  ({ id: `event-${String(++count).padStart(4, '0')}`, at, ...body }) as RunEvent;
/** Everything done as planned, a minute apart, but for what `differently` says of a task. */
function played(
  tasks: readonly Task[],
  differently: (t: Task) => Record<string, unknown> | undefined = () => undefined
) {
  return tasks.map((t, i) =>
    event(
      differently(t) ??
        (t.kind === 'weigh' ? { type: 'weighed', task: t.id, grams: t.grams } : { type: 'done', task: t.id }),
      i * MINUTE
    )
  );
}
const kinds = (tasks: readonly Task[]) =>
  tasks.map((t) => (t.kind === 'weigh' ? `${t.kind} ${t.mixId} ${t.key}` : t.kind));

describe('one mix split into cups', () => {
  const { computed, tasks } = begun(rockpool);

  it('is weighed and stirred first, then each cup from light to dark, then poured', () => {
    expect(kinds(tasks).slice(0, 6)).toEqual([
      'prepare',
      'weigh ~mix A',
      'weigh ~mix B',
      'stir',
      'weigh foam portion',
      'weigh foam foam-white'
    ]);
    const firstPour = tasks.findIndex((t) => t.kind === 'pour');
    expect(tasks.slice(firstPour).every((t) => t.kind === 'pour' || t.kind === 'demould')).toBe(true);
    expect(computed.lightToDark.at(-1)).toBe('black');
  });

  it('starts every cup’s clock when the parts of the mix meet', () => {
    const upTo = tasks.findIndex((t) => t.kind === 'pour');
    const state = foldRun(tasks, played(tasks.slice(0, upTo)), 0.1);
    const met = tasks.findIndex((t) => t.id === 'weigh:~mix:B') * MINUTE;
    for (const cup of rockpool.cups) expect(state.cups.get(cup.id)!.zero).toBe(met);
    const zeros = clocksOf(freeze(rockpool, cards), state, soon)
      .filter((c) => c.kind === 'pour')
      .map((c) => c.zero);
    expect(zeros).toEqual(rockpool.cups.map(() => met));
  });

  it('follows an overshoot of the base in one cup with that cup’s colour only', () => {
    const portion = tasks.find((t) => t.id === 'weigh:heron:portion')!;
    const until = tasks.indexOf(portion) + 1;
    const state = foldRun(
      tasks,
      played(tasks.slice(0, until), (t) =>
        t === portion && t.kind === 'weigh'
          ? { type: 'weighed', task: t.id, grams: t.grams * 1.1 }
          : undefined
      ),
      0.1
    );
    const target = (id: string) => state.tasks.find((t) => t.task.id === id)!;
    const blue = target('weigh:heron:heron-blue');
    expect(blue.target! / (blue.task.kind === 'weigh' ? blue.task.grams : 1)).toBeCloseTo(1.1, 6);
    const black = target('weigh:black:black-black');
    expect(black.target).toBeCloseTo(black.task.kind === 'weigh' ? black.task.grams : 0, 9);
  });

  const diluted = applyEdit(rockpool, { path: ['cups', 3, 'recipe', 0, 'letDown'], value: 9 });

  it('takes parts from the shelf once, and a let-down as its jar was made', () => {
    const run = begun(diluted);
    const uses = usesOf(foldRun(run.tasks, played(run.tasks), 0.1));
    const used = (key: string) => uses.filter((u) => u.key === key).reduce((s, u) => s + u.grams, 0);
    const [jar] = run.computed.letDowns;
    expect(used('part:clear-slow:A')).toBeCloseTo(run.computed.totals.parts[0]!.grams + jar!.carrier, 6);
    expect(uses.some((u) => u.key.includes('portion'))).toBe(false);
    expect(used('colourant:black-paste')).toBeCloseTo(jar!.colourant, 6);
    expect(jar!.colourant).toBeGreaterThan(
      run.computed.cups[3]!.weighings.find((w) => w.letDown)!.weight / 10
    );
  });

  it('weighs a let-down before anything that runs a clock, its carrier following what went in', () => {
    const run = begun(diluted);
    const [jar] = run.computed.letDowns;
    const weighed = run.tasks.filter((t) => t.kind === 'weigh');
    expect(weighed.slice(0, 2).map((t) => [t.name, t.grams, t.startsClock])).toEqual([
      [jar!.name, jar!.colourant, false],
      [jar!.carrierName, jar!.carrier, false]
    ]);
    const [colourant, carrier] = weighed;
    const over = event({ type: 'weighed', task: colourant!.id, grams: jar!.colourant * 1.2 }, 5);
    const state = foldRun(run.tasks, [over], 0.01);
    expect(state.tasks.find((t) => t.task.id === carrier!.id)!.target).toBeCloseTo(jar!.carrier * 1.2, 9);
    expect([...state.cups.values()].every((c) => c.zero === undefined)).toBe(true);
    const told = factsOf(run.computed, state).find((f) => f.id === colourant!.id);
    expect(told).toMatchObject({ planned: jar!.colourant, actual: jar!.colourant * 1.2, unit: 'g' });
  });
});

describe('several mixes of one cup', () => {
  const many = applyEdit(samphire, { path: ['groups', 0, 'count'], value: 22 });
  const { computed, tasks } = begun(many);

  it('are each weighed, stirred and poured before the next', () => {
    const n = computed.cups[0]!.mixes.length;
    const pours = tasks.filter((t) => t.kind === 'pour');
    expect(pours).toHaveLength(n);
    expect(pours.map((p) => p.mixId)).toEqual(computed.cups[0]!.mixes.map((m) => m.mixId));
    const second = tasks.findIndex((t) => t.kind === 'weigh' && t.mixId === 'samphire~2');
    expect(tasks[second - 1]).toBe(pours[0]);
    expect(new Set(tasks.map((t) => t.id)).size).toBe(tasks.length);
  });

  it('say which cavities each is for: every one once, in order', () => {
    const numbers = tasks.flatMap((t) => (t.kind === 'pour' ? [t.numbers!] : []));
    expect(numbers.map((n) => n.from)).toEqual([1, ...numbers.slice(0, -1).map((n) => n.to + 1)]);
    expect(numbers.at(-1)!.to).toBe(22);
    expect(begun(samphire).tasks.every((t) => t.kind !== 'pour' || t.numbers === undefined)).toBe(true);
  });

  it('give facts of each, and one plan when repeated', () => {
    const state = foldRun(
      tasks,
      played(tasks, (t) =>
        t.kind === 'pour' ? { type: 'done', task: t.id, grams: t.gramsEach * t.count * 1.02 } : undefined
      ),
      0.1
    );
    const facts = factsOf(computed, state).filter((f) => f.id.startsWith('percent:'));
    expect(facts).toHaveLength(computed.cups[0]!.mixes.length);
    const again = planFromRun(many, computed, state, { id: 'again', name: 'again' }).steps[0]!;
    expect(again.act).toMatchObject({ amount: { kind: 'volume', ml: expect.closeTo(64 * 1.02, 1) } });
    expect(tookOf(computed, state)).toEqual([{ groupId: 'hooks', ml: expect.closeTo(64 * 1.02, 6) }]);
  });
});

describe('a reserve', () => {
  const plan = mixed(applyEdit(rockpool, { path: ['cups', 0, 'reserve'], value: 30 }), 'each');
  const { computed, tasks } = begun(plan);

  it('is taken out after the parts and before the colour', () => {
    const own = tasks.filter((t) => t.kind === 'weigh' && t.mixId === 'foam');
    expect(own.map((t) => (t.kind === 'weigh' ? [t.key, !!t.takeOut] : []))).toEqual([
      ['A', false],
      ['B', false],
      ['reserve', true],
      ['foam-white', false]
    ]);
    const foam = computed.cups[0]!;
    expect(foam.balance.reserved).toBeCloseTo(30, 9);
    // The display goes down by what is taken out.
    const [, b, out] = foam.weighings;
    expect(out!.reading).toBeCloseTo(b!.reading - 30, 9);
    const plain = begun(mixed(rockpool, 'each')).computed.cups[0]!;
    expect(foam.weighings[3]!.exact).toBeCloseTo(plain.weighings[2]!.exact, 9);
  });
});

describe('creeping up on a colour', () => {
  const plan = applyEdit(saltings, {
    path: ['cups', 1, 'recipe', 0, 'creep'],
    value: { start: 0.5, step: 0.25 }
  });
  const { computed, tasks } = begun(plan);
  const steps = tasks.filter((t) => t.kind === 'weigh' && t.key === 'samphire-green');

  it('is a start and steps', () => {
    expect(steps.map((t) => (t.kind === 'weigh' ? (t.creeps ?? 1) : 0))).toEqual([1, 2, 3]);
  });

  it('ends with a true percentage when it is enough, and the rest is not asked for', () => {
    const enough = steps[1]!;
    const state = foldRun(
      tasks,
      played(tasks, (t) =>
        t === enough
          ? { type: 'skipped', task: t.id }
          : t === steps[2]
            ? { type: 'note', text: 'enough' }
            : undefined
      ),
      1
    );
    expect(state.tasks.find((t) => t.task === steps[2])!.status).toBe('skipped');
    const percent = factsOf(computed, state).find((f) => f.id === 'percent:samphire:samphire-green')!;
    expect(percent.actual! / percent.planned).toBeCloseTo(0.5, 1);
    const again = planFromRun(plan, computed, state, { id: 'again', name: 'again' });
    expect(again.cups[1]!.recipe[0]!.percent).toBeCloseTo(percent.actual!, 3);
  });
});

describe('what is left in the cups', () => {
  it('tells what clung, once pours and leftovers are weighed', () => {
    const { computed, tasks } = begun(tideline);
    const pours = played(tasks, (t) =>
      t.kind === 'pour' ? { type: 'done', task: t.id, grams: t.gramsEach * t.count } : undefined
    );
    const left = event({ type: 'left', cupId: 'foam', grams: 1.5 }, 1e9);
    const losses = lossesOf(computed, foldRun(tasks, [...pours, left], 0.01));
    expect(losses).toEqual([
      {
        mixed: expect.closeTo(computed.cups[2]!.balance.mixed, 6),
        poured: expect.closeTo(computed.cups[2]!.balance.poured, 6),
        left: 1.5,
        vessel: computed.cups[2]!.balance.vessel,
        baseId: 'clear-quick'
      }
    ]);
  });

  it('chips come from their lot', () => {
    const { computed, tasks } = begun(shingle);
    const uses = usesOf(foldRun(tasks, played(tasks), 0.1));
    expect(uses.find((u) => u.key === 'lot:samphire-offcuts')!.grams).toBeCloseTo(
      computed.totals.fillers[0]!.grams,
      6
    );
  });
});
