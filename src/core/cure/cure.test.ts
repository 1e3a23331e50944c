import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cureOf, rateFor, RESIN_STATES } from '.';

/** Within 3 %, the agreement the model's figures are stated to. */
const near = (value: number, wanted: number) => expect(Math.abs(value / wanted - 1)).toBeLessThan(0.03);

describe('a resin of 60 minutes at 23 °C', () => {
  it('gels 100 g in a cup at the card’s time', () => {
    near(rateFor(60), 7.4e-3);
    near(cureOf(60, { cup: 100 }, 23).begins.gelled, 60);
  });

  it('runs ahead in a fuller cup', () => {
    const cup = cureOf(60, { cup: 180 }, 23);
    near(cup.reaches(38), 29);
    near(cup.reaches(41), 32);
    near(cup.peakCelsius, 94);
    near(cureOf(60, { cup: 400 }, 23).peakCelsius, 120);
  });

  it('follows the depth of a layer', () => {
    const twelve = cureOf(60, { layer: 12 }, 23);
    near(twelve.peakCelsius, 45);
    near(twelve.begins.firm, 7 * 60);
    const thin = cureOf(60, { layer: 3 }, 23);
    expect(thin.peakCelsius).toBeLessThan(26);
    near(thin.begins.firm, 10 * 60);
    near(cureOf(60, { layer: 25 }, 23).peakCelsius, 118);
  });
});

describe('any resin', () => {
  it('passes its states in order, sooner in a warmer room and in more mass', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 240 }),
        fc.integer({ min: 20, max: 400 }),
        fc.integer({ min: 15, max: 28 }),
        (open, grams, room) => {
          const cure = cureOf(open, { cup: grams }, room);
          const times = RESIN_STATES.map((s) => cure.begins[s.state]);
          expect(times).toEqual([...times].sort((a, b) => a - b));
          expect(cureOf(open, { cup: grams }, room + 4).begins.gelled).toBeLessThan(cure.begins.gelled);
          expect(cureOf(open, { cup: grams * 1.5 }, room).begins.gelled).toBeLessThan(
            cure.begins.gelled * 1.001
          );
        }
      ),
      { numRuns: 30 }
    );
  });
});
it('a cup’s cure is its own, whatever was asked for before it', () => {
  const first = cureOf(37, { cup: 100.04 }, 21).begins.gelled;
  const near = cureOf(37, { cup: 100.01 }, 21).begins.gelled;
  expect(near).toBeGreaterThan(first);
  const thin = cureOf(37, { layer: 5.004 }, 21).begins.gelled;
  expect(cureOf(37, { layer: 5.001 }, 21).begins.gelled).not.toBe(thin);
});
