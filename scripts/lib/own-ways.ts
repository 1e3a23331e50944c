import { cards } from '../../demo/cards';
import { applyTechnique, newPlan, withNewCup } from '../../src/core/edit';
import { splitAll } from '../../src/core/document';
import { type Face } from '../../src/core/piece';
import { type Plan } from '../../src/core/plan';
import { materialsFor, TECHNIQUES } from '../../src/core/pour';

type Recipe = readonly (readonly [string, number])[];
const INKS = {
  foam: [['white-paste', 4]],
  heron: [
    ['blue-paste', 1.2],
    ['white-paste', 1.1],
    ['brown-paste', 0.6]
  ],
  mudflat: [
    ['brown-paste', 2.4],
    ['black-paste', 0.4]
  ],
  lavender: [
    ['violet-paste', 1.8],
    ['white-paste', 0.7]
  ],
  black: [['black-paste', 1.4]],
  ochre: [['ochre-paste', 3]],
  brick: [['red-paste', 2.4]],
  samphire: [
    ['green-paste', 2],
    ['white-paste', 0.5]
  ],
  clear: []
} as const satisfies Record<string, Recipe>;
export type Ink = keyof typeof INKS;

const OPEN: Face = { kind: 'open face' };

/** A technique in a mould, with so many colours. */
export interface Inked {
  id: string;
  mould?: string;
  inks: readonly Ink[];
}

/** What a technique is drawn in, where that is not the first material it is done in. */
const USUALLY_IN: Record<string, string> = {
  'cup-swirl': 'soap',
  'column-pour': 'soap',
  'banded-stones': 'soap',
  'specked-marble': 'gypsum',
  'split-face': 'gypsum',
  terrazzo: 'gypsum',
  'stained-relief': 'concrete',
  'detail-coat': 'concrete'
};

/** A plan of a technique from nothing, in the demo workshop's colours. */
export function planOf({ id, mould = 'roundel', inks }: Inked): Plan {
  const technique = TECHNIQUES.find((t) => t.id === id)!;
  const kind = USUALLY_IN[id] ?? materialsFor(technique)[0]!.kind;
  const base = cards.bases.find((b) => b.kind === kind)!;
  let plan: Plan = { ...newPlan(`sheet-${id}`, id, cards, mould), steps: [] };
  plan = { ...plan, mixes: plan.mixes.map((m) => ({ ...m, baseId: base.id })) };
  for (let i = 1; i < inks.length; i++) plan = withNewCup(plan);
  plan = applyTechnique(splitAll(plan, base.id), cards, {
    techniqueId: id,
    groupId: 'group-1',
    keep: 'nothing'
  });
  return inked(plan, inks);
}

const inked = (plan: Plan, inks: readonly Ink[]): Plan => ({
  ...plan,
  cups: plan.cups.map((c, i) => {
    const recipe: Recipe = inks[i] ? INKS[inks[i]] : [];
    if ('cups' in c.from) return c;
    return {
      ...c,
      recipe: recipe.map(([colourantId, percent], n) => ({
        id: `l${n}`,
        colourantId,
        percent,
        of: 'supplied' as const
      }))
    };
  })
});

/** Two ways of pouring that no template knows, from acts alone. */
export function ownWays(): { name: string; plan: Plan; face: Face }[] {
  const start = planOf({ id: 'piped-petals', inks: ['black', 'foam', 'heron', 'brick'] });
  const [bed, a, b, c] = start.cups.map((x) => x.id);
  let n = 0;
  const step = (act: Plan['steps'][number]['act']) => ({ id: `s${n++}`, act, where: ['group-1'], gates: [] });
  const lay = step({ kind: 'lay', cupId: bed!, amount: { kind: 'to share', of: 0.7 } });
  const ring = (cupId: string, out: number) =>
    step({
      kind: 'ribbon',
      cupId,
      amount: { kind: 'share', of: 0.05 },
      path: {
        closed: true,
        points: Array.from({ length: 16 }, (_, i) => ({
          x: out * Math.cos((i * Math.PI) / 8),
          y: out * Math.sin((i * Math.PI) / 8)
        }))
      },
      width: 5,
      how: 'piped'
    });
  const arc = (round: number, way: number) =>
    step({
      kind: 'drag',
      tool: 'needle',
      path: {
        points: Array.from({ length: 7 }, (_, i) => ({
          x: (0.1 + 0.14 * i) * Math.cos(way * 0.28 * i),
          y: (0.1 + 0.14 * i) * Math.sin(way * 0.28 * i)
        })),
        round
      },
      depth: 'full',
      width: 2.5,
      strength: 0.7,
      strokes: round
    });
  const spin = {
    ...start,
    id: 'own-1',
    steps: [lay, ...[0.86, 0.7, 0.54, 0.38, 0.22].map((out, i) => ring([a, b, c][i % 3]!, out)), arc(9, 1)]
  };
  const puddle = (cupId: string, x: number, y: number, of: number) =>
    step({ kind: 'puddle', cupId, amount: { kind: 'share', of }, at: { x, y }, from: 'low' });
  const blow = (x: number, y: number, towards: number) =>
    step({ kind: 'blow', with: 'a straw', at: { x, y }, towards, strength: 0.9, seconds: 5 });
  const reef = {
    ...start,
    id: 'own-2',
    steps: [
      lay,
      ...[0, 1, 2, 3, 4].flatMap((i) => {
        const t = (i * 2 * Math.PI) / 5;
        const [x, y] = [0.45 * Math.cos(t), 0.45 * Math.sin(t)];
        return [puddle(b!, x, y, 0.03), puddle(a!, x, y, 0.015), puddle(c!, x, y, 0.012)];
      }),
      ...[0, 1, 2, 3, 4].map((i) => {
        const t = (i * 2 * Math.PI) / 5;
        return blow(0.45 * Math.cos(t), 0.45 * Math.sin(t), (t * 180) / Math.PI);
      })
    ]
  };
  return [
    { name: 'Own: rings drawn into a wheel', plan: spin, face: OPEN },
    { name: 'Own: blown puddles', plan: reef, face: OPEN }
  ];
}
