import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { celsiusAt, cureOf, paced, rateFor, roomFrom, withDay, type Room } from '.';
import { behaviourOf } from '../material';

const jesmonite = cards.bases.find((b) => b.kind === 'gypsum')!;
const soap = cards.bases.find((b) => b.kind === 'soap')!;
const quick = cards.bases.find((b) => b.id === 'clear-quick')!;
const slower = (celsius: number) => 2 ** ((23 - celsius) / 10);

describe('a room with nights', () => {
  const room: Room = { day: 22, night: 12, hour: 18 };

  it('is dark from eight to seven, whatever day it is', () => {
    expect([0, 119, 121, 12 * 60, 13 * 60 - 1, 13 * 60 + 1].map((m) => celsiusAt(room, m))).toEqual([
      22, 22, 12, 12, 12, 22
    ]);
    expect(celsiusAt(room, 24 * 60 * 3 + 121)).toBe(12);
    expect(celsiusAt(roomFrom(room, 121))).toBe(12);
    expect(celsiusAt(roomFrom(room, -60 * 12))).toBe(12);
    expect(celsiusAt(withDay(room, 30), 10)).toBe(30);
    expect(celsiusAt(withDay(room, 30), 200)).toBe(12);
    expect(celsiusAt(19, 5000)).toBe(19);
  });

  it('holds up a long cure as an hour-by-hour sum says', () => {
    // By an independent sum: a minute at a time, each worth what its temperature makes of it.
    fc.assert(
      fc.property(
        evenly(0, 23.9),
        fc.integer({ min: 10, max: 26 }),
        fc.integer({ min: 2, max: 26 }),
        (hour, day, night) => {
          const r = { day, night, hour };
          // Two days and more at 23 °C: over several nights, whenever it begins.
          const wanted = 3000;
          const slow = { ...jesmonite, setMinutes: wanted } as typeof jesmonite;
          let [done, minute] = [0, 0];
          const tick = 0.25;
          while (done < wanted) {
            const h = (hour + minute / 60) % 24;
            done += tick / slower(h >= 20 || h < 7 ? night : day);
            minute += tick;
          }
          expect(Math.abs(behaviourOf(slow).layerFirm(5, r) - minute)).toBeLessThan(2);
        }
      ),
      { numRuns: 40 }
    );
  });

  it('lets a resin that lags behind meet its nights when they come', () => {
    // A small-step sum of the model’s own law for a thin layer, which has the room’s temperature throughout.
    const open = quick.openMinutes;
    const k0 = rateFor(open);
    const lagging = 1.6;
    const alone = (hour: number, day: number, night: number): number => {
      let [alpha, minute] = [1e-4, 0];
      const tick = 0.05;
      while (alpha < 0.8) {
        const h = (hour + minute / 60) % 24;
        const kelvin = 273.15 + (h >= 20 || h < 7 ? night : day);
        const rate =
          Math.exp((-50_000 / 8.314) * (1 / kelvin - 1 / 296.15)) * (alpha + 0.02) ** 0.3 * (1 - alpha) ** 2;
        alpha += (k0 / lagging) * rate * tick;
        minute += tick;
      }
      return minute;
    };
    for (const hour of [12, 15, 17, 19.5]) {
      const r = { day: 24, night: 12, hour };
      const model = paced(behaviourOf(quick), lagging).layerFirm(0.5, r);
      const sum = alone(hour, 24, 12);
      expect(Math.abs(model - sum) / sum, `begun at ${hour}`).toBeLessThan(0.05);
    }
  });

  it('with nights as warm as its days is a room of one temperature', () => {
    const even = { day: 21, night: 21, hour: 15 };
    for (const base of [jesmonite, soap, quick]) {
      const b = behaviourOf(base);
      expect(b.pourUntil(120, even)).toBeCloseTo(b.pourUntil(120, 21), 9);
      expect(b.layerFirm(6, even)).toBeCloseTo(b.layerFirm(6, 21), 9);
    }
  });

  it('lets a thin layer of resin firm later the colder its nights', () => {
    const firm = (night: number) => behaviourOf(quick).layerFirm(4, { day: 21, night, hour: 17 });
    expect(firm(12)).toBeGreaterThan(firm(16));
    expect(firm(16)).toBeGreaterThan(behaviourOf(quick).layerFirm(4, 21));
    // What is firm before nightfall knows nothing of it.
    const cup = (night: number) => behaviourOf(quick).pourUntil(100, { day: 21, night, hour: 9 });
    expect(cup(5)).toBe(cup(21));
  });
});

describe('parts that are joined warm', () => {
  it('shorten the cup, and leave the layer to the room', () => {
    const [warm, plain] = [behaviourOf(quick, 30), behaviourOf(quick)];
    expect(warm.pourUntil(100, 21)).toBeLessThan(plain.pourUntil(100, 21));
    expect(warm.cupPeak(100, 21)).toBeGreaterThan(plain.cupPeak(100, 21));
    expect(warm.layerFirm(4, 21)).toBe(plain.layerFirm(4, 21));
    expect(warm.warmsTo(24, { layer: 12 }, 21)).toBe(plain.warmsTo(24, { layer: 12 }, 21));
    expect(warm.warmsTo(29, { cup: 100 }, 21)).toBe(0);
    expect(plain.warmsTo(29, { cup: 100 }, 21)).toBeGreaterThan(5);
    expect(behaviourOf(quick, 21).pourUntil(100, 21)).toBe(plain.pourUntil(100, 21));
    expect(cureOf(60, { cup: 100 }, 23, 35).course[0]).toMatchObject({ minute: 0, celsius: 35 });
  });

  it('count in what follows its card too: twice as fast every 10 °C', () => {
    expect(behaviourOf(soap, 31).pourUntil(900, 21)).toBeCloseTo(behaviourOf(soap).pourUntil(900, 21) / 2, 9);
    expect(behaviourOf(jesmonite, 11).cupReaches('set', 300, 21)).toBeCloseTo(
      2 * behaviourOf(jesmonite).cupReaches('set', 300, 21),
      9
    );
  });
});

it('a pace is a factor on every time, and on no heat', () => {
  const own = behaviourOf(quick);
  const faster = paced(own, 0.5);
  expect(faster.pourUntil(100, 21)).toBe(own.pourUntil(100, 21) / 2);
  expect(faster.goneBy(100, 21)).toBe(own.goneBy(100, 21) / 2);
  expect(faster.layerReaches('gelled', 4, 21)).toBe(own.layerReaches('gelled', 4, 21) / 2);
  expect(faster.cupReaches('paste', 100, 21)).toBe(own.cupReaches('paste', 100, 21) / 2);
  expect(faster.warmsTo(30, { cup: 100 }, 21)).toBe(own.warmsTo(30, { cup: 100 }, 21) / 2);
  expect(faster.layerFirm(4, 21)).toBe(own.layerFirm(4, 21) / 2);
  expect(faster.cupPeak(100, 21)).toBe(own.cupPeak(100, 21));
  expect(paced(own, 1)).toBe(own);
});
