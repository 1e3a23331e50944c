import { z } from 'zod';
import { Id } from '../id';
import type { Problem } from '../problem';
import { EmbedLook, outlineRadius } from './embed-look';
import type { Cavity } from './mould';
import { figure } from '../quantity';

const mm = z.number().nonnegative('cannot be below the mould face').max(5000, 'is more than five metres');

/**
 * Something solid that stands in a cavity and takes room from the pour: an object by its mass and density, or
 * a barrier line by its length, width and height; or a casting of the same plan. Heights in mm from the mould face.
 */
export const Embed = z.discriminatedUnion('kind', [
  z.object({
    id: Id,
    kind: z.literal('object'),
    name: z.string().min(1, 'needs a name').max(60),
    /** How many in one cavity. */
    each: z.number().int().positive().max(500),
    /** Grams of one, and its density in g/ml. */
    grams: z.number().positive().max(50_000),
    density: z.number().min(0.02, 'is lighter than cork').max(20, 'is heavier than lead'),
    /** Where its lowest point stands, and how high it is, mm. */
    from: mm,
    height: z.number().positive().max(5000),
    /** What it looks like; a pale ball where nothing is said. */
    look: EmbedLook.optional()
  }),
  z.object({
    id: Id,
    kind: z.literal('barrier line'),
    name: z.string().min(1, 'needs a name').max(60),
    length: z.number().positive().max(20_000),
    width: z.number().positive().max(500),
    height: z.number().positive().max(5000)
  }),
  z.object({
    id: Id,
    kind: z.literal('casting'),
    name: z.string().min(1, 'needs a name').max(60),
    /** The cavities of this plan that it is cast in, and which share of one casting is set in: sawn where it is under 1. */
    groupId: z.string().min(1).max(80),
    share: z.number().positive('must be more than nothing').max(1, 'is more than the whole casting'),
    each: z.number().int().positive().max(500),
    /** Where its lowest point stands, mm. */
    from: mm
  })
]);
export type Embed = z.infer<typeof Embed>;
/** An embed whose own size is known: a casting of the same plan has it from what is cast. */
export type SolidEmbed = Exclude<Embed, { kind: 'casting' }>;

/** What one embed (all of its copies) displaces in one cavity, ml: V = m/ρ, or length × width × height. */
export const displaced = (embed: SolidEmbed): number =>
  embed.kind === 'object'
    ? (embed.each * embed.grams) / embed.density
    : (embed.length * embed.width * embed.height) / 1000;

/** Directions in which an outline is measured. */
const AROUND = 360;

/**
 * How far a thing reaches from its middle as it stands, mm. Without an outline it is an upright ellipsoid of its own room and
 * height: V = 4/3 π r² · h/2. Flat, its outline is as large as its room over its height.
 */
export function reachOf({ grams, density, height, look }: Extract<Embed, { kind: 'object' }>): number {
  const mm3 = (grams / density) * 1000;
  if (!look || look.outline === 'round' || look.lies === 'on edge')
    return Math.sqrt((3 * mm3) / (2 * Math.PI * height));
  const radius = outlineRadius(look.outline);
  const radii = Array.from({ length: AROUND }, (_, i) => radius((2 * Math.PI * i) / AROUND));
  const area = (Math.PI / AROUND) * radii.reduce((s, r) => s + r * r, 0);
  return Math.max(...radii) * Math.sqrt(mm3 / height / area);
}

const span = (embed: SolidEmbed): { from: number; to: number } =>
  embed.kind === 'object'
    ? { from: embed.from, to: embed.from + embed.height }
    : { from: 0, to: embed.height };

/**
 * A cavity with embeds standing in it: at every level the room is less by what stands below it. What an embed
 * displaces is spread evenly over its own height, which is exact for upright shapes; what stands out displaces nothing.
 * Problems say where an embed leaves no room, or stands out of the pour.
 */
export function withEmbeds(cavity: Cavity, embeds: readonly SolidEmbed[], path: string): Cavity {
  if (!embeds.length) return cavity;
  const parts = embeds.map((e) => ({ ...span(e), ml: displaced(e) }));
  const takenAt = (level: number) =>
    parts.reduce(
      (s, p) => s + p.ml * Math.min(1, Math.max(0, (level - p.from) / Math.max(1e-9, p.to - p.from))),
      0
    );
  const volumeAt = (level: number) => Math.max(0, cavity.volumeAt(level) - takenAt(level));
  const capacity = volumeAt(cavity.depth);
  const problems: Problem[] = [...cavity.problems];
  embeds.forEach((embed, i) => {
    const { from, to } = span(embed);
    const own = (displaced(embed) * (Math.min(to, cavity.depth) - from)) / (to - from);
    const room = cavity.volumeAt(Math.min(to, cavity.depth)) - cavity.volumeAt(from);
    if (own >= room) {
      problems.push({
        code: 'embed-too-big',
        level: 'stop',
        path: `${path}/${i}`,
        sentence: `${embed.name} displaces ${figure(own, 'ml', 1)} where the cavity has ${figure(room, 'ml', 1)} of room.`,
        mend: 'Check its weight, density and height; a lighter density means a bigger body.'
      });
    } else if (to > cavity.depth + 1e-9) {
      problems.push({
        code: 'embed-stands-out',
        level: 'warn',
        path: `${path}/${i}`,
        sentence: `${embed.name} stands ${figure(to - cavity.depth, 'mm', 1)} out of the pour.`,
        mend: 'Set it lower, or let it show on purpose.'
      });
    }
  });
  return {
    ...cavity,
    capacity,
    volumeAt,
    levelAt: (ml) => inverse(volumeAt, cavity.depth, ml),
    working: `${cavity.working}; less ${figure(takenAt(cavity.depth), 'ml', 2)} displaced = ${figure(capacity, 'ml', 2)}`,
    problems
  };
}

/** Level, mm, at which a rising volume reaches so many ml; by bisection, to 1e-9 of the depth. */
function inverse(volumeAt: (level: number) => number, depth: number, ml: number): number {
  if (ml <= 0) return 0;
  if (ml >= volumeAt(depth)) return depth;
  let low = 0;
  let high = depth;
  while (high - low > 1e-10 * depth) {
    const middle = (low + high) / 2;
    if (volumeAt(middle) < ml) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
