import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { figuresOf, Plan } from '../plan';
import { TECHNIQUES, materialsFor } from '../pour';
import { coloursOf, planToMake, potsApart } from './plan-to-make';

const shelf = { ...cards, lots: [] };
const baseOf = (kind: string) => shelf.bases.find((b) => b.kind === kind)!;
const asked = (techniqueId: string, baseId: string, mouldId = 'roundel') => {
  const technique = TECHNIQUES.find((t) => t.id === techniqueId)!;
  const base = shelf.bases.find((b) => b.id === baseId)!;
  const pots = potsApart(base, shelf.colourants).slice(0, coloursOf(technique));
  return { id: 'p', techniqueId, mouldId, baseId, good: 12, colourantIds: pots.map((p) => p.id) };
};
const pairs = TECHNIQUES.flatMap((t) =>
  materialsFor(t).flatMap((m) => (baseOf(m.kind) ? [[t.id, m.kind, baseOf(m.kind).id] as const] : []))
);

describe('a plan from a technique and a few answers', () => {
  it.each(pairs)(
    '%s in %s is whole: valid, every cup coloured and poured, nothing in the way',
    (id, _, baseId) => {
      const plan = planToMake(shelf, asked(id, baseId))!;
      expect(Plan.safeParse(plan).error).toBeUndefined();
      expect(plan.order).toEqual({ good: 12 });
      const computed = figuresOf(plan, shelf);
      expect(computed.problems.filter((p) => p.level === 'stop')).toEqual([]);
      const mixed = plan.cups.filter((c) => 'mix' in c.from);
      for (const cup of mixed) expect(cup.recipe.length, cup.name).toBe(1);
      for (const cup of computed.cups) expect(cup.balance.mixed, cup.letter).toBeGreaterThan(0);
    }
  );

  it('keeps to a colourant’s own limit, and calls a cup after its pot', () => {
    const paste = shelf.colourants.find((c) => c.id === 'blue-paste')!;
    const low = { ...shelf, colourants: [{ ...paste, limit: 0.4 }] };
    const plan = planToMake(low, { ...asked('layers', 'clear-quick'), colourantIds: ['blue-paste'] })!;
    expect(plan.cups[0]).toMatchObject({ name: 'blue', recipe: [{ percent: 0.4 }] });
  });

  it('divides one mix where soap goes by trace, and mixes resin cup by cup', () => {
    const soap = planToMake(shelf, asked('cup-swirl', baseOf('soap').id))!;
    expect(soap.mixes.map((m) => m.feeds)).toEqual(['split']);
    const resin = planToMake(shelf, asked('layers', 'clear-quick'))!;
    expect(new Set(resin.mixes.map((m) => m.feeds))).toEqual(new Set(['one cup']));
  });

  it('takes pots that are told apart, the palest first', () => {
    const [first, second] = potsApart(baseOf('resin'), shelf.colourants);
    expect(first!.name).toContain('white');
    expect(second!.colour).not.toBe(first!.colour);
  });

  it('is nothing where the shelf lacks what was asked', () => {
    expect(planToMake(shelf, { ...asked('layers', 'clear-quick'), mouldId: 'gone' })).toBeUndefined();
  });
});
