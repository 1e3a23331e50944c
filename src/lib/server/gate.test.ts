import { describe, expect, it } from 'vitest';
import { Gate } from './gate';

const later = () => new Promise<void>((done) => setImmediate(done));

describe('a gate', () => {
  it('lets many in at once, and one alone only when they are gone', async () => {
    const gate = new Gate();
    const said: string[] = [];
    const [one, two] = [await gate.enter(), await gate.enter()];
    const alone = gate.alone(async () => {
      said.push('alone');
      await later();
      said.push('done');
    });
    const third = gate.enter().then((out) => {
      said.push('third');
      out();
    });
    await later();
    expect(said).toEqual([]);
    one();
    one();
    await later();
    expect(said).toEqual([]);
    two();
    await Promise.all([alone, third]);
    expect(said).toEqual(['alone', 'done', 'third']);
  });

  it('lets the one that is inside itself be alone, and no second', async () => {
    const gate = new Gate();
    const out = await gate.enter();
    let end: () => void = () => undefined;
    const held = new Promise<void>((done) => (end = done));
    const first = gate.alone(() => held.then(() => 'first'), 1);
    expect(await gate.alone(async () => 'second', 1)).toBe('busy');
    end();
    expect(await first).toBe('first');
    out();
    expect(await gate.alone(async () => 'again')).toBe('again');
  });

  it('opens again after work that failed', async () => {
    const gate = new Gate();
    await expect(gate.alone(() => Promise.reject(new Error('no')))).rejects.toThrow('no');
    const out = await gate.enter();
    out();
  });
});
