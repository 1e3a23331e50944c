import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deltaE } from './difference';
import { labOf, labOfHex, labOfXyz, lookOf, flat, xyzOf } from './spectrum';
import { reflectanceOf, reflectanceOfHex } from './upsample';

const hexes = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);

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
      { numRuns: 1000 }
    );
    expect(worst).toBeLessThan(0.5);
  });
});
