import { describe, expect, it } from 'vitest';
import { finished, isInk } from './finish';
import { startingLibrary } from '../../shelf';

const LAB = { l: 50, a: 10, b: 20 };

describe('a dry piece’s colour', () => {
  it.each([
    ['concrete', 'wet', 0.8, 1.1, 0],
    ['concrete', 'sealed', 0.9, 1.12, 0],
    ['concrete', 'aged', 1, 1, 0],
    ['gypsum', 'wet', 0.88, 1.08, 0],
    ['gypsum', 'sealed', 0.95, 1.08, 0],
    ['resin', 'wet', 1, 1, 0],
    ['resin', 'aged', 0.99, 1, 2],
    ['soap', 'wet', 0.97, 1.04, 1],
    ['soap', 'aged', 0.99, 0.97, 4],
    ['melt and pour', 'aged', 0.99, 0.98, 2],
    ['plastisol', 'aged', 0.98, 1, 2],
    ['rubber', 'sealed', 1, 1, 0]
  ] as const)('of %s, %s, moves as its table says', (kind, finish, light, chroma, yellow) => {
    const { lab } = finished(LAB, kind, finish);
    expect(lab.l).toBeCloseTo(50 * light, 9);
    expect(lab.a).toBeCloseTo(10 * chroma, 9);
    expect(lab.b).toBeCloseTo(20 * chroma + yellow, 9);
  });

  it('is dry as it is, and an ink dries a little darker', () => {
    expect(finished(LAB, 'concrete', 'dry').lab).toEqual(LAB);
    expect(finished(LAB, 'resin', 'dry', true).lab.l).toBeCloseTo(47.5, 9);
    expect(finished(LAB, 'resin', 'wet', true).lab.l).toBeCloseTo(50, 9);
  });

  it('knows what carries it', () => {
    const of = (form: string) => startingLibrary.colourants.filter((c) => c.form === form);
    const doses = (form: string) => of(form).map((colourant) => ({ colourant }));
    expect(of('ink').length).toBeGreaterThan(0);
    expect(isInk([...doses('paste'), ...doses('ink')])).toBe(true);
    expect(isInk(doses('paste'))).toBe(false);
    expect(isInk([])).toBe(false);
  });
});
