import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { castCorrected, pictureCorrected } from './pick';
import { deltaE } from '../spectrum/difference';
import { labOfHex } from '../spectrum/spectrum';
import { mainColours } from '../spectrum/clusters';
import { readPalette, writePalette, writePaletteCsv } from './palette';

const hexes = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);

describe('a whole picture', () => {
  it('is freed of its cast like a single pick', () => {
    fc.assert(
      fc.property(
        fc.array(hexes, { minLength: 1, maxLength: 6 }),
        fc.constantFrom('#f2dfb8', '#c9d4e8'),
        (pixels, white) => {
          const bytes = Uint8ClampedArray.from(
            pixels.flatMap((h) => [...[1, 3, 5].map((i) => parseInt(h.slice(i, i + 2), 16)), 200])
          );
          const out = pictureCorrected(bytes, white);
          pixels.forEach((hex, n) => {
            const one = castCorrected(hex, white);
            [1, 3, 5].forEach((at, i) =>
              expect(Math.abs(out[4 * n + i]! - parseInt(one.slice(at, at + 2), 16))).toBeLessThanOrEqual(1)
            );
            expect(out[4 * n + 3]).toBe(200);
          });
        }
      )
    );
  });
});

describe('a colour from a photo', () => {
  it('is freed of the camera’s cast by the white beside it', () => {
    const cast = (hex: string) => {
      // A warm lamp: red up, blue down, in the photo's own light.
      const lin = [1, 3, 5].map((i) => (parseInt(hex.slice(i, i + 2), 16) / 255) ** 2.2);
      return `#${lin
        .map((v, k) =>
          Math.round(255 * Math.min(1, v * [0.95, 0.8, 0.55][k]!) ** (1 / 2.2))
            .toString(16)
            .padStart(2, '0')
        )
        .join('')}`;
    };
    const white = '#f0f0f0';
    for (const hex of ['#4f7d9a', '#8a5a48', '#c8b070']) {
      const picked = castCorrected(cast(hex), cast(white));
      expect(deltaE(labOfHex(picked), labOfHex(hex))).toBeLessThan(3);
      expect(deltaE(labOfHex(cast(hex)), labOfHex(hex))).toBeGreaterThan(4);
    }
    expect(castCorrected('#808080', '#f0f0f0')).toMatch(/^#(\w\w)\1\1$/);
  });
});

describe('palettes', () => {
  const names = fc
    .string({ unit: fc.constantFrom(...'abc ,;"é7#'.split('')), minLength: 1, maxLength: 12 })
    .map((s) => `x${s.trim()}`);

  it('come back as they went, as text and as CSV', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ name: names, hex: hexes }), { minLength: 1, maxLength: 12 }),
        (swatches) => {
          const tidy = swatches.map((s) => ({ ...s, name: s.name.replace(/\s+/g, ' ') }));
          const text = readPalette(writePalette('marsh', swatches));
          expect(text.ok && text.value).toEqual(tidy);
          const csv = readPalette(writePaletteCsv(tidy));
          expect(csv.ok && csv.value).toEqual(tidy);
        }
      )
    );
  });

  it('name the line that is no colour', () => {
    const bad = readPalette('GIMP Palette\n#\n 12  30 400\ttoo much');
    expect(!bad.ok && bad.problem).toMatchObject({
      code: 'palette-line',
      sentence: expect.stringContaining('Line 3')
    });
    const csv = readPalette('name,hex\nfoam,#fbfaf4\nheron,blue');
    expect(!csv.ok && csv.problem.sentence).toContain('Line 3');
    expect(readPalette('name,hex').ok).toBe(false);
  });

  it('of a photo are its main colours by share, the same each time', () => {
    const patch = (hex: string, n: number) =>
      Array.from({ length: n }, (_, i) => [
        ...[1, 3, 5].map((k) => parseInt(hex.slice(k, k + 2), 16) + (i % 3)),
        255
      ]).flat();
    const pixels = Uint8ClampedArray.from([
      ...patch('#2c495a', 600),
      ...patch('#c8b070', 300),
      ...patch('#7c3a2c', 100)
    ]);
    const found = mainColours(pixels, 4, 3);
    expect(found.map((c) => Math.round(c.share * 10))).toEqual([6, 3, 1]);
    for (const [i, hex] of ['#2c495a', '#c8b070', '#7c3a2c'].entries())
      expect(deltaE(found[i]!.lab, labOfHex(hex))).toBeLessThan(3);
    expect(mainColours(pixels, 4, 3)).toEqual(found);
    expect(mainColours(new Uint8ClampedArray(0), 4, 3)).toEqual([]);
  });
});
