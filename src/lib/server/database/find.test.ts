import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { tideline } from '$demo/plans';
import { loadDemo } from '../demo';
import {
  addEvents,
  facetValues,
  findAll,
  inspectedCounts,
  measuredPieces,
  noteMissingFacets,
  openStore,
  RECORD_PAGE,
  recordPage,
  savePiece,
  savePlan,
  startRun,
  findRun,
  type Facet,
  type RecordAsked,
  type Store
} from '.';

let folder: string;
let store: Store;
const NOW = Date.UTC(2026, 5, 1);

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'kirapen-find-'));
  store = await openStore(join(folder, 'test.db'), 'drizzle');
  await loadDemo(store, NOW);
  await savePlan(
    store,
    { ...tideline, id: 'odd', name: '100 % reed_grass \\ knobs' },
    { basedOn: 'new', now: NOW }
  );
});
afterAll(async () => {
  await store.close();
  rmSync(folder, { recursive: true, force: true });
});

const found = async (q: string) => (await findAll(store.db, q)).map((h) => `${h.kind}: ${h.name}`);
const page = (asked: Partial<RecordAsked>) =>
  recordPage(store.db, { words: '', only: 'all', page: 0, ...asked });

describe('finding', () => {
  it('holds all the words, in any order and of either case, of every kind of thing', async () => {
    expect(await found('KNOBS tideline')).toEqual(
      expect.arrayContaining(['plan: Tideline knobs', 'run: Tideline knobs'])
    );
    expect(await found('dome')).toContain('mould: Dome knobs, 34 mm');
    expect((await found('fingertip')).some((f) => f.startsWith('lesson: Do not pour heron'))).toBe(true);
    expect(await found('tideline nonsense')).toEqual([]);
    expect(await found('  ')).toEqual([]);
  });

  it('what begins with the first word stands first', async () => {
    const [first] = await found('rockpool');
    expect(first).toMatch(/^(plan|run): Rockpool/);
  });

  it.each(['%', '_', '\\', "'", '"; DROP TABLE plans; --'])('“%s” is a letter like any other', async (q) => {
    const plans = (await found(q)).filter((f) => f.startsWith('plan'));
    expect(plans).toEqual(['%', '_', '\\'].includes(q) ? ['plan: 100 % reed_grass \\ knobs'] : []);
  });

  it('finds a piece by its note', async () => {
    const run = (await findRun(store.db, 'tideline-second'))!;
    await savePiece(
      store,
      run.id,
      {
        id: 'tideline-second-piece-2',
        groupId: 'knobs',
        number: 2,
        faces: [{ face: 'mould face', grade: 'good', defects: [] }],
        note: 'a heron feather in the lacquer'
      },
      NOW
    );
    expect(await found('feather')).toEqual(['piece: Tideline knobs, piece 2']);
  });
});

describe('the record page by page', () => {
  it('counts as the pieces were graded, and tells base, castings and lesson', async () => {
    const { rows } = await page({ words: 'tideline' });
    const first = rows.find((r) => r.id === 'tideline-first')!;
    expect(first).toMatchObject({
      base: 'Clear casting resin, quick',
      cast: 6,
      good: 0,
      second: 2,
      reject: 4
    });
    expect(first.lesson).toMatch(/Do not pour heron/);
    expect(await inspectedCounts(store.db)).toMatchObject({ inspected: 69, rejected: 6 });
  });

  it('is filtered by what came of it and by what was said of its pieces', async () => {
    const ids = async (asked: Partial<RecordAsked>) => (await page(asked)).rows.map((r) => r.id);
    expect(await ids({ only: 'open' })).toEqual(['tideline-third']);
    expect(await ids({ words: 'sealed too early' })).toEqual(['sluice-first']);
    expect((await ids({ only: 'rejects' })).sort()).toEqual([
      'rockpool-first',
      'samphire-late',
      'tideline-first'
    ]);
    expect(await ids({ words: '%' })).toEqual([]);
  });

  it('is cut into pages, latest first, each run on one of them', async () => {
    const { frozen } = (await findRun(store.db, 'samphire-late'))!;
    for (let i = 0; i < RECORD_PAGE; i++)
      await startRun(store, { id: `more-${i}`, frozen, startedAt: NOW + i });
    const [one, two] = [await page({}), await page({ page: 1 })];
    expect([one.rows.length, one.of]).toEqual([RECORD_PAGE, RECORD_PAGE + 14]);
    expect(one.rows[0]!.id).toBe(`more-${RECORD_PAGE - 1}`);
    expect(new Set([...one.rows, ...two.rows].map((r) => r.id)).size).toBe(RECORD_PAGE + 14);
    expect((await page({ page: 9 })).rows).toEqual([]);
  });
});

describe('the record is narrowed', () => {
  const ids = async (asked: Partial<RecordAsked>) => (await page(asked)).rows.map((r) => r.id);
  const all = async () => {
    const first = await page({});
    const pages = Array.from({ length: Math.ceil(first.of / RECORD_PAGE) }, (_, p) => page({ page: p }));
    return (await Promise.all(pages)).flatMap((p) => p.rows);
  };
  const holds = async (id: string) => (await findRun(store.db, id))!.frozen.file;

  it('to a material, a mould, a colour and an act, each by what its runs were begun with', async () => {
    await noteMissingFacets(store);
    const values = await facetValues(store.db);
    const has: Record<string, (file: Awaited<ReturnType<typeof holds>>, v: string) => boolean> = {
      material: ({ plan, shelf }, v) =>
        plan.mixes.some((m) => shelf.bases.find((b) => b.id === m.baseId)?.name === v),
      mould: ({ plan, shelf }, v) =>
        plan.groups.some((g) => shelf.moulds.find((m) => m.id === g.mouldId)?.name === v),
      colour: ({ plan }, v) => plan.cups.some((c) => c.name === v)
    };
    for (const [kind, test] of Object.entries(has)) {
      const value = values[kind as Facet][0]!;
      const wanted: string[] = [];
      for (const { id } of await all()) if (test(await holds(id), value)) wanted.push(id);
      const found = await page({ having: { [kind]: value } });
      expect(found.of).toBe(wanted.length);
      expect(wanted).toEqual(expect.arrayContaining(found.rows.map((r) => r.id)));
      expect(found.of).toBeLessThan((await page({})).of);
    }
    expect(values.act.length).toBeGreaterThan(3);
    expect(await ids({ having: { material: 'nothing of the kind' } })).toEqual([]);
  });

  it('to a person, a grade, a defect and the days it was begun on, and to all of these at once', async () => {
    await addEvents(store, 'tideline-second', [
      { id: 'by-someone-01', at: NOW, by: 'ZQ', type: 'note', text: 'a hand of its own' }
    ]);
    expect(await ids({ having: { person: 'ZQ' } })).toEqual(['tideline-second']);
    // R. weighs and T. pours, in the demo: a measured piece is who poured it's.
    const measured = await measuredPieces(store.db, 400);
    expect(measured.length).toBeGreaterThan(4);
    for (const piece of measured) expect(piece.hands).toEqual(['T.']);
    for (const piece of measured) expect(piece.acts.length).toBeGreaterThan(0);
    const rejects = await ids({ grade: 'reject' });
    expect(rejects.length).toBeGreaterThan(0);
    expect(rejects).toEqual(expect.arrayContaining(await ids({ only: 'rejects' })));
    const marred = await ids({ defect: 'colours run together' });
    expect(marred).toContain('tideline-first');
    const { startedAt } = (await all()).find((r) => r.id === 'tideline-first')!;
    expect(await ids({ from: startedAt, to: startedAt + 1 })).toContain('tideline-first');
    expect(await ids({ from: startedAt + 1, to: startedAt + 2 })).not.toContain('tideline-first');
    const both = { defect: 'colours run together', from: startedAt, to: startedAt + 1, words: 'tideline' };
    expect(await ids(both)).toEqual(['tideline-first']);
    expect(await ids({ ...both, having: { person: 'ZQ' } })).toEqual([]);
  });
});
