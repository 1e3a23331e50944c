import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { advance, emptyPan, readScale, startPouring, tare } from '.';

describe('the stand-in scale', () => {
  it('arrives near what was asked, over it rather than under, and settles', () => {
    fc.assert(
      fc.property(evenly(0.2, 250), evenly(0, 1), (grams, random) => {
        let scale = startPouring(emptyPan(0.01), grams, random);
        let ticks = 0;
        while ((scale.pouring || !readScale(scale, 0).stable) && ticks++ < 5000)
          scale = advance(scale, 0.1, 0);
        const reading = readScale(scale, 0);
        expect(reading.stable).toBe(true);
        expect(reading.grams).toBeGreaterThanOrEqual(grams - 0.011);
        expect(reading.grams).toBeLessThanOrEqual(grams * 1.01 + 0.031);
      })
    );
  });

  it('reads nothing after a tare and lags while it is poured into', () => {
    let scale = startPouring(emptyPan(0.1), 50, 0);
    scale = advance(scale, 1, 0);
    expect(scale.shown).toBeLessThan(scale.load);
    expect(readScale(scale, 0).stable).toBe(false);
    expect(readScale(tare(scale), 0).grams).toBe(0);
  });
});
