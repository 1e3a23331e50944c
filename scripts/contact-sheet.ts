// npm run contact-sheet: every technique as the engine draws it, on one sheet, in the demo workshop's colours.
import sharp from 'sharp';
import { cards } from '../demo/cards';
import { nightHeron, shingle } from '../demo/plans';
import { pieceOf, wholePicture, type Face } from '../src/core/piece';
import { type Plan } from '../src/core/plan';
import { TECHNIQUES } from '../src/core/pour';
import { ownWays, planOf, type Inked } from './lib/own-ways';

const SIZE = 230;
const COLUMNS = 6;
const GROUND = '#efe9dc';

interface Tile extends Inked {
  words?: string;
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
  { id: 'region-inlay-crisp', inks: ['foam', 'mudflat', 'heron', 'brick'], face: OPEN },
  { id: 'hearts-bloom', inks: ['clear', 'foam', 'lavender'], face: MOULD },
  { id: 'suspended-inclusions', inks: ['clear', 'heron'], face: MOULD },
  { id: 'banded-stones', inks: ['heron', 'ochre', 'brick', 'foam'], face: cut() },
  { id: 'double-dirty-pour', inks: ['foam', 'black'] },
  { id: 'embeds-and-piped-top', mould: 'loaf', inks: ['heron', 'ochre', 'foam'], face: cut(90) },
  { id: 'injected-colour', inks: ['samphire', 'mudflat'], face: cut() },
  { id: 'stained-relief', mould: 'slab', inks: ['foam'], face: MOULD }
];

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

/** Waves of a relief, traced: where a stain stays. */
const HOLLOWS = {
  closed: true,
  points: [
    ...Array.from({ length: 24 }, (_, i) => ({
      x: -0.9 + (1.8 * i) / 23,
      y: 0.08 + 0.3 * Math.sin(i / 2.2)
    })),
    ...Array.from({ length: 24 }, (_, i) => ({
      x: 0.9 - (1.8 * i) / 23,
      y: -0.12 + 0.3 * Math.sin((23 - i) / 2.2)
    }))
  ]
};
const withHollows = (plan: Plan): Plan => ({
  ...plan,
  steps: plan.steps.map((s) =>
    s.act.kind === 'stain' ? { ...s, act: { ...s.act, colourantId: 'brass-mica', hollows: HOLLOWS } } : s
  )
});

const named = TILES.map((t) => ({
  name: t.words ?? TECHNIQUES.find((x) => x.id === t.id)!.name,
  plan: withHollows(planOf(t)),
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
