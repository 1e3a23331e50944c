import { describe, expect, it } from 'vitest';
import { acts } from './acts';
import { afterPourFrom } from './named';
import { wayOf } from './way';
import { stepWords } from './words';

const act = (kind: string, more: object = {}) => ({ ...acts.find(kind)!.fresh('foam'), ...more });
const steps = (...kinds: string[]) => kinds.map((kind) => ({ act: { kind } }));

describe('where an act is done', () => {
  it('is its place, which a tap sets', () => {
    const way = wayOf(act('puddle'))!;
    expect(way.key).toBe('at');
    expect(way.to({ x: 0.4, y: -0.2 })).toEqual({ x: 0.4, y: -0.2 });
  });

  it('is its path, whose nearest point a tap moves; the others and its turns stay', () => {
    const path = {
      points: [
        { x: -0.8, y: 0 },
        { x: 0, y: 0.1 },
        { x: 0.8, y: 0 }
      ],
      round: 3
    };
    const way = wayOf(act('drag', { path }))!;
    expect(way.to({ x: 0.6, y: 0.3 })).toEqual({
      points: [path.points[0], path.points[1], { x: 0.6, y: 0.3 }],
      round: 3
    });
  });

  it('is nowhere in particular for what is done all over', () => {
    expect(wayOf(act('demould'))).toBeUndefined();
    expect(wayOf({ kind: 'unheard of' })).toBeUndefined();
  });
});

describe('after the pour', () => {
  it('begins with the first act after which nothing is poured, moved or put in', () => {
    expect(afterPourFrom(steps('lay', 'puddle', 'wait', 'demould', 'sand'))).toBe(3);
    expect(afterPourFrom(steps('lay', 'demould', 'lay', 'demould'))).toBe(3);
  });

  it('does not begin where nothing comes after', () => {
    expect(afterPourFrom(steps('lay', 'wait'))).toBe(2);
    expect(afterPourFrom([])).toBe(0);
  });
});

describe('the words of a step', () => {
  const names = { cup: (id: string) => id, part: (id: string) => id, cavities: 'knobs' };
  const line = (kind: string, more: object = {}) => {
    const own = acts.read(act(kind, more))!;
    return stepWords(own, names).line;
  };

  it('say what is done, then how much, then where', () => {
    expect(line('puddle', { amount: { kind: 'rim' }, at: { x: 0, y: 0 }, from: 'high' })).toBe(
      'puddle foam, to the rim, in the middle, from high'
    );
    expect(line('lay', { amount: { kind: 'rim' } })).toBe('pour a layer of foam, to the rim');
    expect(line('demould')).toBe('demould');
  });
});
