import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contrastOf } from '.';
import { deltaE } from './spectrum/difference';
import { labOfHex } from './spectrum/spectrum';
import { seenBy } from './spectrum/vision';

const hexes = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);

describe('what touches', () => {
  it('is clear, close or one, by hue and by lightness', () => {
    const grey = { l: 40, a: 0, b: 0 };
    expect(contrastOf(grey, { l: 43, a: 0, b: 0 }).verdict).toBe('reads as one');
    expect(contrastOf(grey, { l: 49, a: 2, b: 0 }).verdict).toBe('close');
    expect(contrastOf(grey, { l: 80, a: 0, b: 0 })).toMatchObject({ verdict: 'clear', byLightness: true });
    expect(contrastOf({ l: 50, a: 40, b: 0 }, { l: 50, a: -40, b: 0 })).toMatchObject({
      verdict: 'clear',
      byLightness: false
    });
  });

  it('looks alike to some: red and green of one lightness', () => {
    const [red, green] = ['#b0574f', '#6f7a3f'];
    const apart = (v: 'everyone' | 'green-weak' | 'greys') =>
      deltaE(labOfHex(seenBy(red, v)), labOfHex(seenBy(green, v)));
    expect(apart('green-weak')).toBeLessThan(apart('everyone') / 2);
    const grey = labOfHex(seenBy(red, 'greys'));
    expect(Math.hypot(grey.a, grey.b)).toBeLessThan(0.5);
  });
});

describe('ways of seeing', () => {
  it('by lightness alone keeps L* and nothing else', () => {
    fc.assert(
      fc.property(hexes, (hex) => {
        const grey = labOfHex(seenBy(hex, 'greys'));
        expect(Math.abs(grey.l - labOfHex(hex).l)).toBeLessThan(0.5);
        expect(Math.hypot(grey.a, grey.b)).toBeLessThan(0.6);
      })
    );
  });

  it('without a cone are worked out in light, not in the screen’s coding of it', () => {
    // Machado and others 2009, deuteranopia, row by row; applied to linear light by hand.
    const rows = [
      [0.367322, 0.860646, -0.227968],
      [0.280085, 0.672501, 0.047413],
      [-0.01182, 0.04294, 0.968881]
    ];
    const light = (v: number) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
    const code = (v: number) => (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055);
    fc.assert(
      fc.property(hexes, (hex) => {
        const rgb = [1, 3, 5].map((i) => light(parseInt(hex.slice(i, i + 2), 16) / 255));
        const seen = rows.map((row) =>
          code(
            Math.min(
              1,
              Math.max(
                0,
                row.reduce((s, m, i) => s + m * rgb[i]!, 0)
              )
            )
          )
        );
        const out = seenBy(hex, 'green-weak');
        seen.forEach((v, i) =>
          expect(Math.abs(parseInt(out.slice(1 + 2 * i, 3 + 2 * i), 16) - v * 255)).toBeLessThan(1.01)
        );
      })
    );
    for (const vision of ['green-weak', 'red-weak', 'blue-weak'] as const)
      for (const grey of ['#000000', '#808080', '#ffffff'])
        expect(deltaE(labOfHex(seenBy(grey, vision)), labOfHex(grey))).toBeLessThan(1);
  });
});
