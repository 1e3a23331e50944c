import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { pieceOf, picturing, type Face } from '../piece';
import { computePlan, figuresOf, Plan } from '../plan';
import { TECHNIQUES, materialsFor } from '../pour';
import { metricWords } from '../quantity';
import { someOf } from '../soak.testing';
import { applyTechnique } from './apply-technique';
import { mendInTurn } from './mend-in-turn';
import { coloursOf, planToMake, potsApart, startingColours } from './plan-to-make';

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

/** A loaf where soap is poured: of less than a kilo nobody weighs its lye well. */
const mouldFor = (kind: string) => (kind === 'soap' ? 'loaf' : 'roundel');

/** The cups of which a piece shows something, on either face or on a cut along or across. */
function seenIn(plan: Plan): Set<string> {
  const piece = pieceOf(plan, shelf, {}, {})!;
  const faces: Face[] = [
    { kind: 'mould face' },
    { kind: 'open face' },
    ...[0, 90].map((heading) => ({ kind: 'cut' as const, heading, off: 0 }))
  ];
  const shown = faces.flatMap((face) => {
    const drawing = picturing(piece, face, { size: 48 });
    for (;;) {
      const { value, done } = drawing.next();
      if (done) return value.shows;
    }
  });
  return new Set(shown.filter((s) => s.share > 0.002).map((s) => s.cupId));
}

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

  it.each(someOf(pairs, 3))(
    '%s in %s draws no warning once it is mended, and shows every colour',
    async (id, kind, baseId) => {
      const plan = await mendInTurn(
        planToMake(shelf, asked(id, baseId, mouldFor(kind)))!,
        (p) => computePlan(p, shelf).problems
      );
      const warned = computePlan(plan, shelf).problems.filter((p) => p.level !== 'note');
      expect(warned.map((p) => `${p.code}: ${metricWords(p.sentence)}`)).toEqual([]);
      const seen = seenIn(plan);
      const mixed = plan.cups.filter((c) => 'mix' in c.from);
      expect(mixed.filter((c) => !seen.has(c.id)).map((c) => c.name)).toEqual([]);
    }
  );

  it('leaves clear what a technique looks through, and colours the next cup first', () => {
    const begun = (techniqueId: string, baseId: string, pots: string[], count: number) => {
      const technique = TECHNIQUES.find((t) => t.id === techniqueId)!;
      return startingColours(
        technique,
        shelf.bases.find((b) => b.id === baseId)!,
        pots,
        count
      );
    };
    const resin = baseOf('resin').id;
    expect(begun('hearts-bloom', resin, ['white', 'black', 'green'], 3)).toEqual(['', 'white', 'black']);
    expect(begun('layers', resin, ['white', 'black', 'green'], 3)).toEqual(['white', 'black', 'green']);
    expect(begun('drizzle-and-brush', resin, ['white'], 3)).toEqual(['', 'white']);
    const plan = planToMake(shelf, {
      ...asked('hearts-bloom', resin),
      colourantIds: begun('hearts-bloom', resin, ['white-paste', 'black-paste'], 3)
    })!;
    expect(plan.cups.map((c) => [c.name, c.recipe.length])).toEqual([
      ['clear', 0],
      ['titanium white', 1],
      ['carbon black', 1]
    ]);
    // White hearts are seen, and the dark back through the clear that they lie in.
    const seen = seenIn(plan);
    expect(plan.cups.slice(1).filter((c) => !seen.has(c.id))).toEqual([]);
  });

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

  it('puts chips of the material into a terrazzo, and leaves those of the maker', () => {
    const base = baseOf('gypsum');
    const plan = planToMake(shelf, asked('terrazzo', base.id))!;
    const [chips] = plan.cups[0]!.fillers!;
    // Chips of the same material: its own density, and 35 to 55 % of the finished cup.
    expect(chips!.percent).toBeGreaterThanOrEqual(35);
    expect(chips!.percent).toBeLessThanOrEqual(55);
    expect(chips!.density).toBeCloseTo(base.kind === 'gypsum' ? base.density : NaN, 6);
    const { balance } = computePlan(plan, shelf).totals;
    expect(balance.mixed).toBeGreaterThan(0);
    const own = { ...plan, cups: plan.cups.map((c) => ({ ...c, fillers: [{ ...chips!, percent: 38 }] })) };
    const again = applyTechnique(own, shelf, {
      techniqueId: 'terrazzo',
      groupId: 'group-1',
      keep: 'nothing'
    });
    expect(again.cups[0]!.fillers).toEqual([{ ...chips!, percent: 38 }]);
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
