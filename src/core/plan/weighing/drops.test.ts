import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { nightHeron } from '../../../../demo/plans';
import { tasksOf } from '../../run';
import type { Plan } from '../../document';
import { computePlan } from '..';

const jugId = nightHeron.cups.find((c) => 'cups' in c.from)!.id;
const pot = nightHeron.cups.flatMap((c) => c.recipe)[0]!;
const dripped: Plan = {
  ...nightHeron,
  cups: nightHeron.cups.map((c) =>
    c.id === jugId ? { ...c, recipe: [{ ...pot, id: 'drops', percent: 0.4 }] } : c
  )
};

describe('neat colour dripped onto a cup made of others', () => {
  const plain = computePlan(nightHeron, cards);
  const c = computePlan(dripped, cards);
  const jug = c.cups.find((x) => x.cupId === jugId)!;

  it('is weighed onto it once it is filled, and taken from the shelf', () => {
    const drops = jug.mixes.flatMap((m) => m.weighings);
    expect(drops.length).toBeGreaterThan(0);
    for (const w of drops) expect(w).toMatchObject({ key: 'drops', kind: 'colourant' });
    const ids = tasksOf(dripped, c).map((t) => t.id);
    const { mixId } = jug.mixes[0]!;
    expect(ids.indexOf(`weigh:${mixId}:drops`)).toBe(ids.indexOf(`fill:${mixId}`) + 1);
    const taken = (x: typeof c) => x.totals.colourants.reduce((s, w) => s + w.grams, 0);
    const grams = drops.reduce((s, w) => s + w.weight, 0);
    expect(grams).toBeGreaterThan(0);
    expect(taken(c) - taken(plain)).toBeCloseTo(grams, 6);
  });

  it('changes nothing of what fills it', () => {
    const before = plain.cups.find((x) => x.cupId === jugId)!;
    expect(jug.mixes.map((m) => m.filledFrom)).toEqual(before.mixes.map((m) => m.filledFrom));
    const grams = jug.mixes[0]!.weighings.reduce((s, w) => s + w.weight, 0);
    expect(jug.mixes[0]!.balance.mixed - before.mixes[0]!.balance.mixed).toBeCloseTo(grams, 9);
  });
});
