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
});
