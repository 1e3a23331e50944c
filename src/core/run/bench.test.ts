import { times } from '../soak.testing';
import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import * as demo from '../../../demo/plans';
import { pourAlone } from '../plan/plans.testing';
import { booksOf, stillFrom } from './amounts/ledger';
import { clocksOf } from './times/clocks';
import { correctionsOf } from './correct/corrections';
import { couldDo } from './tasks/could-do';
import { demouldNow, pourUntilNow, refitGate } from './times/refit';
import { fewerCavities } from './correct/fewer-cavities';
import { foldRun } from './log/fold';
import { freeze } from './snapshot/freeze';
import { type FrozenRun } from './snapshot/frozen';
import { inOf, type RunState } from './log/state';
import { isReady, orderOf } from './tasks/ready';
import { checksNow, openChecks } from './tasks/checks';
import { planFromRun } from './after/repeat';
import { factsOf } from './amounts/actuals';
import { planNow } from './correct/plan-now';
import { standingOf, thinners } from './correct/overshoot-options';
import { usesOf } from './amounts/used';
import { type GateTask, type Task } from './tasks/task';
import { type RunEvent } from './log/events';
import { done, event, soon, upTo as untilTask } from './run.testing';
import { metricWords } from '../quantity';

const MINUTE = 60_000;
const tideline = pourAlone(demo.tideline);
const knobs = freeze(tideline, cards);
const roundels = freeze(pourAlone(demo.rockpool), cards);
const hooks = freeze(pourAlone(demo.samphire), cards);
const bookends = freeze(pourAlone(demo.sluice), cards);
const fold = (frozen: FrozenRun, events: RunEvent[]) => foldRun(frozen.tasks, events, 0.01);
/** Everything up to and including a task, a minute apart. */
const upTo = (frozen: FrozenRun, id: string) => untilTask(frozen, id, MINUTE);
const taskOf = (state: RunState, id: string) => state.tasks.find((t) => t.task.id === id)!;

describe('before the first drop', () => {
  const prepare = knobs.tasks[0] as Extract<Task, { kind: 'prepare' }>;

  it('everything is asked: moulds, level, cups, tools, kit, stock, room', () => {
    expect(prepare.checks!.map((c) => c.id)).toEqual([
      'moulds',
      'level',
      'cups',
      'tools',
      'kit',
      'stock',
      'room'
    ]);
    const more = prepare.checks!.flatMap((c) => c.more ?? []);
    expect(more).toEqual(expect.arrayContaining(knobs.computed.cautions));
    expect(more.join('; ')).toMatch(/A mudflat/);
    // As the run goes, whatever would be lightest first.
    const stirs = knobs.tasks.flatMap((t) =>
      t.kind === 'stir' ? (knobs.computed.cups.find((c) => c.cupId === t.cupId)?.letter ?? []) : []
    );
    expect(more).toContain(`cups are stirred in this order: ${stirs.join(', ')}`);
    for (const n of knobs.computed.needs) expect(more.some((m) => m.startsWith(n.name))).toBe(true);
  });

  it('another pair of hands is asked for where two others are being poured, and before all else', () => {
    expect(checksNow(prepare, ['Rockpool'])).toEqual(prepare.checks);
    const [another, ...rest] = checksNow(prepare, ['Rockpool', 'Sluice']);
    expect(rest).toEqual(prepare.checks);
    expect(another!.words).toBe('Another pair of hands has Rockpool or Sluice');
    const ticked = fold(knobs, [event({ type: 'ticked', check: another!.id }, 1)]).ticked;
    expect(openChecks([another!], ticked)).toEqual([]);
    expect(openChecks([another!], new Set())).toHaveLength(1);
  });

  it('what is ticked is closed, and undoing opens it again', () => {
    const tick = event({ type: 'ticked', check: 'level' }, 1);
    expect(openChecks(checksNow(prepare, []), fold(knobs, [tick]).ticked).map((c) => c.id)).not.toContain(
      'level'
    );
    const undone = [tick, event({ type: 'undone', event: tick.id }, 2)];
    expect(openChecks(checksNow(prepare, []), fold(knobs, undone).ticked)).toHaveLength(7);
  });
});

describe('a confirmation without a reading', () => {
  const events = [
    ...upTo(knobs, 'weigh:mudflat:A').slice(0, 1),
    event({ type: 'weighed', task: 'weigh:mudflat:A', grams: 20 }, 2000),
    event({ type: 'done', task: 'weigh:mudflat:B' }, 3000)
  ];
  const state = fold(knobs, events);

  it('is no weight, and is reckoned as what was aimed at then', () => {
    const b = taskOf(state, 'weigh:mudflat:B');
    expect(b.actual).toBeUndefined();
    const a = knobs.tasks.find((t) => t.id === 'weigh:mudflat:A')!;
    const scale = a.kind === 'weigh' ? 20 / a.grams : 0;
    expect(inOf(b)).toBeCloseTo(b.task.kind === 'weigh' ? b.task.grams * scale : 0, 9);
    expect(state.cups.get('mudflat')!.ratioError).toBeCloseTo(0, 9);
    expect(factsOf(knobs.computed, state).find((f) => f.id === 'weigh:mudflat:B')!.actual).toBeUndefined();
  });

  it('takes from the shelf, and says in the record that nothing was read', () => {
    const taken = usesOf(state).map((u) => u.key);
    expect(taken).toEqual(['part:clear-quick:A', 'part:clear-quick:B']);
    expect(correctionsOf(knobs, state).map((c) => c.what)).toContainEqual(
      expect.stringMatching(/hardener in cup A was confirmed without a reading/)
    );
  });
});

describe('what may be done now', () => {
  it('every order of the plan’s own tasks is one in which each waits for what it needs', () => {
    for (const frozen of [knobs, roundels, hooks, bookends]) {
      const order = orderOf(frozen.tasks);
      const place = new Map(frozen.tasks.map((t, i) => [t.id, i]));
      for (const [id, before] of order)
        for (const b of before) expect(place.get(b)!).toBeLessThan(place.get(id)!);
    }
  });

  it('any order that keeps to it comes to the same cups, cavities and weights', () => {
    const order = orderOf(roundels.tasks);
    const straight = fold(
      roundels,
      roundels.tasks.map((t) => done(t, 1))
    );
    fc.assert(
      fc.property(fc.infiniteStream(fc.nat(50)), (picks) => {
        let at = 0;
        const events: RunEvent[] = [];
        for (;;) {
          const state = fold(roundels, events);
          const byId = new Map(state.tasks.map((t) => [t.task.id, t]));
          const free = state.tasks.filter((t) => t.status === 'open' && isReady(t.task.id, order, byId));
          if (!free.length) break;
          events.push(done(free[picks.next().value % free.length]!.task, (at += 1000)));
        }
        const end = fold(roundels, events);
        expect(end.now).toBeUndefined();
        expect(end.tasks.map((t) => [t.task.id, t.actual])).toEqual(
          straight.tasks.map((t) => [t.task.id, t.actual])
        );
      }),
      { numRuns: times(6, 15) }
    );
  });

  it('another mix can be taken in hand, and its weighings follow until it is stirred', () => {
    const events = [done(knobs.tasks[0]!, 0), event({ type: 'chosen', task: 'weigh:heron:A' }, 10)];
    expect(fold(knobs, events).now?.task.id).toBe('weigh:heron:A');
    const weighed = [...events, event({ type: 'weighed', task: 'weigh:heron:A', grams: 10 }, 20)];
    expect(fold(knobs, weighed).now?.task.id).toBe('weigh:heron:B');
    const mixed = knobs.tasks.filter((t) => 'mixId' in t && t.mixId === 'heron' && t.kind !== 'pour');
    const all = [...events, ...mixed.map((t, i) => done(t, 100 + i))];
    expect(fold(knobs, all).now?.task.id).toBe('weigh:mudflat:A');
  });

  it('what cannot be done yet is not taken in hand', () => {
    const events = [done(knobs.tasks[0]!, 0), event({ type: 'chosen', task: 'pour:lay-heron' }, 10)];
    expect(fold(knobs, events).now?.task.id).toBe('weigh:mudflat:A');
  });

  it('a mix for a layer whose gate is shut is offered with when to begin it', () => {
    const events = upTo(knobs, 'pour:lay-mudflat');
    const now = events.at(-1)!.at + MINUTE;
    const offered = couldDo(knobs, fold(knobs, events), { now, dayStart: 0 });
    const heron = offered.find((c) => c.task.id === 'weigh:heron:A')!;
    const gate = knobs.tasks.find((t) => t.id === 'gate:gate-heron') as GateTask;
    // Nothing says yet when the layer after it has its turn, and its clock says when the mould is opened.
    expect(offered.map((c) => c.task.id)).toEqual(['weigh:heron:A']);
    expect(heron.notBefore).toBeGreaterThan(now);
    expect(heron.notBefore).toBeLessThan(events.at(-1)!.at + gate.minutes * MINUTE);
    const open = couldDo(
      knobs,
      fold(knobs, [...events, event({ type: 'reported', groupId: 'knobs', state: 'gelled' }, now)]),
      { now: now + 1, dayStart: 0 }
    );
    expect(open.find((c) => c.task.id === 'weigh:heron:A')!.notBefore).toBeUndefined();
  });

  it('nothing is offered that is not to be done yet, nor a pour of what is lost', () => {
    const first = knobs.tasks[0]!;
    const weighing = couldDo(knobs, fold(knobs, [done(first, 0)]), { now: 1e6, dayStart: 0 });
    expect(weighing.filter((c) => c.notBefore !== undefined)).toEqual([]);
    // Another mix is in hand while one waits to be poured.
    const stirred = [...upTo(knobs, 'stir:mudflat'), event({ type: 'chosen', task: 'weigh:heron:A' }, 1e6)];
    const pours = (events: RunEvent[]) =>
      couldDo(knobs, fold(knobs, events), { now: 1e6, dayStart: 0 }).flatMap((c) =>
        c.task.kind === 'pour' ? [c.task.mixId] : []
      );
    expect(pours(stirred)).toEqual(['mudflat']);
    expect(pours([...stirred, event({ type: 'lost', mixId: 'mudflat' }, 2e6)])).toEqual([]);
  });

  it('the pour whose window closes first is offered first', () => {
    const events = upTo(roundels, roundels.tasks.findLast((t) => t.kind === 'stir')!.id);
    const offered = couldDo(roundels, fold(roundels, events), { now: 1e6, dayStart: 0 });
    const dues = offered.flatMap((c) => c.due ?? []);
    expect(dues).toEqual(dues.toSorted((a, b) => a - b));
  });
});

describe('the books of a run', () => {
  /** The grams of a run by hand: everything that went in, and everything that came out, from the events alone. */
  function ledger(frozen: FrozenRun, events: readonly RunEvent[]) {
    const byId = new Map(frozen.tasks.map((t) => [t.id, t]));
    let [put, out] = [0, 0];
    for (const e of events) {
      if (e.type === 'weighed') {
        const task = byId.get(e.task)!;
        if (task.kind === 'weigh' && task.portionOf === undefined) put += e.grams;
      }
      if (e.type === 'rewetted') put += e.grams;
      if (e.type === 'topped') put += e.lines.reduce((s, l) => s + l.grams, 0);
      if (e.type === 'spilled' || e.type === 'misplaced') out += e.grams;
      if (e.type === 'done' && byId.get(e.task)?.kind === 'pour') out += e.grams ?? 0;
    }
    return put - out;
  }

  it.each([
    ['each cup by itself', knobs, ['mudflat', 'heron', 'foam']],
    ['one mix split', roundels, ['foam', 'heron', 'black']]
  ] as const)(
    '%s: whatever goes wrong, what is put in is what came out and what is left',
    (_, frozen, cups) => {
      const mishaps = fc.array(
        fc.record({
          kind: fc.constantFrom('rewetted', 'spilled', 'topped', 'misplaced'),
          cup: fc.constantFrom(...cups),
          grams: evenly(0.01, 0.3),
          after: fc.nat(frozen.tasks.length - 1)
        }),
        { maxLength: 12 }
      );
      fc.assert(
        fc.property(mishaps, (planned) => {
          const events: RunEvent[] = [];
          frozen.tasks.forEach((t, i) => {
            const at = i * 1000;
            events.push(
              t.kind === 'pour'
                ? event({ type: 'done', task: t.id, grams: t.gramsEach * t.count }, at)
                : done(t, at)
            );
            for (const m of planned.filter((p) => p.after === i)) {
              const pour = frozen.tasks.find((x) => x.kind === 'pour' && x.cupId === m.cup)!;
              const told = {
                rewetted: { type: 'rewetted', mixId: m.cup, part: 'A', grams: m.grams },
                spilled: { type: 'spilled', mixId: m.cup, grams: m.grams },
                topped: { type: 'topped', mixId: m.cup, lines: [{ key: 'A', grams: m.grams }] },
                misplaced: {
                  type: 'misplaced',
                  task: pour.id,
                  groupId: 'groupId' in pour ? pour.groupId : '',
                  grams: m.grams
                }
              }[m.kind];
              events.push(event(told, at + 500));
            }
          });
          const state = foldRun(frozen.tasks, events, 0.01);
          const books = [...booksOf(frozen, state).values()];
          const splitMixes = new Set(
            frozen.tasks.flatMap((t) => (t.kind === 'weigh' ? (t.portionOf ?? []) : []))
          );
          const jars = books.filter((b) => b.mixId.startsWith('^')).reduce((s, b) => s + b.put, 0);
          const cupsLeft = books
            .filter((b) => !b.mixId.startsWith('^'))
            .reduce((s, b) => s + b.put - b.poured - b.spilled - b.misplaced, 0);
          // A pot's grams went on into its cups as portions: they are in neither sum twice.
          const potsPut = books.filter((b) => splitMixes.has(b.mixId)).reduce((s, b) => s + b.poured, 0);
          const portions = frozen.tasks.reduce(
            (s, t) => s + (t.kind === 'weigh' && t.portionOf !== undefined ? t.grams : 0),
            0
          );
          expect(potsPut).toBeCloseTo(portions, 6);
          expect(cupsLeft + jars).toBeCloseTo(ledger(frozen, events), 6);
          for (const b of books) expect(b.left).toBeGreaterThanOrEqual(0);
        }),
        { numRuns: times(15, 40) }
      );
    }
  );

  it('a cup that spilled is short of what it still pours, and a top-up closes it', () => {
    const events = upTo(knobs, 'stir:mudflat');
    const before = booksOf(knobs, fold(knobs, events)).get('mudflat')!;
    expect(before.short).toBe(0);
    const grams = before.left - before.wanted / 2;
    const spilled = event({ type: 'spilled', mixId: 'mudflat', grams }, 1e6);
    const book = booksOf(knobs, fold(knobs, [...events, spilled])).get('mudflat')!;
    expect(book.left).toBeCloseTo(before.wanted / 2, 9);
    expect(book.short).toBeCloseTo(before.wanted / 2, 9);
    const topped = event({ type: 'topped', mixId: 'mudflat', lines: [{ key: 'A', grams: book.short }] }, 2e6);
    expect(booksOf(knobs, fold(knobs, [...events, spilled, topped])).get('mudflat')!.short).toBe(0);
  });

  it('says how many cavities can still be filled whole, and plans for those', () => {
    const events = upTo(knobs, 'stir:heron');
    const { wanted, left } = booksOf(knobs, fold(knobs, events)).get('heron')!;
    const each = wanted / 6;
    const gone = event({ type: 'spilled', mixId: 'heron', grams: left - each * 3.4 }, 1e6);
    const state = fold(knobs, [...events, gone]);
    expect(stillFrom(knobs, state, 'heron').pours).toMatchObject([{ planned: 6, can: 3 }]);
    const fewer = fewerCavities(knobs, state, 'heron')!;
    expect(fewer.groups).toEqual([{ groupId: 'knobs', cavities: 3, given: 3 }]);
    const replanned = event({ type: 'replanned', why: 'spilled', plan: fewer.plan, tasks: fewer.tasks }, 2e6);
    const after = fold(knobs, [...events, gone, replanned]);
    const pours = after.tasks.flatMap((t) => (t.task.kind === 'pour' ? [[t.status, t.task.count]] : []));
    expect(pours).toEqual([
      ['done', 6],
      ['open', 3],
      ['open', 3]
    ]);
    expect(booksOf(knobs, after).get('heron')!.short).toBe(0);
    // The run's own plan stays, and undoing brings all of it back.
    expect(knobs.file.plan.groups[0]!.count).toBe(6);
    const undone = fold(knobs, [
      ...events,
      gone,
      replanned,
      event({ type: 'undone', event: replanned.id }, 3e6)
    ]);
    expect(undone.replanned).toBeUndefined();
    expect(undone.tasks.map((t) => t.task)).toEqual(knobs.tasks);
  });

  it('what another mix of the same cup serves stays', () => {
    // The second layer of six comes from two mixes, of four and of two cavities.
    const tasks = knobs.tasks.flatMap((t): Task[] =>
      t.kind === 'pour' && t.cupId === 'heron'
        ? [
            { ...t, count: 4 },
            { ...t, id: `${t.id}~2`, mixId: 'heron~2', count: 2 }
          ]
        : [t]
    );
    const frozen = { ...knobs, tasks };
    const events = upTo(frozen, 'stir:heron');
    const { left } = booksOf(frozen, fold(frozen, events)).get('heron')!;
    const [first] = tasks.flatMap((t) => (t.kind === 'pour' && t.mixId === 'heron' ? [t] : []));
    expect(fewerCavities(frozen, fold(frozen, events), 'heron')).toBeUndefined();
    const gone = event({ type: 'spilled', mixId: 'heron', grams: left - first!.gramsEach * 3.5 }, 1e6);
    const fewer = fewerCavities(frozen, fold(frozen, [...events, gone]), 'heron')!;
    expect(fewer.groups).toEqual([{ groupId: 'knobs', cavities: 5, given: 1 }]);
    const counts = fewer.tasks.flatMap((t) => (t.kind === 'pour' ? [[t.cupId, t.count]] : []));
    expect(counts).toEqual([
      ['mudflat', 6],
      ['heron', 3],
      ['heron', 2],
      ['foam', 5]
    ]);
  });

  it('a second loss is reckoned from what the first left', () => {
    const events = upTo(knobs, 'stir:heron');
    const short = (cup: string, part: number, list: RunEvent[], at: number): RunEvent[] => {
      const { left, wanted } = booksOf(knobs, fold(knobs, list)).get(cup)!;
      const spilled = [...list, event({ type: 'spilled', mixId: cup, grams: left - wanted * part }, at)];
      const { plan, tasks } = fewerCavities(knobs, fold(knobs, spilled), cup)!;
      return [...spilled, event({ type: 'replanned', why: 'spilled', plan, tasks }, at + 1)];
    };
    const once = short('heron', 0.7, events, 1e6);
    const later = knobs.tasks.slice(knobs.tasks.findIndex((t) => t.id === 'pour:lay-heron'));
    const stirred = [
      ...once,
      ...later
        .slice(0, later.findIndex((t) => t.id === 'stir:foam') + 1)
        .map((t, i) => done(t, 2e6 + i * 1000))
    ];
    const twice = fold(knobs, short('foam', 0.6, stirred, 3e6));
    expect(planNow(knobs, twice).groups[0]!.count).toBe(2);
  });

  it('a lost cup gives up all that needs it, or is begun again and is wasted', () => {
    const events = upTo(knobs, 'stir:heron');
    const lost = event({ type: 'lost', mixId: 'heron' }, 1e6);
    const state = fold(knobs, [...events, lost]);
    expect(booksOf(knobs, state).get('heron')!.left).toBe(0);
    const { tasks } = fewerCavities(knobs, state, 'heron')!;
    const after = fold(knobs, [
      ...events,
      lost,
      event({ type: 'replanned', why: 'lost', plan: knobs.file.plan, tasks }, 2e6)
    ]);
    expect(after.tasks.filter((t) => t.task.kind === 'pour' && t.status === 'open')).toEqual([]);
    expect(after.tasks.filter((t) => t.task.kind === 'demould' && t.status === 'open')).toHaveLength(1);
    const again = fold(knobs, [...events, lost, event({ type: 'restarted', mixId: 'heron' }, 2e6)]);
    expect(again.lost.has('heron')).toBe(false);
    expect(again.now?.task.id).toBe('weigh:heron:A');
    const weighed = (s: RunState) => usesOf(s).reduce((sum, u) => sum + u.grams, 0);
    expect(weighed(again)).toBeCloseTo(weighed(fold(knobs, events)), 9);
  });
});

describe('what was put right is told with what it did', () => {
  it('liquid stirred in moves the ratio, before and after it is done', () => {
    const events = upTo(hooks, 'stir:samphire');
    const state = fold(hooks, events);
    const [liquid] = thinners(hooks, 'samphire');
    expect(liquid!.part).toBe('liquid');
    const asked = standingOf(hooks, state, 'samphire', { part: 'liquid', grams: 20 })!;
    const wet = fold(hooks, [
      ...events,
      event({ type: 'rewetted', mixId: 'samphire', part: 'liquid', grams: 20 }, 1e6)
    ]);
    expect(standingOf(hooks, wet, 'samphire')).toEqual(asked);
    const cup = hooks.computed.cups[0]!.mixes[0]!;
    const held = (key: string) => cup.held.find((p) => p.key === key)!.grams;
    // By hand: 1 : powder over liquid with 20 g more of it.
    expect(asked.words).toContain(`1 : ${(held('powder') / (held('liquid') + 20)).toFixed(2)}`);
    expect(asked.harms).toBe(true);
    expect(
      usesOf(wet)
        .filter((u) => u.key.endsWith(':liquid'))
        .reduce((s, u) => s + u.grams, 0)
    ).toBeCloseTo(
      usesOf(state)
        .filter((u) => u.key.endsWith(':liquid'))
        .reduce((s, u) => s + u.grams, 0) + 20,
      9
    );
    expect(correctionsOf(hooks, wet).at(-1)!.did).toBe(asked.words);
  });

  it('nothing thins a resin', () => expect(thinners(knobs, 'mudflat')).toEqual([]));

  it('another pot is taken from the shelf instead', () => {
    const events = upTo(knobs, 'weigh:mudflat:mudflat-brown');
    const swapped = event(
      {
        type: 'swapped',
        task: 'weigh:mudflat:mudflat-brown',
        instead: 'blue paste',
        colourantId: 'blue-paste'
      },
      1e6
    );
    const keys = (s: RunState) => usesOf(s).map((u) => u.key);
    const brown = keys(fold(knobs, events)).filter((k) => k.startsWith('colourant:'));
    expect(keys(fold(knobs, [...events, swapped])).filter((k) => k.startsWith('colourant:'))).toEqual([
      'colourant:blue-paste'
    ]);
    expect(brown).not.toContain('colourant:blue-paste');
    expect(correctionsOf(knobs, fold(knobs, [...events, swapped])).at(-1)!.what).toMatch(
      /blue paste went into cup A instead of/
    );
  });

  it.each([
    [{ type: 'spilled', mixId: 'mudflat', grams: 2 }, /2\.00 g spilled from cup A/],
    [{ type: 'withdrew', groupId: 'knobs', grams: 3 }, /3\.00 g taken out of knobs/],
    [{ type: 'gestured', task: 'pour:lay-mudflat', times: 2 }, /a gesture 2 more than planned/],
    [
      { type: 'misplaced', task: 'pour:lay-mudflat', groupId: 'knobs', grams: 1 },
      /of cup A poured into knobs .* by mistake/
    ],
    [{ type: 'lost', mixId: 'mudflat' }, /cup A was lost/],
    [{ type: 'skipped', task: 'gate:gate-heron' }, /left out: the wait until gelled/],
    [{ type: 'weighed', task: 'weigh:mudflat:A', grams: 30 }, /resin in cup A: 30\.0 g for/]
  ])('%j, and undoing it tells nothing', (told, words) => {
    const events = upTo(knobs, 'pour:lay-mudflat').filter(
      (e) => !('task' in told && 'task' in e && told.task === e.task && told.type === 'weighed')
    );
    const own = event(told, 1e7);
    const what = correctionsOf(knobs, fold(knobs, [...events, own])).map((c) => metricWords(c.what));
    expect(what.join('\n')).toMatch(words);
    const undone = [...events, own, event({ type: 'undone', event: own.id }, 2e7)];
    expect(
      correctionsOf(knobs, fold(knobs, undone))
        .map((c) => c.what)
        .join('\n')
    ).not.toMatch(words);
  });

  it('a pour after its window is told with the minutes it was late', () => {
    const events = upTo(knobs, 'stir:mudflat');
    const zero = fold(knobs, events).cups.get('mudflat')!.zero!;
    const until = pourUntilNow(knobs, fold(knobs, events), 'mudflat')!.now;
    const pour = (minutes: number) =>
      event({ type: 'done', task: 'pour:lay-mudflat' }, zero + minutes * MINUTE);
    expect(correctionsOf(knobs, fold(knobs, [...events, pour(until - 0.1)]))).toEqual([]);
    expect(correctionsOf(knobs, fold(knobs, [...events, pour(until + 3)])).at(-1)!.what).toMatch(
      /3\.0 min past its window/
    );
  });
});

describe('times that move while a run goes on', () => {
  const events = upTo(knobs, 'stir:mudflat');
  const state = fold(knobs, events);
  const zero = state.cups.get('mudflat')!.zero!;
  const planned = pourUntilNow(knobs, state, 'mudflat')!.planned;
  const untilWith = (told: Record<string, unknown>, at = zero + 10 * MINUTE) =>
    pourUntilNow(knobs, fold(knobs, [...events, event(told, at)]), 'mudflat')!.now;

  it('stay as planned while nothing is read', () =>
    expect(pourUntilNow(knobs, state, 'mudflat')!.now).toBe(planned));

  it('a colder room is later, a warmer one earlier', () => {
    const { roomCelsius } = tideline.bench;
    expect(untilWith({ type: 'room', celsius: roomCelsius - 5 })).toBeGreaterThan(planned * 1.1);
    expect(untilWith({ type: 'room', celsius: roomCelsius + 5 })).toBeLessThan(planned * 0.9);
    expect(untilWith({ type: 'room', celsius: roomCelsius })).toBe(planned);
  });

  it('a warmer probe moves every later time earlier', () => {
    const at = [24, 26, 28, 30, 33].map((celsius) =>
      untilWith({ type: 'probed', of: 'mudflat', celsius }, zero + 12 * MINUTE)
    );
    for (const [i, t] of at.entries()) if (i) expect(t).toBeLessThanOrEqual(at[i - 1]!);
    expect(at.at(-1)!).toBeLessThan(at[0]!);
    // A probe in the air tells nothing.
    expect(untilWith({ type: 'probed', of: 'mudflat', celsius: tideline.bench.roomCelsius })).toBe(planned);
  });

  it('a state told before its time moves them earlier, inside its time it moves nothing', () => {
    expect(
      untilWith({ type: 'felt', cupId: 'mudflat', state: 'holds a line' }, zero + 8 * MINUTE)
    ).toBeLessThan(planned * 0.6);
    expect(untilWith({ type: 'felt', cupId: 'mudflat', state: 'fresh' }, zero + 2 * MINUTE)).toBe(planned);
    expect(untilWith({ type: 'felt', cupId: 'mudflat', state: 'nonsense' })).toBe(planned);
  });

  it('a cup told of moves its own clock, and says why', () => {
    const both = [
      ...upTo(knobs, 'stir:heron').filter((e) => !('task' in e && e.task.startsWith('pour:'))),
      event({ type: 'felt', cupId: 'mudflat', state: 'holds a line' }, zero + 8 * MINUTE)
    ];
    const clocks = clocksOf(knobs, fold(knobs, both), soon).filter((c) => c.kind === 'pour');
    expect(clocks.find((c) => c.of === 'mudflat')!.moved!.why).toBe('holds a line after 8 min');
    expect(clocks.find((c) => c.of === 'heron')!.moved).toBeUndefined();
  });

  it('the wait for a layer and the early edge of demoulding follow the room', () => {
    const poured = upTo(knobs, 'pour:lay-mudflat');
    const gate = knobs.tasks.find((t) => t.id === 'gate:gate-heron') as GateTask;
    const cold = fold(knobs, [...poured, event({ type: 'room', celsius: 15 }, 1e6)]);
    expect(refitGate(knobs, cold, gate).gate.minutes).toBeGreaterThan(gate.minutes * 1.3);
    expect(metricWords(refitGate(knobs, cold, gate).moved!.why)).toMatch(/room 15 °C, planned for 2\d °C/);
    expect(refitGate(knobs, fold(knobs, poured), gate).gate).toBe(gate);
    const demould = knobs.tasks.find((t) => t.kind === 'demould') as Extract<Task, { kind: 'demould' }>;
    expect(demouldNow(knobs, cold, demould).from.now).toBeGreaterThan(demould.from);
    expect(demouldNow(knobs, fold(knobs, poured), demould).from.now).toBe(demould.from);
  });

  it('the maker’s own minutes stay the maker’s', () => {
    const own = freeze(
      {
        ...tideline,
        steps: tideline.steps.map((s) => ({
          ...s,
          gates: s.gates.map((g) => ({
            ...g,
            all: g.all.map((c) => (c.kind === 'state' ? { ...c, minutes: 200 } : c))
          }))
        }))
      },
      cards
    );
    const gate = own.tasks.find((t) => t.id === 'gate:gate-heron') as GateTask;
    const cold = fold(own, [...upTo(own, 'pour:lay-mudflat'), event({ type: 'room', celsius: 12 }, 1e6)]);
    expect(refitGate(own, cold, gate).gate.minutes).toBe(200);
  });
});

it('a top-up follows what was really put in', () => {
  const events = upTo(knobs, 'weigh:mudflat:mudflat-black').map((e) =>
    e.type === 'weighed' && e.task.endsWith('mudflat-brown') ? { ...e, grams: e.grams * 2 } : e
  );
  const plan = planFromRun(tideline, knobs.computed, fold(knobs, events), { id: 'x', name: 'x' });
  const percent = (p: typeof plan) => p.cups[0]!.recipe.find((r) => r.id === 'mudflat-brown')!.percent;
  expect(percent(plan) / percent(tideline)).toBeCloseTo(2, 1);
});
