import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { computePlan } from '../../plan';
import { cupsOnFace, pieceOf } from '../../piece';
import { planToMake } from '../../edit';
import { assigned, sharesByZone, type ZoneShares } from './assigned';
import { library, ranked, worthShowing } from './library';
import { pouringLike, type AskedByPicture, type PouredLike } from './poured';

const zone = fc.record({
  share: fc.double({ min: 0, max: 1, noNaN: true }),
  zones: fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 4, maxLength: 4 })
});
/** How far colours in cups are off, by a sum of its own. */
const offOf = (colours: ZoneShares[], cups: ZoneShares[], into: readonly (number | undefined)[]) =>
  cups.reduce((s, cup, k) => {
    const own = colours[into[k] ?? -1];
    if (!own) return s + cup.share;
    const zones = own.zones.map((v, i) => Math.abs(v - cup.zones[i]!));
    return s + Math.abs(own.share - cup.share) + (0.5 * zones.reduce((a, b) => a + b)) / 4;
  }, 0);
const ways = (left: number[]): number[][] =>
  left.length ? left.flatMap((i) => ways(left.filter((k) => k !== i)).map((w) => [i, ...w])) : [[]];

describe('which colour goes into which cup', () => {
  it('is the nearest of all ways', () => {
    fc.assert(
      fc.property(
        fc
          .integer({ min: 1, max: 4 })
          .chain((n) =>
            fc.tuple(
              fc.array(zone, { minLength: n, maxLength: n }),
              fc.array(zone, { minLength: n, maxLength: n })
            )
          ),
        ([colours, cups]) => {
          const best = Math.min(...ways(cups.map((_, i) => i)).map((w) => offOf(colours, cups, w)));
          expect(offOf(colours, cups, assigned(colours, cups))).toBeCloseTo(best, 9);
        }
      )
    );
  });

  it('leaves a cup without a colour where there are more cups, and every colour in one cup', () => {
    const plain = (share: number): ZoneShares => ({ share, zones: [share, share, share, share] });
    expect(assigned([plain(0.6), plain(0.3)], [plain(0.3), plain(0.02), plain(0.62)])).toEqual([
      1,
      undefined,
      0
    ]);
  });

  it('counts a face from the middle out: four zones of one area', () => {
    const labels = Int8Array.from({ length: 40 * 40 }, (_, p) =>
      Math.hypot((p % 40) - 19.5, Math.floor(p / 40) - 19.5) < 10 ? 1 : 0
    );
    const { share, zones } = sharesByZone({ width: 40, height: 40, labels }, 1);
    expect(share).toBeCloseTo(Math.PI / 16, 1);
    expect(zones[0]).toBeGreaterThan(0.95);
    expect(zones.slice(1)).toEqual([0, 0, 0]);
  });
});

describe('the library of faces', () => {
  it('knows its own faces for what they are', () => {
    const first = Object.entries(library.faces).map(([id, faces]) => {
      const own = faces[0]!;
      // Traits that lie at this place along every direction are not needed: the library is asked along them.
      const far = Object.entries(library.faces).map(([other, all]) => ({
        other,
        near: Math.min(
          ...all.filter((f) => f !== own).map((f) => Math.hypot(...f.map((v, i) => v - own[i]!)))
        )
      }));
      return { id, nearest: far.sort((a, b) => a.near - b.near)[0]!.other };
    });
    expect(first.filter((f) => f.id === f.nearest).length / first.length).toBeGreaterThan(0.8);
  });

  it('shows a second technique only where it is hardly farther than the first', () => {
    const all = [2, 2.5, 2.7, 9].map((distance, i) => ({ techniqueId: `t${i}`, distance }));
    expect(worthShowing(all).map((r) => r.techniqueId)).toEqual(['t0', 't1']);
    expect(worthShowing([])).toEqual([]);
  });

  it('puts the nearest first', () => {
    const order = ranked(library.mean).map((r) => r.distance);
    expect(order).toEqual([...order].sort((a, b) => a - b));
  });
});

describe('a pour that comes near a picture', () => {
  /** A piece of the techniques' own, seen as flat areas: what is asked for. */
  const asked = (): AskedByPicture => {
    const made = planToMake(cards, {
      id: 'wished',
      techniqueId: 'puddle-stack',
      mouldId: 'roundel',
      baseId: cards.bases.find((b) => b.kind === 'resin')!.id,
      good: 1,
      colourantIds: ['white-paste', 'blue-paste', 'ochre-paste']
    })!;
    const drawn = cupsOnFace(pieceOf(made, cards, {}, {})!, { kind: 'mould face' }, 96);
    const all = drawn.labels.filter((l) => l >= 0).length;
    const inks = ['#e6e2d6', '#3d5a74', '#b3813c'];
    return {
      areas: {
        ...drawn,
        colours: drawn.cups.map((_, i) => ({
          lab: [
            { l: 90, a: 0, b: 6 },
            { l: 37, a: -3, b: -18 },
            { l: 58, a: 14, b: 45 }
          ][i]!,
          hex: inks[i]!,
          share: drawn.labels.filter((l) => l === i).length / all
        }))
      },
      shelf: cards,
      mouldId: 'roundel',
      baseId: made.mixes[0]!.baseId,
      id: 'asked'
    };
  };
  const ended = (ask: AskedByPicture) => {
    const told: PouredLike[][] = [];
    const search = pouringLike(ask);
    for (;;) {
      const { value, done } = search.next();
      told.push(value);
      if (done) return { told, pours: value };
    }
  };

  it('is a plan of real steps with as many cups as colours, coarse at once, then nearer', () => {
    const ask = asked();
    const { told, pours } = ended(ask);
    expect(told[0]![0]!.coarse).toBe(true);
    const off = (p: PouredLike) => p.colours.reduce((s, c) => s + Math.abs(c.drawn - c.wanted.share), 0) / 2;
    const [first] = pours;
    expect(first!.coarse).toBe(false);
    expect(first!.colours).toHaveLength(ask.areas.colours.length);
    expect(off(first!)).toBeLessThanOrEqual(off(told[0]![0]!) + 0.005);
    expect(off(first!)).toBeLessThan(0.08);
    // The first sight is of few pots; what more pots bring nearer comes after it.
    const pots = (p: PouredLike, id: string) => p.plan.cups.find((c) => c.id === id)!.recipe.length;
    for (const [i, c] of told[0]![0]!.colours.entries()) {
      expect(pots(told[0]![0]!, c.cupId)).toBeLessThanOrEqual(2);
      expect(first!.colours[i]!.deltaE! + pots(first!, c.cupId)).toBeLessThanOrEqual(
        c.deltaE! + pots(told[0]![0]!, c.cupId)
      );
    }
    const { problems, cups } = computePlan(first!.plan, cards);
    expect(problems.filter((p) => p.level === 'stop')).toEqual([]);
    for (const c of first!.colours) {
      expect(c.deltaE).toBeLessThan(8);
      expect(cups.find((x) => x.cupId === c.cupId)!.balance.pouredMl).toBeGreaterThan(0);
    }
  });

  it('is none where the material is gone', () => {
    expect(ended({ ...asked(), baseId: 'gone' }).pours).toEqual([]);
  });
});
