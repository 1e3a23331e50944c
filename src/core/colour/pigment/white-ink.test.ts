import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import type { Colourant } from '../../material';
import { labOf } from '../spectrum/spectrum';
import { hidingThickness } from './hiding';
import { PLAIN_BASE } from './optics';
import { deepReflectance, mixtureOf } from './pigment';

describe('white ink', () => {
  const inks = cards.colourants.filter((c) => c.form === 'ink');
  const white: Colourant = { ...inks[0]!, id: 'white-ink', name: 'white ink', colour: '#f7f6f2' };
  const tinted = (colourant: Colourant, percent: number) =>
    mixtureOf({ base: PLAIN_BASE, doses: [{ colourant, percent }] });

  it('hides as a pigment does, where a coloured one is a dye that never does', () => {
    expect(hidingThickness(tinted(white, 2))).toBeLessThan(10);
    expect(hidingThickness(tinted(inks[0]!, 2))).toBeGreaterThan(hidingThickness(tinted(white, 2)));
  });

  it('is lighter than the clear beside it, never greyer', () => {
    const l = (percent: number) => labOf(deepReflectance(tinted(white, percent))).l;
    expect(l(2)).toBeGreaterThan(l(0));
    expect(l(4)).toBeGreaterThan(l(1));
  });
});
