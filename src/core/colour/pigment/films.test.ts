import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BANDS } from '../spectrum/bands';
import { flat } from '../spectrum/spectrum';
import { stackReflectance } from './pigment';

/**
 * One film over a backing by the textbook’s own form (Kubelka 1948): R = (1 − Rg(a − b·coth bSX)) / (a − Rg + b·coth bSX),
 * written apart from the code with sinh and cosh.
 */
function over(k: number, s: number, mm: number, backing: number): number {
  const a = (s + k) / s;
  const b = Math.sqrt(a * a - 1);
  const coth = Math.cosh(b * s * mm) / Math.sinh(b * s * mm);
  return (1 - backing * (a - b * coth)) / (a - backing + b * coth);
}

const film = fc.record({
  k: fc.integer({ min: 1, max: 200 }).map((n) => n / 200),
  s: fc.integer({ min: 1, max: 200 }).map((n) => n / 100),
  mm: fc.integer({ min: 1, max: 100 }).map((n) => n / 50)
});
const optics = ({ k, s }: { k: number; s: number }) => ({
  k: new Float64Array(BANDS).fill(k),
  s: new Float64Array(BANDS).fill(s)
});
type Film = { k: number; s: number; mm: number };
const seen = (films: readonly Film[], backing: number) =>
  stackReflectance(
    films.map((f) => ({ optics: optics(f), mm: f.mm })),
    flat(backing)
  )[0]!;

describe('films over one another', () => {
  it('three, four and five of them, each over what the next one shows, in the order the eye meets them', () => {
    fc.assert(
      fc.property(
        fc.array(film, { minLength: 3, maxLength: 5 }),
        fc.constantFrom(0.05, 0.4, 0.9),
        (films, ground) => {
          let behind: number = ground;
          for (const f of [...films].reverse()) behind = over(f.k, f.s, f.mm, behind);
          expect(seen(films, ground)).toBeCloseTo(behind, 9);
        }
      )
    );
  });

  it('each thickness counts: a film cut in two is the same, a thicker one over dark is lighter', () => {
    fc.assert(
      fc.property(film, film, film, (a, b, c) => {
        const half = (f: Film) => ({ ...f, mm: f.mm / 2 });
        for (const [whole, cut] of [
          [
            [a, b, c],
            [half(a), half(a), b, c]
          ],
          [
            [a, b, c],
            [a, half(b), half(b), c]
          ],
          [
            [a, b, c],
            [a, b, half(c), half(c)]
          ]
        ] as const)
          expect(seen(cut, 0.2)).toBeCloseTo(seen(whole, 0.2), 9);
      })
    );
    const white = { k: 0.01, s: 1, mm: 0.3 };
    const veil = { k: 0.05, s: 0.1, mm: 1 };
    for (const i of [0, 1, 2]) {
      const films = [veil, white, veil].map((f, n) => (n === i ? { ...f, mm: 2 * f.mm } : f));
      expect(seen(films, 0.02)).not.toBeCloseTo(seen([veil, white, veil], 0.02), 4);
    }
    expect(seen([white], 0.02)).toBeLessThan(seen([{ ...white, mm: 1 }], 0.02));
  });

  it('a clear film in front changes only what it takes, twice over', () => {
    const clear = { k: 0.1, s: 1e-12, mm: 2 };
    const behind = { k: 0.2, s: 1, mm: 1 };
    expect(seen([clear, behind], 0.3)).toBeCloseTo(seen([behind], 0.3) * Math.exp(-2 * 0.1 * 2), 6);
  });
});
