import { times } from '../soak.testing';
import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { formulaOf, type Colourant } from '../material';
import { contrastRatio, hidingThickness } from './pigment/hiding';
import {
  deepColour,
  deepReflectance,
  filmReflectance,
  mixtureOf,
  stackReflectance,
  type Tint
} from './pigment/pigment';
import { deltaE } from './spectrum/difference';
import { finished } from './pigment/finish';
import { flat, labOf, labOfHex, lookOf, xyzOf } from './spectrum/spectrum';
import { opticsOfColourant, tintingStrength, tintLook } from './pigment/optics';
import { reflectanceOfHex, reflectanceOfLab } from './spectrum/upsample';

const hexes = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
const colourant = (id: string): Colourant => cards.colourants.find((c) => c.id === id)!;
const baseLook = (id: string) => {
  const base = cards.bases.find((b) => b.id === id)!;
  const formula = formulaOf(base);
  if (!formula.ok) throw new Error(id);
  return { kind: base.kind, colour: base.colour, density: formula.value.density };
};
const looks = cards.bases.map((b) => baseLook(b.id));
const cup = (base: string, ...doses: [string, number][]): Tint => ({
  base: baseLook(base),
  doses: doses.map(([id, percent]) => ({ colourant: colourant(id), percent }))
});
const anyCup = fc.record({
  base: fc.constantFrom(...looks),
  doses: fc.array(
    fc.record({
      colourant: fc.constantFrom(...cards.colourants),
      percent: evenly(0, 8)
    }),
    { maxLength: 4 }
  )
});
const luminance = (r: Float64Array) => xyzOf(r)[1];

describe('upsampling', () => {
  it('gives back 1,000 colours of the screen within ΔE00 0.5, inside 0..1', () => {
    let worst = 0;
    fc.assert(
      fc.property(hexes, (hex) => {
        const r = reflectanceOfHex(hex);
        for (const v of r) {
          expect(v).toBeGreaterThanOrEqual(0);
          expect(v).toBeLessThanOrEqual(1);
        }
        worst = Math.max(worst, deltaE(labOf(r), labOfHex(hex)));
      }),
      { numRuns: times(150, 1000) }
    );
    expect(worst).toBeLessThan(0.5);
  });

  it('takes Lab as well, and keeps black and white', () => {
    const lab = { l: 41, a: 12, b: -30 };
    expect(deltaE(labOf(reflectanceOfLab(lab)), lab)).toBeLessThan(0.1);
    expect(labOf(flat(1))).toMatchObject({
      l: expect.closeTo(100, 6),
      a: expect.closeTo(0, 6),
      b: expect.closeTo(0, 6)
    });
    expect(labOf(reflectanceOfHex('#000000')).l).toBeLessThan(0.5);
  });
});

describe('the pigment model', () => {
  it('without pigment is the base', () => {
    for (const base of looks)
      expect(deltaE(deepColour({ base, doses: [] }).lab, labOfHex(base.colour))).toBeLessThan(0.5);
  });

  it('with nothing but pigment is the masstone', () => {
    const bodied = cards.colourants.filter(
      (c) => !c.translucent && !['ink', 'interference pearl'].includes(c.form)
    );
    for (const c of bodied) {
      const plenty = deepColour({ base: baseLook('clear-quick'), doses: [{ colourant: c, percent: 50 }] });
      expect([c.name, deltaE(plenty.lab, labOfHex(c.colour)) < 0.6]).toEqual([c.name, true]);
    }
  });

  it('in white is the tint, where a card says which', () => {
    // A tint that a real mixture gives: made with the model itself at another strength, then entered as a card would.
    fc.assert(
      fc.property(
        fc.constantFrom('blue-paste', 'red-paste', 'violet-paste', 'chrome-green'),
        evenly(0.3, 4),
        fc.constantFrom(2, 5, 10, 20),
        (id, strength, percent) => {
          const real = { ...colourant(id), strength };
          const tint = { colour: tintLook(real, percent).hex, percent };
          const entered: Colourant = { ...colourant(id), strength: 1, tint };
          expect(deltaE(tintLook(entered, percent).lab, labOfHex(tint.colour))).toBeLessThan(1);
          const deep = deepColour({
            base: baseLook('clear-quick'),
            doses: [{ colourant: entered, percent: 40 }]
          });
          expect(deltaE(deep.lab, labOfHex(entered.colour))).toBeLessThan(1);
        }
      ),
      { numRuns: 60 }
    );
  });

  it('never makes light: 0 ≤ R ≤ 1, for any mixture, thickness and backing', () => {
    fc.assert(
      fc.property(
        anyCup,
        fc.oneof(evenly(0, 5), fc.double({ min: 5, max: 900, noNaN: true })),
        evenly(0, 1),
        (tint, mm, backing) => {
          const optics = mixtureOf(tint);
          for (const r of [filmReflectance(optics, mm, flat(backing)), deepReflectance(optics)])
            for (const v of r) {
              expect(v).toBeGreaterThanOrEqual(-1e-12);
              expect(v).toBeLessThanOrEqual(1 + 1e-12);
            }
        }
      ),
      { numRuns: times(60, 300) }
    );
  });

  it('shows black behind any film darker than white, and a deep film shows neither', () => {
    fc.assert(
      fc.property(anyCup, evenly(0.01, 3), (tint, mm) => {
        const optics = mixtureOf(tint);
        const over = (g: number) => luminance(filmReflectance(optics, mm, flat(g)));
        expect(over(0.02)).toBeLessThanOrEqual(over(0.85) + 1e-12);
        const deep = deepReflectance(optics);
        for (const g of [0.02, 0.85])
          filmReflectance(optics, 1e6, flat(g)).forEach((v, i) => expect(v).toBeCloseTo(deep[i]!, 5));
      }),
      { numRuns: times(60, 200) }
    );
  });

  it('is the backing at no thickness, and laid in two halves the same as in one', () => {
    fc.assert(
      fc.property(anyCup, evenly(0.05, 6), (tint, mm) => {
        const optics = mixtureOf(tint);
        expect([...filmReflectance(optics, 0, flat(0.4))]).toEqual([...flat(0.4)]);
        const one = filmReflectance(optics, mm, flat(0.6));
        const two = stackReflectance(
          [
            { optics, mm: mm / 2 },
            { optics, mm: mm / 2 }
          ],
          flat(0.6)
        );
        one.forEach((v, i) => expect(two[i]).toBeCloseTo(v, 6));
      })
    );
  });

  it('shows an interference pearl over dark and loses it over white', () => {
    const optics = mixtureOf(cup('clear-quick', ['interference-blue', 2]));
    const over = (g: number) => labOf(filmReflectance(optics, 2, flat(g)));
    const bare = (g: number) => labOf(flat(g));
    expect(deltaE(over(0.01), bare(0.01))).toBeGreaterThan(15);
    expect(over(0.01).b).toBeLessThan(-20);
    expect(deltaE(over(0.9), bare(0.9))).toBeLessThan(5);
  });

  it('keeps strengths beside a reference', () => {
    const brown = colourant('brown-paste');
    expect(tintingStrength(brown, brown)).toBe(1);
    expect(tintingStrength({ ...brown, strength: 2 }, brown)).toBeCloseTo(2, 9);
    expect(tintingStrength(colourant('black-paste'), brown)).toBeGreaterThan(4);
    expect(Math.max(...opticsOfColourant(colourant('magenta-ink')).s)).toBeLessThan(0.01);
  });

  it('flags what the screen cannot show, and shows the nearest', () => {
    const strong = lookOf({ l: 50, a: -90, b: 40 });
    expect(strong.onScreen).toBe(false);
    expect(strong.hex).toMatch(/^#[0-9a-f]{6}$/);
    expect(lookOf({ l: 50, a: -10, b: 10 }).onScreen).toBe(true);
  });
});

describe('hiding', () => {
  it('grows with thickness and pigment, and is reached where it says', () => {
    fc.assert(
      fc.property(evenly(0.3, 5), evenly(0.1, 5), (percent, mm) => {
        const optics = mixtureOf(cup('clear-quick', ['white-paste', percent]));
        expect(contrastRatio(optics, mm * 1.2)).toBeGreaterThanOrEqual(contrastRatio(optics, mm));
        const at = hidingThickness(optics);
        expect(contrastRatio(optics, at)).toBeGreaterThanOrEqual(0.98 - 1e-6);
        expect(contrastRatio(optics, at * 0.98)).toBeLessThan(0.98);
        expect(hidingThickness(mixtureOf(cup('clear-quick', ['white-paste', percent * 2])))).toBeLessThan(at);
      }),
      { numRuns: 60 }
    );
  });

  it('of black takes a speck, of a pearl never comes', () => {
    expect(hidingThickness(mixtureOf(cup('clear-quick', ['black-paste', 0.5])))).toBeLessThan(1);
    expect(hidingThickness(mixtureOf(cup('clear-quick', ['interference-blue', 0.2])))).toBe(Infinity);
  });
});

describe('from wet to aged', () => {
  it('concrete lightens as it dries and deepens when sealed; soap yellows; ink dries darker', () => {
    const lab = { l: 55, a: 4, b: 12 };
    const of = (...rest: Parameters<typeof finished> extends [unknown, ...infer R] ? R : never) =>
      finished(lab, ...rest).lab;
    expect(of('concrete', 'wet').l).toBeLessThan(of('concrete', 'sealed').l);
    expect(of('concrete', 'sealed').l).toBeLessThan(of('concrete', 'dry').l);
    expect(of('soap', 'aged').b).toBeGreaterThan(of('soap', 'dry').b);
    expect(of('resin', 'dry', true).l).toBeLessThan(of('resin', 'wet', true).l);
  });
});
