import { describe, expect, it } from 'vitest';
import type { Db } from './connection';
import { remembered } from './remembered';

const db = () => ({}) as Db;

describe('what is remembered of a database', () => {
  it('is worked out once for each state of its sources', async () => {
    const own = db();
    let [state, worked] = ['one', 0];
    const ask = () =>
      remembered(
        own,
        'sum',
        async () => state,
        async () => ++worked
      );
    expect([await ask(), await ask()]).toEqual([1, 1]);
    state = 'two';
    expect([await ask(), await ask()]).toEqual([2, 2]);
    // An earlier state that comes back is worked out anew: only the last is kept.
    state = 'one';
    expect(await ask()).toBe(3);
  });

  it('is each database’s own, and each question’s', async () => {
    const [a, b] = [db(), db()];
    const ask = (of: Db, key: string, answer: string) =>
      remembered(
        of,
        key,
        async () => '',
        async () => answer
      );
    expect([await ask(a, 'x', 'a x'), await ask(a, 'y', 'a y'), await ask(b, 'x', 'b x')]).toEqual([
      'a x',
      'a y',
      'b x'
    ]);
  });

  it('that failed is asked again', async () => {
    const own = db();
    const fails = () =>
      remembered(
        own,
        'x',
        async () => '',
        () => Promise.reject(new Error('no disk'))
      );
    await expect(fails()).rejects.toThrow('no disk');
    expect(
      await remembered(
        own,
        'x',
        async () => '',
        async () => 7
      )
    ).toBe(7);
  });
});
