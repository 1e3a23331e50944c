import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { beforeAll, describe, expect, it } from 'vitest';
import { freeze } from '$core/run';
import { cards } from '../../../../demo/cards';
import { samphire } from '../../../../demo/plans';
import { findAll, openStore, recordPage, removeRun, savePlan, startRun, type Store } from '.';

let store: Store;
const frozen = freeze(samphire, cards);
const report = (note: string, defects: string[] = []) =>
  JSON.stringify({ note, faces: [{ face: 'mould face', grade: 'good', defects }] });
const piece = (id: string, runId: string, body: string) =>
  store.write((tx) =>
    tx.run(sql`INSERT INTO pieces (id, run_id, group_id, number, grade, report, changed_at)
      VALUES (${id}, ${runId}, 'hooks', ${Number(id.slice(-1))}, 'good', ${body}, 5)`)
  );

beforeAll(async () => {
  store = await openStore(join(mkdtempSync(join(tmpdir(), 'kirapen-words-')), 'w.db'), 'drizzle');
  await savePlan(store, samphire, { basedOn: 'new', now: 1 });
  for (const [id, startedAt] of [
    ['one', 1],
    ['two', 2],
    ['three', 3]
  ] as const)
    await startRun(store, { id, frozen, startedAt });
  await store.write((tx) => tx.run(sql`UPDATE runs SET name = 'Täglich 100% blau' WHERE id = 'two'`));
  await store.write((tx) =>
    tx.run(
      sql`INSERT INTO lessons (id, run_id, text, learned_at) VALUES ('l1', 'one', 'Warm the "liquid" first', 9)`
    )
  );
  await piece('p1', 'three', report('a chip at the rim', ['pits']));
});

const found = async (words: string) =>
  (await recordPage(store.db, { words, only: 'all', page: 0 })).rows.map((r) => r.id).sort();

describe('words of the record', () => {
  it.each([
    ['samphire', ['one', 'three']],
    ['TÄGLICH', ['two']],
    ['0% b', ['two']],
    ['%', ['two']],
    ['"liquid"', ['one']],
    ['iqui arm', ['one']],
    // Each word may stand elsewhere: in a run's name, a lesson, a piece.
    ['samphire liquid', ['one']],
    ['samphire pits rim', ['three']],
    ['hip', ['three']],
    // Two letters are looked for too.
    ['äg', ['two']],
    ['nothing of it', []]
  ] as const)('%s are found anywhere in a word, in any order', async (words, runs) => {
    expect(await found(words)).toEqual(runs);
  });

  it('follow what is changed and what goes', async () => {
    await store.write((tx) =>
      tx.run(sql`UPDATE pieces SET report = ${report('mended', ['sweat'])} WHERE id = 'p1'`)
    );
    expect([await found('rim'), await found('sweat')]).toEqual([[], ['three']]);
    await store.write((tx) => tx.run(sql`UPDATE lessons SET text = 'Cool it' WHERE id = 'l1'`));
    expect([await found('liquid'), await found('cool')]).toEqual([[], ['one']]);
    // What cannot be read is left out, and takes nothing with it.
    await store.write((tx) => tx.run(sql`UPDATE pieces SET report = '{' WHERE id = 'p1'`));
    expect([await found('sweat'), await found('samphire')]).toEqual([[], ['one', 'three']]);
    await removeRun(store, 'three');
    expect(await found('samphire')).toEqual(['one']);
    const left = await store.db.all(sql`SELECT key FROM search_words ORDER BY key`);
    expect(left).toEqual([{ key: 'l1' }, { key: 'one' }, { key: 'two' }]);
  });

  it('are found from one place too: runs, lessons and pieces, each with its run', async () => {
    await piece('p2', 'one', report('a hair in it', ['pits']));
    const hits = async (words: string) => (await findAll(store.db, words)).map(({ kind, id }) => [kind, id]);
    expect(await hits('blau')).toEqual([['run', 'two']]);
    expect(await hits('cool')).toEqual([['lesson', 'one']]);
    expect(await hits('hair pits')).toEqual([['piece', 'one']]);
    expect(await hits('it')).toEqual([
      ['lesson', 'one'],
      ['piece', 'one']
    ]);
  });

  it('are the same however many rows hold them: rare, common, both, by an independent look', async () => {
    const NAMES = ['tideline knobs', 'tideline hooks', 'heron bars'];
    const NOTES = ['warm room', 'cold room', 'rare crack', ''];
    const all = Array.from({ length: 480 }, (_, i) => ({
      id: `many-${i}`,
      name: `${NAMES[i % 3]} ${i}`,
      // One in 48 has a crack, one in 8 a lesson.
      note: i % 48 === 5 ? 'rare crack' : NOTES[i % 2]!,
      noted: i % 48 === 5 || i % 8 === 0
    }));
    await store.write(async (tx) => {
      for (const r of all) {
        await tx.run(sql`INSERT INTO runs (id, plan_id, name, snapshot, frozen, started_at)
          SELECT ${r.id}, plan_id, ${r.name}, snapshot, frozen, 100 FROM runs WHERE id = 'one'`);
        if (r.noted)
          await tx.run(
            sql`INSERT INTO lessons (id, run_id, text, learned_at) VALUES (${`l-${r.id}`}, ${r.id}, ${r.note}, 9)`
          );
      }
    });
    const counted = async (words: string) => (await recordPage(store.db, { words, only: 'all', page: 0 })).of;
    const holds = (words: string) =>
      all.filter((r) => words.split(' ').every((w) => r.name.includes(w) || (r.noted && r.note.includes(w))))
        .length;
    for (const words of [
      'tideline',
      'tideline crack',
      'crack tideline',
      'heron warm',
      'crack rare',
      'room heron',
      'crack 5',
      'kn crack',
      'hooks cold crack'
    ])
      expect([words, await counted(words)]).toEqual([words, holds(words)]);
    const kinds = async (words: string) => (await findAll(store.db, words)).map((h) => h.kind);
    expect(new Set(await kinds('tideline'))).toEqual(new Set(['run']));
    expect(await kinds('crack')).toEqual(Array(6).fill('lesson'));
  });
});
