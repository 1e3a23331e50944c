import { describe, expect, it } from 'vitest';
import { CUE_NOTES, CUE_WORDS, cueOf } from './cue';

describe('the cue of a weighing', () => {
  it.each([
    ['far from it', 40, 100, 'pour'],
    ['just over a tenth to go', 10.01, 100, 'pour'],
    ['a tenth to go', 10, 100, 'slow'],
    ['just over two hundredths', 2.01, 100, 'slow'],
    ['two hundredths to go', 2, 100, 'trickle'],
    ['two divisions to go', 0.02, 100, 'trickle'],
    ['a division to go', 0.01, 100, 'stop'],
    ['there', 0, 100, 'stop'],
    ['a division over', -0.01, 100, 'stop'],
    ['two divisions over', -0.02, 100, 'over']
  ] as const)('%s is “%s g of %s”', (_, toGo, target, cue) => expect(cueOf(toGo, target, 0.01)).toBe(cue));

  it('of a small weight trickles from twenty divisions on', () => {
    expect(cueOf(0.2, 0.5, 0.01)).toBe('trickle');
    expect(cueOf(0.21, 0.5, 0.01)).toBe('pour');
  });

  it('is told by ear as by eye, the nearer the more', () => {
    expect(['pour', 'slow', 'trickle', 'stop'].map((c) => CUE_NOTES[c as 'pour'])).toEqual([0, 1, 2, 3]);
    expect(CUE_WORDS.over).toBe('too much');
  });
});
