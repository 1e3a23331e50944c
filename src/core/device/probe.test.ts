import { describe, expect, it } from 'vitest';
import { readProbe, restingProbe, warmed } from '.';

describe('the stand-in probe', () => {
  it('lags behind what it stands in, and comes there', () => {
    let probe = restingProbe(21);
    const seen: number[] = [];
    for (let s = 0; s < 60; s++) {
      probe = warmed(probe, 41, 1);
      seen.push(probe.shown);
    }
    expect(seen).toEqual([...seen].sort((a, b) => a - b));
    expect(seen[0]).toBeLessThan(26);
    // Two thirds of the way after its lag.
    expect(seen[5]).toBeCloseTo(21 + 20 * (1 - Math.exp(-1)), 6);
    expect(seen.at(-1)).toBeCloseTo(41, 2);
  });

  it('comes as far in one long step as in many short ones', () => {
    const long = warmed(restingProbe(20), 35, 9).shown;
    let short = restingProbe(20);
    for (let i = 0; i < 90; i++) short = warmed(short, 35, 0.1);
    expect(short.shown).toBeCloseTo(long, 9);
  });

  it('reads tenths, and wavers by less than one', () => {
    expect(readProbe(restingProbe(38.04), 0)).toBe(38);
    expect(readProbe(restingProbe(38.04), 1)).toBe(38.1);
    expect(Math.abs(readProbe(restingProbe(38), 1.9) - 38)).toBeLessThanOrEqual(0.1 + 1e-9);
  });
});
