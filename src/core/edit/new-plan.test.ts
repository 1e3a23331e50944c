import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { figuresOf, type Plan } from '../plan';
import { formatAmount, parseAmount } from '../document';
import { type Shelf } from '../shelf';
import { newPlan } from './new-plan';
import { tideline } from '../../../demo/plans';
import { metricWords } from '../quantity';

const empty: Shelf = { moulds: [], bases: [], colourants: [], scales: [], vessels: [], lots: [] };

describe('a new plan', () => {
  it('asks for its base where there are several, and says so; the only one is taken', () => {
    const asked = newPlan('p', 'New pour', cards);
    expect(cards.bases.some((b) => b.id === asked.mixes[0]!.baseId)).toBe(false);
    const missing = figuresOf(asked, cards).problems.find((p) => p.code === 'base-missing')!;
    expect(missing).toMatchObject({ level: 'stop', path: 'plan/mixes/mix-1/baseId' });
    expect(missing.sentence).toContain('No material is chosen');
    const one: Shelf = { ...cards, bases: cards.bases.slice(2, 3) };
    expect(newPlan('p', 'New pour', one).mixes[0]!.baseId).toBe(cards.bases[2]!.id);
  });

  it('begins with the mould it is made for, else with the only one, else with none', () => {
    const wanted = cards.moulds[2]!;
    const made = newPlan('p', 'New pour', cards, wanted.id);
    expect(made.groups).toMatchObject([
      { mouldId: wanted.id, cavityId: wanted.cavities[0]!.id, count: wanted.cavities[0]!.count }
    ]);
    expect(made.steps).toHaveLength(1);
    expect(newPlan('p', 'New pour', cards).groups).toEqual([]);
    expect(newPlan('p', 'New pour', cards, 'nowhere').groups).toEqual([]);
    expect(newPlan('p', 'New pour', { ...cards, moulds: [wanted] }).groups[0]!.mouldId).toBe(wanted.id);
  });

  it('weighs on the finest scale, the others beside it; on an empty shelf it stands as well', () => {
    const divisions = newPlan('p', 'New pour', cards).bench.scaleIds.map(
      (id) => cards.scales.find((s) => s.id === id)!.division
    );
    expect(divisions[0]).toBe(Math.min(...cards.scales.map((s) => s.division)));
    expect(new Set(divisions).size).toBe(cards.scales.length);
    const bare = newPlan('p', 'New pour', empty);
    expect(figuresOf(bare, empty).problems.map((p) => p.code)).toEqual(
      expect.arrayContaining(['base-missing', 'scale-missing'])
    );
  });
});

describe('an amount', () => {
  it.each([
    ['1/3', { kind: 'share', of: 1 / 3 }],
    ['½', { kind: 'share', of: 0.5 }],
    ['half', { kind: 'share', of: 0.5 }],
    ['a third', { kind: 'share', of: 1 / 3 }],
    ['Two thirds', { kind: 'share', of: 2 / 3 }],
    ['three quarters', { kind: 'share', of: 0.75 }],
    ['to half', { kind: 'to share', of: 0.5 }],
    ['up to 2/3', { kind: 'to share', of: 2 / 3 }],
    ['2 cm', { kind: 'deep', mm: 20 }],
    ['to 1.5 cm', { kind: 'to level', mm: 15 }],
    ['1/2 in', { kind: 'deep', mm: 12.7 }],
    ['1/3 cup', { kind: 'volume', ml: 78.86 }],
    ['to a dome', { kind: 'dome' }],
    ['to the brim', { kind: 'rim' }]
  ])('“%s” is read', (text, amount) => {
    const read = parseAmount(text);
    expect(read.ok).toBe(true);
    if (!read.ok) return;
    for (const [key, value] of Object.entries(amount)) {
      const found = read.value[key as keyof typeof read.value] as unknown;
      if (typeof value === 'number') expect(found).toBeCloseTo(value, 2);
      else expect(found).toBe(value);
    }
    // As it is written, it is read again as the same.
    const again = parseAmount(metricWords(formatAmount(read.value)));
    expect(again.ok && again.value.kind).toBe(read.value.kind);
  });

  it.each(['0/3', '4/3', '1/0', 'half a cup of tea', '3', ''])(
    '“%s” is refused with the forms to type',
    (text) => {
      const read = parseAmount(text);
      expect(read.ok).toBe(false);
      if (!read.ok) expect(metricWords(read.problem.mend)).toMatch(/4 mm, 3 ml, 5 g, 20 %, 1\/3, half/);
    }
  );
});

describe('an order', () => {
  const ordered = (good: number, count: number, rejects = 0): Plan => ({
    ...tideline,
    groups: [{ ...tideline.groups[0]!, count }],
    order: { good, rejects }
  });

  it.each([
    [48, 6, 8, 6],
    [50, 6, 9, 2],
    [5, 6, 1, 5],
    [1, 1, 1, 1],
    [13, 4, 4, 1]
  ])('of %d good in turns of %d: %d turns, the last of %d', (good, count, turns, lastTurn) => {
    const { order } = figuresOf(ordered(good, count), cards);
    expect(order).toMatchObject({ cast: good, perTurn: count, turns, lastTurn });
    expect((turns - 1) * count + lastTurn).toBe(good);
  });

  it('has all turns in what is needed in all', () => {
    const c = figuresOf(ordered(50, 6), cards);
    for (const need of c.needs) expect(need.inAll).toBeGreaterThanOrEqual(need.grams * 8);
  });
});
