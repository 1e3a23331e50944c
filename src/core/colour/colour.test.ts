import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { simpleMixing } from '.';

const colourant = (id: string) => cards.colourants.find((c) => c.id === id)!;
const tint = (...doses: [string, number][]) => ({
  baseColour: '#f1ede0',
  doses: doses.map(([id, percent]) => ({ colourant: colourant(id), percent }))
});
const light = (hex: string) => [1, 3, 5].reduce((s, i) => s + parseInt(hex.slice(i, i + 2), 16), 0);

describe('simple mixing', () => {
  it('leaves the base alone without colour and reaches the colourant with plenty', () => {
    expect(simpleMixing.deep(tint()).hex).toBe('#f1ede0');
    expect(simpleMixing.deep(tint(['black-paste', 50])).hex).toBe(colourant('black-paste').colour);
  });

  it('darkens step by step as black goes in', () => {
    const steps = [0, 0.05, 0.1, 0.3, 1].map((p) => light(simpleMixing.deep(tint(['black-paste', p])).hex));
    expect(steps).toEqual([...steps].sort((a, b) => b - a));
    expect(new Set(steps).size).toBe(steps.length);
  });

  it('lets a backing show through a thin layer and hides it with a thick one', () => {
    const foam = tint(['white-paste', 1]);
    const over = (mm: number) => light(simpleMixing.layer(foam, mm, '#000000').hex);
    expect(over(0.01)).toBeLessThan(over(0.5));
    expect(over(20)).toBe(light(simpleMixing.deep(foam).hex));
  });
});
