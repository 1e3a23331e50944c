import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { applyEdit } from './apply-edit';

const plan = {
  name: 'knobs',
  cups: [
    { id: 'a', percent: 1, tags: ['x'] },
    { id: 'b', percent: 2, tags: [] as string[] }
  ],
  bench: { room: 21 }
};

describe('an edit', () => {
  it('sets what its path names, by key, by place and by id', () => {
    expect(applyEdit(plan, { path: ['name'], value: 'bars' }).name).toBe('bars');
    expect(applyEdit(plan, { path: ['cups', 1, 'percent'], value: 9 }).cups[1]!.percent).toBe(9);
    expect(applyEdit(plan, { path: ['cups', 'b', 'percent'], value: 9 }).cups[1]!.percent).toBe(9);
    expect(applyEdit(plan, { path: ['bench', 'humid'], value: true }).bench).toEqual({
      room: 21,
      humid: true
    });
    expect(applyEdit(plan, { path: [], value: { ...plan, name: 'all' } }).name).toBe('all');
  });

  it('adds at the end what no id names yet', () => {
    const more = applyEdit(plan, { path: ['cups', 'c'], value: { id: 'c', percent: 3, tags: [] } });
    expect(more.cups.map((c) => c.id)).toEqual(['a', 'b', 'c']);
  });

  it('takes out what is set to nothing, from a list without leaving a hole', () => {
    expect(applyEdit(plan, { path: ['cups', 'a'], value: undefined }).cups.map((c) => c.id)).toEqual(['b']);
    expect(applyEdit(plan, { path: ['cups', 1], value: undefined }).cups.map((c) => c.id)).toEqual(['a']);
    expect('bench' in applyEdit(plan, { path: ['bench'], value: undefined })).toBe(false);
    // What is not there takes nothing along.
    expect(applyEdit(plan, { path: ['cups', 'gone'], value: undefined }).cups).toEqual(plan.cups);
  });

  it('never changes the document it is given, and copies no more than it must', () => {
    const before = structuredClone(plan);
    const after = applyEdit(plan, { path: ['cups', 'b', 'percent'], value: 9 });
    expect(plan).toEqual(before);
    expect(after.cups[0]).toBe(plan.cups[0]);
    expect(after.bench).toBe(plan.bench);
    expect(after.cups).not.toBe(plan.cups);
  });

  it('reaches no prototype', () => {
    const after = applyEdit(plan, { path: ['__proto__', 'polluted'], value: true });
    expect(after).toEqual(plan);
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
    expect(applyEdit(plan, { path: ['bench', '__proto__', 'polluted'], value: true }).bench).toEqual(
      plan.bench
    );
  });

  it('is found again where it was put', () => {
    const key = fc.constantFrom('name', 'note', 'room');
    fc.assert(
      fc.property(fc.array(key, { minLength: 1, maxLength: 4 }), fc.jsonValue(), (path, value) => {
        const made = applyEdit({}, { path, value }) as unknown;
        expect(path.reduce<unknown>((at, k) => (at as Record<string, unknown>)[k], made)).toEqual(value);
      })
    );
  });
});
