import { isRibbed, outlineRadius, reachOf, slabRadius, type Embed, type EmbedLook } from '../mould';
import { nodesOf, Star, straight, tabled, type SolidBody, type Spot } from '../pattern';
import type { FilledCavitySet } from '../plan/fill';
import type { SetIn } from '../pour';
import type { Matter } from './matter';

type Thing = Extract<Embed, { kind: 'object' }>;

/** Each of several lies turned so much farther round than the one before it, radians: no two alike. */
const TURN = Math.PI * (3 - Math.sqrt(5));
/** A second colour lies in the middle, or along the rib: so much of the way out. */
const [MIDDLE, RIB] = [0.34, 0.035];
/** Heights at which the outline of a thing on its edge is measured. */
const HEIGHTS = 48;

/** A thing of a group as what its weight, density and height make of it, with its outline and colours where they are said. */
export function thingSetIn(
  { embeds }: FilledCavitySet,
  matters: Matter[],
  id: string | undefined
): SetIn | undefined {
  const thing = embeds.find((e) => e.id === id);
  if (thing?.kind !== 'object') return undefined;
  const tall = thing.height / 2;
  const { look } = thing;
  if (!look) return { radius: reachOf(thing), tall };
  const matterIn = coloursOf(look, matters);
  if (look.outline === 'round') {
    const radius = reachOf(thing);
    return {
      radius,
      tall,
      matterAt: ({ x, y, z }) => matterIn(Math.hypot(x / radius, y / radius, z / tall))
    };
  }
  const body = (n: number) => (look.lies === 'flat' ? flat : onEdge)(thing, look, n * TURN, matterIn);
  return { radius: body(0).outline!.reach, tall, body };
}

/** V = m/ρ, mm³. */
const roomOf = (thing: Thing): number => (thing.grams / thing.density) * 1000;

/** The matter so far out, 0 in the middle to 1 at the edge. */
function coloursOf({ colours, outline }: EmbedLook, matters: Matter[]): (out: number) => number {
  const [outer, inner] = colours.map((hex) => matters.push({ kind: 'solid', hex }) - 1);
  const edge = isRibbed(outline) ? RIB : MIDDLE;
  return (out) => (inner !== undefined && out < edge ? inner : outer!);
}

type Made = (thing: Thing, look: EmbedLook, turn: number, matterIn: (out: number) => number) => SolidBody;

/** Flat on its widest side: as thick as its height, and its outline as large as its room asks. */
const flat: Made = (thing, { outline }, turn, matterIn) => {
  const radius = outlineRadius(outline);
  const star = Star.of((a) => radius(a - turn), roomOf(thing) / thing.height);
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const broad = Math.sqrt(star.area);
  return {
    ...standing(star, straight(0, thing.height), thing.height),
    matterAt: ({ x, y }) =>
      matterIn(isRibbed(outline) ? Math.abs(y * c - x * s) / broad : Math.sqrt(squaredOut(star, x, y)))
  };
};

/** Stood on its edge: its outline upright, as high as its height, and as thick as its room asks; it thins where it narrows. */
const onEdge: Made = (thing, { outline }, turn, matterIn) => {
  const { wide, shares } = silhouette(outlineRadius(outline), thing.height);
  const upright = tabled(shares, thing.height);
  const area = roomOf(thing) / upright.summed(thing.height);
  const star = Star.of((a) => slabRadius(a - turn, Math.min(1, area / wide ** 2)), area);
  return { ...standing(star, upright, thing.height), matterAt: () => matterIn(1) };
};

/** A body of one outline that is wider or narrower over its height. */
const standing = (star: Star, upright: SolidBody['upright'], high: number): Omit<SolidBody, 'matterAt'> => ({
  high,
  area: star.area,
  upright,
  outline: star,
  holds: ({ x, y, z }: Spot) => squaredOut(star, x, y) < upright.wide(z)
});

/** How far out a place is, squared: 1 on the outline. */
const squaredOut = (star: Star, x: number, y: number): number => (x * x + y * y) / star.at(nodesOf(x, y));

/** How wide an outline of a height is, mm, and over its height the share of its largest section: as its width squared. */
function silhouette(radius: (angle: number) => number, high: number): { wide: number; shares: number[] } {
  const points = Array.from({ length: 720 }, (_, i) => {
    const a = (i * Math.PI) / 360;
    return [radius(a) * Math.cos(a), radius(a) * Math.sin(a)] as const;
  });
  const ys = points.map(([, y]) => y);
  const [low, top] = [Math.min(...ys), Math.max(...ys)];
  const widths = Array.from({ length: HEIGHTS + 1 }, (_, i) => {
    const y = low + ((top - low) * i) / HEIGHTS;
    const xs = points.flatMap(([x1, y1], k) => {
      const [x2, y2] = points[(k + 1) % points.length]!;
      return y1 === y2 || (y - y1) * (y - y2) > 0 ? [] : [x1 + ((y - y1) / (y2 - y1)) * (x2 - x1)];
    });
    return xs.length ? Math.max(...xs) - Math.min(...xs) : 0;
  });
  const widest = Math.max(...widths);
  return { wide: (widest * high) / (top - low), shares: widths.map((w) => (w / widest) ** 2) };
}
