import { times } from '../../soak.testing';
import { evenly } from '../../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { concentrationsOf } from '../../dosing';
import { formulaOf, type Colourant } from '../../material';
import { deepColour, deepReflectance, mixtureOf } from './pigment';
import { deltaE } from '../spectrum/difference';
import { flat, labOf, labOfHex, lookOf, type Lab } from '../spectrum/spectrum';
import { hidingThickness } from './hiding';
import { opticsOfColourant, tintLook } from './optics';
import { reflectanceOfHex } from '../spectrum/upsample';

const colourant = (id: string): Colourant => cards.colourants.find((c) => c.id === id)!;
const CLEAR = { kind: 'resin' as const, colour: '#f1ede0', density: 1.1 };
const shelfWhites = ['white-powder', 'white-paste'].map(colourant);

/** What p percent of something in a white reflects, deep: Kubelka and Munk by hand, from the curves alone. */
function byHand(own: { k: ArrayLike<number>; s: ArrayLike<number> }, percent: number, white: Colourant): Lab {
  const w = opticsOfColourant(white);
  const p = percent / 100;
  return labOf(
    flat(0).map((_, i) => {
      const q = (p * own.k[i]! + (1 - p) * w.k[i]!) / (p * own.s[i]! + (1 - p) * w.s[i]!);
      return 1 + q - Math.sqrt(q * q + 2 * q);
    })
  );
}

describe('a tint that is entered', () => {
  const whites = fc.constantFrom(...shelfWhites);
  const percents = fc.constantFrom(1, 2, 5, 10, 20, 50);
  const strengths = evenly(0.1, 20);

  it('comes back, whatever strength the card says, against the white that it was made with', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...cards.colourants.filter((c) => !c.translucent && !/pearl|ink/.test(c.form))),
        fc.tuple(fc.double({ min: -2, max: 2, noNaN: true }), evenly(-1, 1)),
        fc.record({ white: whites, percent: percents, strength: strengths }),
        (card, [level, slope], { white, percent, strength }) => {
          // A pigment that scatters otherwise than the starting value says: more at one end of the light.
          const k = reflectanceOfHex(card.colour).map((r) => (1 - r) ** 2 / (2 * r));
          const s = k.map((_, i) => Math.exp(level + slope * (i / 18 - 1)));
          const real = byHand({ s, k: k.map((m, i) => m * s[i]!) }, percent, white);
          const { hex, onScreen } = lookOf(real);
          // Too weak to be told from the white, or past the screen, there is nothing to type.
          fc.pre(onScreen && deltaE(real, labOfHex(white.colour)) > 2);
          const { colour, strength: whiteStrength } = white;
          const tint = { colour: hex, percent, at: strength, white: { colour, strength: whiteStrength } };
          const entered: Colourant = { ...card, strength, tint };
          expect(deltaE(tintLook(entered, percent).lab, labOfHex(hex))).toBeLessThan(0.5);
          expect(deltaE(byHand(opticsOfColourant(entered), percent, white), labOfHex(hex))).toBeLessThan(0.5);
          // The masstone with it.
          const deep = labOf(deepReflectance(opticsOfColourant(entered)));
          expect(deltaE(deep, labOfHex(card.colour))).toBeLessThan(0.5);
        }
      ),
      { numRuns: times(40, 200) }
    );
  });

  it('that was typed, somewhere between the masstone and the white, comes back as well', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(
          'red-oxide',
          'brown-oxide',
          'ultramarine',
          'chrome-green',
          'violet-paste',
          'blue-paste'
        ),
        evenly(0.25, 0.8),
        fc.constantFrom(5, 10, 20),
        (id, share, percent) => {
          const card = colourant(id);
          const [m, w] = [labOfHex(card.colour), labOfHex('#fbfbf7')];
          const between = (x: number, y: number) => x + (y - x) * share;
          const { hex } = lookOf({ l: between(m.l, w.l), a: between(m.a, w.a), b: between(m.b, w.b) });
          const entered: Colourant = { ...card, tint: { colour: hex, percent } };
          expect(deltaE(tintLook(entered, percent).lab, labOfHex(hex))).toBeLessThan(0.5);
        }
      ),
      { numRuns: 60 }
    );
  });

  it('goes by the strength that trial cards correct it to later', () => {
    const card = colourant('red-oxide');
    const tint = { colour: '#c98f80', percent: 10, at: card.strength };
    const before = opticsOfColourant({ ...card, tint });
    const after = opticsOfColourant({ ...card, tint, strength: card.strength * 1.5 });
    after.k.forEach((v, i) => expect(v / before.k[i]!).toBeCloseTo(1.5, 9));
    // Without a note of the strength that it was entered at, the tint is what counts.
    const { at: _, ...old } = tint;
    expect(opticsOfColourant({ ...card, tint: old, strength: 7 }).k).toEqual(
      opticsOfColourant({ ...card, tint: old, strength: 1 }).k
    );
  });
});

describe('starting values', () => {
  const hides = (id: string) =>
    hidingThickness(mixtureOf({ base: CLEAR, doses: [{ colourant: colourant(id), percent: 1 }] }));
  const inBase = (kind: string, id: string, percent: number): Lab => {
    const base = cards.bases.find((b) => b.kind === kind)!;
    const formula = formulaOf(base);
    if (!formula.ok) throw new Error(kind);
    const [grams] = concentrationsOf(formula.value, [{ colourant: colourant(id), percent, of: 'supplied' }]);
    const look = { kind: base.kind, colour: base.colour, density: formula.value.density };
    return deepColour({ base: look, doses: [{ colourant: colourant(id), percent: grams! }] }).lab;
  };

  it.each(['red-oxide', 'brown-oxide', 'yellow-oxide'])('%s outhides titanium white', (id) => {
    expect(hides(id)).toBeLessThan(hides('white-powder') / 2);
  });

  it('keep titanium white near 2.4 and organic colours clear beside it', () => {
    expect(opticsOfColourant(colourant('white-powder')).s[18]).toBeCloseTo(2.4, 1);
    expect(hides('ultramarine')).toBeGreaterThan(hides('white-powder'));
    expect(opticsOfColourant(colourant('ultramarine')).s[0]).toBeLessThan(0.2);
  });

  it('make a brick rose of red oxide and white', () => {
    const doses = ['red-oxide', 'white-powder'].map((id) => ({ colourant: colourant(id), percent: 1 }));
    const { lab } = deepColour({ base: CLEAR, doses });
    expect(lab.l).toBeGreaterThan(38);
    expect(lab.l).toBeLessThan(58);
    expect(lab.a).toBeGreaterThan(25);
    expect(lab.b).toBeGreaterThan(12);
    expect(lab.b).toBeLessThan(lab.a * 1.1);
  });

  it('make soap black with 1.5 % charcoal, and grey with a tenth of that', () => {
    expect(inBase('soap', 'charcoal', 1.5).l).toBeLessThan(20);
    expect(inBase('soap', 'charcoal', 0.15).l).toBeGreaterThan(28);
  });

  it.each(['red-oxide', 'brown-oxide', 'yellow-oxide'])('nearly saturate concrete with 6 %% of %s', (id) => {
    const [six, ten, two] = [6, 10, 2].map((p) => inBase('concrete', id, p));
    expect(deltaE(six!, ten!)).toBeLessThan(3);
    expect(deltaE(two!, six!)).toBeGreaterThan(1.5 * deltaE(six!, ten!));
  });

  it('of a paste is about half of its powder', () => {
    const [paste, powder] = ['red-paste', 'red-oxide'].map((id) => ({ ...colourant(id), strength: 1 }));
    expect(opticsOfColourant(powder!).s[0]! / opticsOfColourant(paste!).s[0]!).toBeCloseTo(2, 6);
  });
});
