import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import type { Plan } from '$core/plan';
import { freeze } from '$core/run';
import { cards } from '../../../../demo/cards';
import { samphire } from '../../../../demo/plans';
import { familyOf, openStore, readRuns, removePlan, savePiece, savePlan, startRun, type Store } from '.';

let store: Store;
const named = (id: string, madeFrom?: Plan['madeFrom']): Plan => ({
  ...samphire,
  id,
  name: id,
  ...(madeFrom ? { madeFrom } : {})
});
const keep = (plan: Plan) => savePlan(store, plan, { basedOn: 'new', now: 1 });
const pour = (id: string, plan: Plan, startedAt: number) =>
  startRun(store, { id, frozen: freeze(plan, cards), startedAt });
const family = async (id: string) => familyOf(store.db, (await readRuns(store.db, [id])).good[0]!);
const ids = (kin: readonly { id: string }[]) => kin.map((k) => k.id);

beforeAll(async () => {
  store = await openStore(join(mkdtempSync(join(tmpdir(), 'kirapen-family-')), 'f.db'), 'drizzle');
  const first = named('first');
  const copy = named('copy', { plan: 'first' });
  const repeat = named('repeat', { run: 'copy-1', plan: 'copy' });
  for (const plan of [first, copy, repeat]) await keep(plan);
  await pour('copy-1', copy, 10);
  await pour('copy-2', copy, 20);
  await pour('repeat-1', repeat, 30);
  for (const number of [1, 2])
    await savePiece(
      store,
      'copy-1',
      {
        id: `p${number}`,
        groupId: 'hooks',
        number,
        note: '',
        faces: [{ face: 'mould face', grade: number === 1 ? 'good' : 'reject', defects: [] }]
      },
      40
    );
});

describe('a pour’s family', () => {
  it('is what its plan was made from, back to the first, with how those pours came out', async () => {
    const { from } = await family('repeat-1');
    expect(from.map((k) => [k.kind, k.id])).toEqual([
      ['run', 'copy-1'],
      ['plan', 'first']
    ]);
    expect(from[0]).toMatchObject({ at: 10, good: 1, of: 2 });
  });

  it('is other pours of its plan, and the plans made from it with theirs', async () => {
    const { from, beside, repeats } = await family('copy-1');
    expect([ids(from), ids(beside), ids(repeats), ids(repeats[0]!.runs)]).toEqual([
      ['first'],
      ['copy-2'],
      ['repeat'],
      ['repeat-1']
    ]);
    expect((await family('copy-2')).repeats).toEqual([]);
  });

  it('ends where something is gone, and never goes round', async () => {
    await keep(named('ring-a', { plan: 'ring-b' }));
    await keep(named('ring-b', { plan: 'ring-a' }));
    await pour('ring', named('ring-a', { plan: 'ring-b' }), 50);
    expect(ids((await family('ring')).from)).toEqual(['ring-b', 'ring-a']);
    await removePlan(store, 'first', 60);
    expect(ids((await family('copy-2')).from)).toEqual([]);
  });
});
