import { describe, expect, it } from 'vitest';
import { cards } from '$demo/cards';
import { rockpool } from '$demo/plans';
import type { Plan, Step } from '../document';
import { pieceOf, wholePicture } from '.';

const [group] = rockpool.groups;
/** Pots of the shelf that shine. */
const SHINING = new Set(
  cards.colourants.filter((c) => c.form === 'mica' || c.form === 'interference pearl').map((c) => c.id)
);
/** The demo's one cup with pearl in it, and one without. */
const pearl = rockpool.cups.find((c) => c.recipe.some((line) => SHINING.has(line.colourantId)))!;
const plain = rockpool.cups.find((c) => c.recipe.length && c.id !== pearl.id)!;

const step = (id: string, act: Step['act']): Step => ({ id, act, where: [group!.id], gates: [] });
const lay = (cupId: string) => step('lay', { kind: 'lay', cupId, amount: { kind: 'rim' } });
const drag = step('drag', {
  kind: 'drag',
  tool: 'stick',
  depth: 'full',
  width: 8,
  strength: 0.8,
  strokes: 1,
  path: {
    points: [
      { x: -0.6, y: 0.1 },
      { x: 0.6, y: -0.1 }
    ]
  }
});
const poured = (...steps: Step[]): Plan => ({ ...rockpool, steps });
const pieceFrom = (plan: Plan) => pieceOf(plan, cards, {}, {})!;
const FACE = { kind: 'open face' } as const;
/** Places in the middle of a face, away from the walls: there it is equally deep everywhere. */
const MIDDLE = Array.from(
  { length: 900 },
  (_, i) => [0.3 + (i % 30) / 75, 0.3 + Math.floor(i / 30) / 75] as const
);
/** Every colour of the middle of a face. */
const colours = (plan: Plan, showing?: 'lit from behind') => {
  const face = pieceFrom(plan).face(FACE, showing);
  return new Set(MIDDLE.map(([x, y]) => face.paint.colours[face.sample(x, y)]!));
};

describe('pearl in a colour', () => {
  it('catches the light in streaks; a colour without it is one colour', () => {
    expect(pearl.recipe.length).toBeGreaterThan(0);
    expect(colours(poured(lay(pearl.id))).size).toBe(5);
    expect(colours(poured(lay(plain.id))).size).toBe(1);
  });

  it('counts as its cup, however light', () => {
    const { shows, besides } = wholePicture(pieceFrom(poured(lay(pearl.id))), FACE, { size: 120 });
    expect(shows).toEqual([{ cupId: pearl.id, share: 1 }]);
    expect(besides).toBe(0);
  });

  it('shines less the less of it there is', () => {
    const with2 = (percent: number): Plan => ({
      ...poured(lay(pearl.id)),
      cups: rockpool.cups.map((c) =>
        c.id === pearl.id
          ? { ...c, recipe: c.recipe.map((l) => (SHINING.has(l.colourantId) ? { ...l, percent } : l)) }
          : c
      )
    });
    const spread = (plan: Plan) => {
      const greens = [...colours(plan)].map((hex) => parseInt(hex.slice(1, 3), 16));
      return Math.max(...greens) - Math.min(...greens);
    };
    expect(spread(with2(1.5))).toBeGreaterThan(2 * spread(with2(0.4)));
  });

  it('has its streaks drawn out by what is done to it: a place looks as the place did that it came from', () => {
    const [before, after] = [pieceFrom(poured(lay(pearl.id))), pieceFrom(poured(lay(pearl.id), drag))];
    const [was, is] = [before.face(FACE), after.face(FACE)];
    const { half } = after.traced.prism.shaped.section;
    let [moved, same] = [0, 0];
    for (const [px, py] of MIDDLE) {
      const spot = is.spotAt(px, py)!;
      const { x, y } = spot;
      after.traced.engine.matterAt(spot);
      if (Math.hypot(spot.x - x, spot.y - y) < 1) continue;
      const [qx, qy] = [(spot.x / half.width + 1) / 2, (1 - spot.y / half.length) / 2];
      moved++;
      const [one, other] = [was.sample(qx, qy), is.sample(px, py)];
      if (was.paint.colours[one] === is.paint.colours[other]) same++;
    }
    expect(moved).toBeGreaterThan(40);
    expect(same / moved).toBeGreaterThan(0.9);
  });

  it('is not seen against the light', () => {
    expect(colours(poured(lay(pearl.id)), 'lit from behind').size).toBe(1);
  });
});
