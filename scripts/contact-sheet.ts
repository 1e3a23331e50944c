// npm run contact-sheet: every technique as the engine draws it, on one sheet, in the demo workshop's colours.
import sharp from 'sharp';
import { cards } from '../demo/cards';
import { nightHeron, shingle } from '../demo/plans';
import {
  applyTechnique,
  newPlan,
  pieceOf,
  splitAll,
  withNewCup,
  wholePicture,
  type Face,
  type Plan
} from '../src/core/plan';
import { TECHNIQUES } from '../src/core/pour';

const SIZE = 230;
const COLUMNS = 6;
const GROUND = '#efe9dc';

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
type Ink = keyof typeof INKS;

interface Tile {
  id: string;
  words?: string;
  mould?: string;
  inks: readonly Ink[];
  face?: Face;
}

const OPEN: Face = { kind: 'open face' };
const MOULD: Face = { kind: 'mould face' };
const cut = (heading = 0): Face => ({ kind: 'cut', heading, off: 0 });

/** The techniques with a mould, colours and a side that show what they are. */
const TILES: readonly Tile[] = [
  { id: 'layers', mould: 'dome-knobs', inks: ['mudflat', 'lavender', 'foam', 'heron'], face: MOULD },
  {
    id: 'layers',
    words: '… cut',
    mould: 'dome-knobs',
    inks: ['mudflat', 'lavender', 'foam', 'heron'],
    face: cut()
  },
  { id: 'split-face', inks: ['foam', 'heron', 'mudflat'], face: MOULD },
  { id: 'specked-marble', mould: 'slab', inks: ['foam', 'black', 'ochre'] },
  { id: 'puddle-stack', inks: ['foam', 'heron', 'lavender', 'black'] },
  { id: 'puddle-stack', words: '… cut', inks: ['foam', 'heron', 'lavender', 'black'], face: cut() },
  { id: 'piped-petals', inks: ['heron', 'foam', 'lavender', 'ochre'] },
  { id: 'drizzle-and-brush', inks: ['clear', 'foam', 'heron', 'ochre', 'lavender'], face: MOULD },
  { id: 'dirty-cup', inks: ['heron', 'foam', 'lavender', 'black'] },
  { id: 'cup-swirl', mould: 'slab', inks: ['foam', 'heron', 'samphire'] },
  { id: 'divider-swirl', mould: 'slab', inks: ['foam', 'heron', 'samphire', 'ochre'] },
  { id: 'column-pour', mould: 'slab', inks: ['samphire', 'foam', 'ochre', 'heron'] },
  {
    id: 'column-pour',
    words: '… mould face',
    mould: 'slab',
    inks: ['samphire', 'foam', 'ochre', 'heron'],
    face: MOULD
  },
  {
    id: 'column-pour',
    words: '… cut',
    mould: 'slab',
    inks: ['samphire', 'foam', 'ochre', 'heron'],
    face: cut(20)
  },
  { id: 'drag-flames', mould: 'slab', inks: ['foam', 'ochre', 'brick'] },
  { id: 'dusted-face', mould: 'key-tags', inks: ['black'], face: MOULD },
  { id: 'region-inlay', inks: ['ochre', 'mudflat', 'heron', 'brick'] },
  { id: 'hearts-bloom', inks: ['clear', 'foam', 'lavender'], face: MOULD },
  { id: 'suspended-inclusions', inks: ['clear', 'heron'], face: MOULD },
  { id: 'banded-stones', inks: ['heron', 'ochre', 'brick', 'foam'], face: cut() },
  { id: 'double-dirty-pour', inks: ['foam', 'black'] },
  { id: 'embeds-and-piped-top', mould: 'loaf', inks: ['heron', 'ochre', 'foam'], face: cut(90) },
  { id: 'injected-colour', inks: ['samphire', 'mudflat'], face: cut() }
];

function planOf({ id, mould = 'roundel', inks }: Tile): Plan {
  const technique = TECHNIQUES.find((t) => t.id === id)!;
  const base = technique.suits.flatMap((kind) => cards.bases.find((b) => b.kind === kind) ?? [])[0]!;
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
function ownWays(): { name: string; plan: Plan; face: Face }[] {
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

async function tileOf(name: string, plan: Plan, face: Face, at: { x: number; y: number }) {
  const piece = pieceOf(plan, cards, {}, {});
  if (!piece) throw new Error(`${name} has no piece.`);
  const { rgba, width, height } = wholePicture(piece, face, { size: 2 * SIZE });
  const png = await sharp(rgba, { raw: { width, height, channels: 4 } })
    .resize({ width: Math.round(width / 2), height: Math.max(1, Math.round(height / 2)) })
    .png()
    .toBuffer();
  return {
    input: png,
    left: at.x + Math.round((SIZE - width / 2) / 2),
    top: at.y + Math.round((SIZE - height / 2) / 2),
    name
  };
}

const named = TILES.map((t) => ({
  name: t.words ?? TECHNIQUES.find((x) => x.id === t.id)!.name,
  plan: planOf(t),
  face: t.face ?? OPEN
}));
const all = [
  ...named,
  ...ownWays(),
  { name: 'Terrazzo', plan: shingle, face: OPEN },
  { name: 'Night Heron, a bar', plan: nightHeron, face: cut(90) }
];
const cell = SIZE + 24;
const placed = [];
for (const [i, t] of all.entries()) {
  const at = { x: (i % COLUMNS) * cell + 12, y: Math.floor(i / COLUMNS) * (cell + 18) + 14 };
  placed.push({ ...(await tileOf(t.name, t.plan, t.face, at)), at });
}
const [w, h] = [COLUMNS * cell, Math.ceil(all.length / COLUMNS) * (cell + 18) + 10];
const words = placed
  .map(
    (p) =>
      `<text x="${p.at.x}" y="${p.at.y + SIZE + 20}" font-family="sans-serif" font-size="14" fill="#2a2620">${p.name}</text>`
  )
  .join('');
await sharp({ create: { width: w, height: h, channels: 3, background: GROUND } })
  .composite([
    ...placed.map(({ input, left, top }) => ({ input, left, top })),
    {
      input: Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="${w}" height="${h}">${words}</svg>`),
      left: 0,
      top: 0
    }
  ])
  .png({ palette: true })
  .toFile('docs/screenshots/techniques.png');
