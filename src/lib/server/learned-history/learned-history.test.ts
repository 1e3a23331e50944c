import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { sql } from 'drizzle-orm';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { cards } from '$demo/cards';
import { demoLots } from '$demo/lots';
import { rockpool, samphire, tideline } from '$demo/plans';
import { demoRuns } from '$demo/runs';
import { AnyEvent, type FrozenRun } from '$core/run';
import type { Lot } from '$core/shelf';
import { stockKey } from '$core/shelf/lot';
import { addEvents, openStore, saveCard, savePiece, savePlan, startRun, type Store } from '../database';
import { USUAL_PREFERENCES } from '$core/preferences';
import {
  taughtByRuns,
  mouldHistory,
  oldLotsOf,
  learnedOf,
  learnedOfEach,
  pointsOf,
  stock,
  taught,
  toolUses
} from './index';
import { storePreferences } from '../preferences';

const TODAY = Date.UTC(2026, 5, 1, 12);
const runs = demoRuns(TODAY);

let folder: string;
let store: Store;

beforeEach(async () => {
  taughtByRuns.clear();
  folder = mkdtempSync(join(tmpdir(), 'kirapen-learned-'));
  store = await openStore(join(folder, 'test.db'), 'drizzle');
  const plans = new Map(runs.map((r) => [r.frozen.file.plan.id, r.frozen.file.plan]));
  for (const plan of plans.values()) await savePlan(store, plan, { basedOn: 'new', now: 1 });
  for (const lot of lotsOfAll()) await saveCard(store, 'lots', lot, { basedOn: 'new', now: 1 });
});

/** A lot of everything that the runs take, bought before all of them: what no lot is kept of is not counted. */
function lotsOfAll(): Lot[] {
  const keys = new Set(
    runs.flatMap((r) =>
      r.frozen.tasks.flatMap((t) => (t.kind === 'weigh' ? (t.takes ?? []).map((x) => x.key) : []))
    )
  );
  return [...keys].flatMap((key, i): Lot[] => {
    const [kind, id, part] = key.split(':');
    const of =
      kind === 'part'
        ? ({ kind, baseId: id!, part: part! } as const)
        : kind === 'colourant'
          ? ({ kind, colourantId: id! } as const)
          : undefined;
    return of
      ? [
          {
            id: `lot-${i}-all`,
            name: key,
            of,
            grams: 100_000,
            price: 0,
            tax: 0,
            carriage: 0,
            boughtAt: 0,
            place: ''
          }
        ]
      : [];
  });
}
afterEach(async () => {
  await store.close();
  rmSync(folder, { recursive: true });
});

/** Stores runs of the demo workshop, their events and pieces. */
async function keep(told: typeof runs): Promise<void> {
  for (const { id, frozen, startedAt, events, pieces } of told) {
    await startRun(store, { id, frozen, startedAt });
    await addEvents(store, id, events);
    for (const piece of pieces) await savePiece(store, id, piece, TODAY);
  }
}
const event = (told: object) => AnyEvent.parse(told);

/** Grams of one stock key that a run's weighings took, summed from its frozen tasks and its events alone. */
function tookOf(run: { frozen: FrozenRun; events: readonly AnyEvent[] }, key: string): number {
  let sum = 0;
  for (const e of run.events) {
    if (e.type !== 'weighed' || !('task' in e) || !('grams' in e)) continue;
    const task = run.frozen.tasks.find((t) => t.id === e.task);
    if (task?.kind !== 'weigh') continue;
    for (const t of task.takes ?? []) if (t.key === key) sum += Number(e.grams) * t.share;
  }
  return sum;
}

describe('the tools of a workshop', () => {
  it('tell in how many runs they were used, and when last', async () => {
    await keep(runs);
    const scale = cards.scales[0]!.id;
    const used = runs.filter((r) =>
      r.events.some((e) => {
        const task = 'task' in e ? r.frozen.tasks.find((t) => t.id === e.task) : undefined;
        return e.type === 'weighed' && task?.kind === 'weigh' && task.scaleId === scale;
      })
    );
    expect(used.length).toBeGreaterThan(1);
    expect(await toolUses(store.db, scale)).toEqual({
      runs: used.length,
      last: Math.max(...used.map((r) => r.startedAt))
    });
    expect(await toolUses(store.db, 'never')).toEqual({ runs: 0 });
  });
});

describe('lots past their use-by', () => {
  it('are told of the run that took from them, by how many days, and of no other', async () => {
    await keep(runs);
    const key = runs[0]!.frozen.tasks.flatMap((t) => (t.kind === 'weigh' ? (t.takes ?? []) : []))[0]!.key;
    const [of] = lotsOfAll().filter((l) => stockKey(l.of, l.id) === key);
    const useBy = runs[0]!.startedAt - 9 * 24 * 3600_000;
    const old = { ...of!, id: 'old-lot', name: 'the old one', useBy };
    await saveCard(store, 'lots', old, { basedOn: 'new', now: 1 });
    const [told] = await oldLotsOf(store.db, runs[0]!.id);
    expect(told).toEqual({ name: 'the old one', days: 9 });
    const others = runs.filter(
      (r) => !r.frozen.tasks.some((t) => t.kind === 'weigh' && t.takes?.some((x) => x.key === key))
    );
    for (const run of others) expect(await oldLotsOf(store.db, run.id)).toEqual([]);
  });
});

describe('what the record knows', () => {
  it('of an empty record is nothing but the day', async () => {
    expect(await learnedOf(store.db, tideline, TODAY)).toEqual({
      today: TODAY,
      lastColours: new Map(),
      uses: []
    });
    expect(await mouldHistory(store.db, 'dome-knobs')).toEqual([]);
  });

  it('is every gram that was weighed, whatever the plan', async () => {
    await keep(runs);
    const learned = await learnedOf(store.db, tideline, TODAY);
    const keys = new Set(learned.uses!.map((u) => u.key));
    expect(keys.size).toBeGreaterThan(5);
    for (const key of keys) {
      const used = learned.uses!.filter((u) => u.key === key).reduce((s, u) => s + u.grams, 0);
      expect(used, key).toBeCloseTo(
        runs.reduce((s, r) => s + tookOf(r, key), 0),
        6
      );
    }
    expect((await learnedOf(store.db, samphire, TODAY)).uses).toEqual(learned.uses);
  });

  it('is the rejects of this plan’s own pieces', async () => {
    await keep(runs);
    const own = runs.filter((r) => r.frozen.file.plan.id === tideline.id).flatMap((r) => r.pieces);
    const rejected = own.filter((p) => p.faces.some((f) => f.grade === 'reject'));
    expect(own.length).toBeGreaterThan(6);
    expect((await learnedOf(store.db, tideline, TODAY)).rejects).toEqual({
      count: rejected.length,
      of: own.length
    });
    const never = { ...tideline, id: 'never-cast' };
    expect((await learnedOf(store.db, never, TODAY)).rejects).toBeUndefined();
  });

  it('of what clings is learned from runs of the same base only', async () => {
    const weighed = runs.filter((r) => r.events.some((e) => e.type === 'left'));
    expect(weighed.length).toBeGreaterThan(0);
    await keep(weighed);
    const bases = new Set(weighed.flatMap((r) => r.frozen.computed.bases.map((b) => b.baseId)));
    // The same for every plan: whichever base it is changed to, its own figure is at hand.
    for (const plan of [tideline, samphire, rockpool]) {
      const { clings } = await learnedOf(store.db, plan, TODAY);
      expect([...clings!.keys()].every((id) => bases.has(id))).toBe(true);
      expect(clings!.size).toBeGreaterThan(0);
    }
  });

  it('of a mould is the colour that went in last, not the run that was stored last', async () => {
    const own = runs.filter((r) => r.frozen.file.plan.id === tideline.id);
    expect(own.length).toBeGreaterThan(1);
    await keep([...own].sort((a, b) => b.startedAt - a.startedAt));
    const [group] = tideline.groups;
    const history = await mouldHistory(store.db, group!.mouldId);
    expect(history.map((h) => h.at)).toEqual(history.map((h) => h.at).sort((a, b) => b - a));
    expect(history).toHaveLength(own.length);
    const last = (await learnedOf(store.db, tideline, TODAY)).lastColours!.get(group!.mouldId)!;
    expect(last).toMatchObject({ name: history[0]!.colourName, colour: history[0]!.colour });
    expect(history[0]).toMatchObject({ cavityId: group!.cavityId, count: group!.count, dye: false });
  });

  it('of a run that goes on follows its events; of a finished one too, once it is told', async () => {
    const run = runs.find((r) => r.frozen.file.plan.id === tideline.id && r.finishedAt)!;
    const finish = run.events.find((e) => e.type === 'finished')!;
    await startRun(store, { id: run.id, frozen: run.frozen, startedAt: run.startedAt });
    const used = async () => (await learnedOf(store.db, tideline, TODAY)).uses!.length;
    expect(await used()).toBe(0);
    await addEvents(store, run.id, [run.events.find((e) => e.type === 'weighed')!]);
    const one = await used();
    expect(one).toBeGreaterThan(0);
    await addEvents(store, run.id, [finish]);
    expect(await used()).toBe(one);
    await addEvents(store, run.id, run.events);
    await taughtByRuns.forget(store, run.id);
    expect(await used()).toBeGreaterThan(one);
  });

  it('is kept once it is told, read again when the workshop opens, and told anew when something is added', async () => {
    await keep(runs);
    const before = await learnedOf(store.db, tideline, TODAY);
    await taughtByRuns.keepAll(store);
    const [{ n }] = (await store.db.all('SELECT count(*) AS n FROM run_summaries' as never)) as [
      { n: number }
    ];
    expect(n).toBe(runs.filter((r) => r.finishedAt).length);
    taughtByRuns.clear();
    expect(await learnedOf(store.db, tideline, TODAY)).toEqual(before);
    // What is kept is what is used: nothing is folded again for it.
    await store.write((tx) =>
      tx.run("UPDATE run_summaries SET body = json_set(body, '$.uses', json('[]'))" as never)
    );
    taughtByRuns.clear();
    expect((await learnedOf(store.db, tideline, TODAY)).uses!.length).toBeLessThan(before.uses!.length);
    for (const run of runs) await taughtByRuns.forget(store, run.id);
    expect(await learnedOf(store.db, tideline, TODAY)).toEqual(before);
  });

  it('tells charts how far each cup was dosed, and the colours measured on its pieces', async () => {
    await keep(runs);
    const run = runs.find((r) => r.frozen.file.plan.id === tideline.id && r.finishedAt)!;
    const { cups } = run.frozen.computed;
    const piece = run.pieces[0]!;
    const measured = [{ cupId: cups[0]!.cupId, colour: '#405060', as: 'as finished' as const }];
    await savePiece(store, run.id, { ...piece, measured }, 99);
    const point = (await pointsOf(store.db)).find((p) => p.runId === run.id)!;
    expect(point.measured).toEqual(measured);
    expect((await pointsOf(store.db)).filter((p) => p.measured)).toHaveLength(1);
    // By hand: what was weighed of each pot over what was planned of it, all of a cup together.
    const sums = (cupId: string) => {
      const own = run.frozen.tasks.flatMap((t) =>
        t.kind === 'weigh' && t.cupId === cupId && !t.part ? [[t.id, t.grams] as const] : []
      );
      const weighed = (id: string) =>
        run.events.reduce((s, e) => s + (e.type === 'weighed' && e.task === id ? e.grams : 0), 0);
      const sum = (of: (id: string, grams: number) => number) =>
        own.reduce((s, [id, grams]) => s + of(id, grams), 0);
      return [sum(weighed), sum((_, grams) => grams)] as const;
    };
    for (const dose of point.doses!) {
      const [actual, planned] = sums(dose.cupId);
      // Percentages are of what is in the cup, so a part that ran over moves them too.
      expect(dose.off).toBeCloseTo(actual / planned - 1, 1);
      expect(cups.find((c) => c.cupId === dose.cupId)!.looks.own.hex).toBe(dose.finished);
    }
    expect(point.doses!.length).toBeGreaterThan(1);
  });

  it('is left out where the workshop has switched it off, and stands in the list all the same', async () => {
    await keep(runs);
    const all = await taught(store.db);
    expect(all.rejects.some((r) => r.of > 0)).toBe(true);
    const before = await learnedOf(store.db, tideline, TODAY);
    expect(before.rejects).toBeDefined();
    for (const kind of ['clings', 'hands', 'rejects'] as const) {
      await storePreferences(store, { ...USUAL_PREFERENCES, unlearned: [kind] });
      const learned = await learnedOf(store.db, tideline, TODAY);
      expect(learned[kind]).toBeUndefined();
      for (const other of (['clings', 'hands', 'rejects'] as const).filter((k) => k !== kind))
        expect(learned[other]).toEqual(before[other]);
      expect(await taught(store.db)).toEqual(all);
    }
  });

  it('is asked for several plans at once, each as if alone', async () => {
    await keep(runs);
    const plans = [tideline, rockpool, samphire];
    const together = await learnedOfEach(store.db, plans, TODAY);
    for (const [i, plan] of plans.entries())
      expect(together[i]).toEqual(await learnedOf(store.db, plan, TODAY));
    expect(await learnedOfEach(store.db, [], TODAY)).toEqual([]);
  });

  it('passes over a run that cannot be read: the others tell what they told', async () => {
    const [one, other] = runs;
    await keep([one!]);
    const alone = await learnedOf(store.db, tideline, TODAY);
    await keep([other!]);
    await store.db.run(sql`UPDATE runs SET frozen = '{"version":1,"torn' WHERE id = ${other!.id}`);
    taughtByRuns.clear();
    const learned = await learnedOf(store.db, tideline, TODAY);
    expect(learned.uses).toEqual(alone.uses);
    expect([...learned.lastColours!]).toEqual([...alone.lastColours!]);
    expect(learned.uses!.length).toBeGreaterThan(0);
  });

  it('passes over an event that names nothing', async () => {
    const [run] = runs;
    await startRun(store, { id: run!.id, frozen: run!.frozen, startedAt: run!.startedAt });
    const { uses } = await learnedOf(store.db, tideline, TODAY);
    await addEvents(store, run!.id, [
      event({ id: 'nowhere-1', at: 1, type: 'weighed', task: 'gone', grams: 9 })
    ]);
    expect((await learnedOf(store.db, tideline, TODAY)).uses).toEqual(uses);
  });

  it('leaves of each lot what runs did not take', async () => {
    await keep(runs);
    const lots = demoLots(TODAY);
    const left = await stock(store.db, { ...cards, lots }, TODAY);
    expect(left.length).toBe(lots.length);
    const { uses } = await learnedOf(store.db, tideline, TODAY);
    const bought = lots.reduce((s, l) => s + l.grams, 0);
    const remains = left.reduce((s, l) => s + l.left, 0);
    // Lots give no more than was weighed in all.
    expect(bought - remains).toBeGreaterThan(0);
    expect(bought - remains).toBeLessThanOrEqual(uses!.reduce((s, u) => s + u.grams, 0) + 1e-6);
  });
});
