import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { outlineRadius, reachOf, THING_OUTLINES, type EmbedLook } from '../mould';
import { chanceFrom } from '../pattern';
import { Plan } from '../plan';
import { pieceOf, type DrawnPiece } from './picture';
import { tried } from './piece.testing';
import { matterWithin } from './traced';

const [GRAMS, DENSITY, HEIGHT] = [5.2, 1.3, 8] as const;
const PINK = '#e58fa5';
const YELLOW = '#e8c55a';

/** Layers in a slab with things set in first, each with its look. */
function withThings(look: Partial<EmbedLook>, each = 1, grams: number = GRAMS): DrawnPiece {
  const plan = tried('layers', 'resin', 'slab');
  const thing = {
    id: 't',
    kind: 'object',
    name: 'thing',
    grams,
    density: DENSITY,
    from: 0,
    height: HEIGHT
  };
  const act = { kind: 'place', pieces: each, at: { x: 0, y: 0 }, pressed: 0, embedId: 't' };
  const whole = Plan.parse({
    ...plan,
    groups: plan.groups.map((g) => ({ ...g, embeds: [{ ...thing, each, look }] })),
    steps: [{ id: 'in', act, where: ['group-1'], gates: [] }, ...plan.steps]
  });
  return pieceOf(whole, cards, {}, {})!;
}

const bodiesOf = ({ traced }: DrawnPiece) =>
  traced.casting.embeds.map((e) => {
    if (e.kind !== 'body') throw new Error('no body');
    return e;
  });

/** The room that a body takes, ml, counted place by place in a box round it. */
function roomOf(piece: DrawnPiece): number {
  const [body] = bodiesOf(piece);
  const reach = body!.outline!.reach;
  const chance = chanceFrom(3);
  let inside = 0;
  const tries = 60_000;
  for (let i = 0; i < tries; i++) {
    const [x, y, z] = [(2 * chance() - 1) * reach, (2 * chance() - 1) * reach, HEIGHT * chance()];
    if (piece.traced.casting.solidAt({ x: body!.x + x, y: body!.y + y, z })) inside++;
  }
  return ((inside / tries) * 4 * reach * reach * HEIGHT) / 1000;
}

/** The colours that are met at a height of a piece, over the footprint of its first body. */
function coloursAt({ traced }: DrawnPiece, z: number): Set<string> {
  const [body] = bodiesOf({ traced } as DrawnPiece);
  const reach = body!.outline!.reach;
  const met = new Set<string>();
  for (let i = 0; i < 41; i++)
    for (let j = 0; j < 41; j++) {
      const spot = { x: body!.x + (reach * (i - 20)) / 20, y: body!.y + (reach * (j - 20)) / 20, z };
      const matter = traced.matters[matterWithin(traced, spot)];
      if (matter?.kind === 'solid') met.add(matter.hex ?? '');
    }
  return met;
}

const outlines = THING_OUTLINES.filter((o) => o !== 'round');

describe('a thing with an outline', () => {
  it.each(outlines.flatMap((o) => [[o, 'flat'] as const, [o, 'on edge'] as const]))(
    '%s, %s, takes the room that its weight and density say, and what is poured keeps its shares',
    (outline, lies) => {
      const piece = withThings({ outline, lies, colours: [PINK] });
      expect(roomOf(piece) / (GRAMS / DENSITY)).toBeCloseTo(1, 1);
      const { held, casting, engine, prism } = piece.traced;
      const { section } = prism.shaped;
      const counts = new Map<number, number>();
      const chance = chanceFrom(11);
      let fluid = 0;
      while (fluid < 30_000) {
        const [x, y] = [(2 * chance() - 1) * section.half.width, (2 * chance() - 1) * section.half.length];
        const spot = { x, y, z: chance() * engine.level };
        if (!section.contains(x, y) || casting.solidAt(spot)) continue;
        const matter = matterWithin(piece.traced, spot);
        counts.set(matter, (counts.get(matter) ?? 0) + 1);
        fluid++;
      }
      const whole = [...held.values()].reduce((s, ml) => s + ml, 0);
      for (const [matter, ml] of held)
        expect(Math.abs((counts.get(matter) ?? 0) / fluid - ml / whole)).toBeLessThan(0.01);
    }
  );

  it('lies flat as thick as it is, and as large as its room asks', () => {
    const [body] = bodiesOf(withThings({ outline: 'disc', lies: 'flat', colours: [PINK] }));
    expect(body!.area).toBeCloseTo((1000 * GRAMS) / DENSITY / HEIGHT, 6);
    expect(body!.outline!.reach).toBeCloseTo(Math.sqrt(body!.area / Math.PI), 3);
  });

  it('reaches as far as a tool must keep away from it', () => {
    for (const outline of outlines) {
      const look: EmbedLook = { outline, lies: 'flat', colours: [PINK] };
      const thing = { id: 't', kind: 'object', name: 't', each: 1, from: 0 } as const;
      const reach = reachOf({ ...thing, grams: GRAMS, density: DENSITY, height: HEIGHT, look });
      const [body] = bodiesOf(withThings(look));
      expect(reach / body!.outline!.reach).toBeCloseTo(1, 2);
    }
  });

  it('on its edge has its outline upright, and is thin from above', () => {
    const [body] = bodiesOf(withThings({ outline: 'disc', lies: 'on edge', colours: [PINK] }, 1, 0.08));
    // A disc of a height is a circle from the side.
    const chord = (z: number) => 1 - (2 * (z / HEIGHT) - 1) ** 2;
    for (const z of [1, 2, 4, 6]) expect(body!.upright.wide(z)).toBeCloseTo(chord(z), 2);
    expect(body!.outline!.reach).toBeGreaterThan(3 * body!.outline!.nearest);
  });

  it('shows its second colour in its middle, or along its rib', () => {
    for (const outline of ['flower', 'leaf'] as const) {
      const piece = withThings({ outline, lies: 'flat', colours: [PINK, YELLOW] });
      expect(coloursAt(piece, HEIGHT / 2)).toEqual(new Set([PINK, YELLOW]));
      const [body] = bodiesOf(piece);
      const hexAt = (x: number, y: number) =>
        piece.traced.matters[matterWithin(piece.traced, { x: body!.x + x, y: body!.y + y, z: 4 })];
      expect(hexAt(0.1, 0)).toMatchObject({ hex: YELLOW });
      const far = 0.85 * body!.outline!.reach;
      expect(hexAt(far, 0)).toMatchObject({ hex: outline === 'leaf' ? YELLOW : PINK });
    }
  });

  it('is several that lie each its own way round', () => {
    const bodies = bodiesOf(withThings({ outline: 'thread', lies: 'flat', colours: [PINK] }, 3));
    const ways = bodies.map(({ outline }) => {
      const radii = Array.from({ length: 360 }, (_, i) => outline!.at(2 * i));
      return radii.indexOf(Math.max(...radii)) % 180;
    });
    expect(new Set(ways).size).toBe(3);
  });

  it('round, is the ball it always was, in its colours', () => {
    const { traced } = withThings({ outline: 'round', colours: [PINK, YELLOW] });
    const [ball] = traced.casting.embeds;
    if (ball?.kind !== 'ball') throw new Error('no ball');
    const at = (x: number) => traced.matters[matterWithin(traced, { x: ball.x + x, y: ball.y, z: ball.z })];
    expect(at(0)).toMatchObject({ hex: YELLOW });
    expect(at(0.8 * ball.radius)).toMatchObject({ hex: PINK });
    // Its middle is a kernel: from below it is not seen.
    const low = { x: ball.x, y: ball.y, z: ball.z - 0.9 * ball.tall! };
    expect(traced.matters[matterWithin(traced, low)]).toMatchObject({ hex: PINK });
  });

  it('that is drawn keeps its corners, whatever middle and unit it was drawn about', () => {
    const square = (side: number, x: number, y: number): [number, number][] => [
      [x, y],
      [x + side, y],
      [x + side, y + side],
      [x, y + side]
    ];
    for (const radius of [outlineRadius(square(2, -1, -1)), outlineRadius(square(2, 30, -7))]) {
      expect(radius(0)).toBeCloseTo(1, 9);
      expect(radius(Math.PI / 4)).toBeCloseTo(Math.SQRT2, 9);
      expect(radius(Math.PI)).toBeCloseTo(1, 9);
    }
    const piece = withThings({ outline: square(5, 1, 1), lies: 'flat', colours: [PINK] });
    expect(roomOf(piece) / (GRAMS / DENSITY)).toBeCloseTo(1, 1);
  });
});
