import { hidingThickness, litFromBehind, mixtureOf, PLAIN_BASE, type Finish } from '../colour';
import { chanceFrom, noiseFrom, type Casting, type Spot } from '../pattern';
import { seenThrough, tintOf, type Palette } from '../plan/looks/looks';
import type { ResolvedPlan } from '../plan/resolve';
import { Codes, type SeenOf } from './codes';
import { TONES, type Matter } from './matter';
import { pearlOf, SHINE, streaks } from './pearl';
import type { Traced } from './traced';

/** How a piece is looked at: finished so, or lit from behind, where what it lets through is seen. */
export type Showing = Finish | 'lit from behind';

/** So much of a matter along a sight, mm. */
export interface Film {
  matter: number;
  mm: number;
}

/** What codes of a picture look like. Codes are given out as films are met: the same films, the same code. */
export interface Paint extends Pick<Codes, 'colours' | 'fronts' | 'seen' | 'plain'> {
  /** The code of films, nearest first, thickness in mm. */
  codeOf(films: readonly Film[]): number;
  /** The code of what is seen where pearl lies in the colour in front: lighter or darker as its flakes have turned with the flow. */
  sheened(code: number, matter: number, from: Spot): number;
  /**
   * The code of a dry film on the mould face at a place, or undefined where none covers it. One whose place is guessed covers
   * nothing in figures: there counts what lies behind it.
   */
  filmAt(casting: Casting, x: number, y: number, behind: () => number): number | undefined;
  /** Thickness from which a matter hides what is behind it, mm. */
  hides(matter: number): number;
  /** No cup has a colour yet: they are told apart by tones of no pigment. */
  standIn: boolean;
  /** A film was met that lies where its place is guessed. */
  guessed: boolean;
}

/** What a solid looks like where nothing is known of it. */
const SOLID = '#b8ad97';

/** Paints for the matters of one piece. */
export function paintOf(
  plan: ResolvedPlan,
  { matters, prism }: Traced,
  palette: Palette,
  showing: Showing
): Paint {
  const standIns = standInsOf(plan, matters);
  const shades = matters.map((m) => standInFor(m, standIns) ?? shadeOf(plan, m, palette));
  const codes = new Codes();
  const { colours, fronts, seen, plain } = codes;
  const own = withShades(palette, shades);
  const behindLight = showing === 'lit from behind';
  const streakAt = streaks(Math.sqrt(prism.shaped.section.area));
  const colourOf = (films: readonly Film[]): string => {
    const bare = shades[films[0]!.matter]?.plain;
    if (bare !== undefined && (standIns.size > 0 || !behindLight)) return bare;
    if (behindLight) return throughAll(films, shades);
    const stack = films.map((f) => ({ cupId: `${f.matter}`, mm: f.mm }));
    return seenThrough(stack, own, showing).hex;
  };
  const paint: Paint = {
    ...{ colours, fronts, seen, plain },
    standIn: standIns.size > 0,
    guessed: false,
    hides: (matter) => shades[matter]?.hides ?? 0,
    codeOf: (films) =>
      codes.of(films.map((f) => `${f.matter}:${stepOf(f.mm)}`).join('|'), () => ({
        colour: colourOf(films),
        front: films[0]!.matter,
        seen: lightOf(films, shades)
      })),
    sheened: (code, matter, from) => {
      const pearl = shades[matter]?.pearl ?? 0;
      const level = pearl > 0 && !behindLight && !standIns.size ? streakAt(from) : 0;
      return level ? codes.like(code, `pearl ${level}`, () => lit(colours[code]!, level * pearl)) : code;
    },
    filmAt: (casting, x, y, behind) => {
      const i = grainOf(casting, x, y);
      if (i < 0) return undefined;
      const { colourantId: id, guessed } = casting.films[i]!;
      if (guessed) paint.guessed = true;
      return codes.like(guessed ? behind() : -1, `film ${id}`, () => plan.colourants.get(id)?.colour ?? GOLD);
    }
  };
  return paint;
}

/** What a film that hides lets through of what is behind it: hiding is 98 % of it. */
const LETS = 0.02;

/**
 * What is seen of each matter along films one behind the other: of the light that reaches a film it keeps by how near it comes to
 * hiding, and the last keeps the rest. Where all is clear it is the film in front that is looked at.
 */
function lightOf(films: readonly Film[], shades: readonly Shade[]): SeenOf[] {
  let rest = 1;
  const kept = films.map(({ matter, mm }) => {
    const hides = shades[matter]?.hides ?? 0;
    const share = rest * (hides > 0 ? 1 - LETS ** (mm / hides) : 1);
    rest -= share;
    return { matter, share };
  });
  const last = [...kept].reverse().find((k) => (shades[k.matter]?.hides ?? 0) < Infinity) ?? kept[0];
  if (last) last.share += rest;
  return kept.filter((k) => k.share > 0);
}

/** What comes through films from behind; a solid lets nothing through. */
function throughAll(films: readonly Film[], shades: readonly Shade[]): string {
  const optics = films.map((f) => shades[f.matter]?.optics);
  if (optics.includes(undefined)) return '#000000';
  return litFromBehind(films.map((f, i) => ({ optics: optics[i]!, mm: f.mm }))).hex;
}

/** A mica of which no card is named. */
const GOLD = '#c9a552';

/** Thickness in steps that are too small to be seen. */
const stepOf = (mm: number): number => Math.round(6 * Math.log2(1 + mm));

interface Shade {
  key: string;
  hides: number;
  optics?: ReturnType<typeof mixtureOf>;
  /** A colour that does not come from pigments. */
  plain?: string;
  cupId?: string;
  /** How much pearl is in it, 0 for none to 1 for as much as shines. */
  pearl?: number;
}

/** A colour with so many steps of shine more, or less. */
const lit = (hex: string, steps: number): string => darker(hex, 1 + SHINE * steps);

/** How light chips are beside their body, by their sorts: what colours they are is not asked. */
const CHIPS = [0.82, 0.6, 0.4];

function darker(hex: string, by: number): string {
  const part = (i: number) =>
    Math.min(255, Math.round(parseInt(hex.slice(i, i + 2), 16) * by))
      .toString(16)
      .padStart(2, '0');
  return `#${part(1)}${part(3)}${part(5)}`;
}

/** How a matter looks that is no colour of a cup: a chip by its body, a drop by its pot. */
function plainShade(plan: ResolvedPlan, matter: Exclude<Matter, { kind: 'cup' }>, palette: Palette): Shade {
  switch (matter.kind) {
    case 'chip': {
      const body = palette.looks.get(matter.cupId)?.own.hex ?? SOLID;
      return { key: `chip ${matter.sort}`, hides: 0, plain: darker(body, CHIPS[matter.sort] ?? 0.5) };
    }
    case 'drop': {
      const plain = plan.colourants.get(matter.colourantId)?.colour ?? SOLID;
      return { key: `drop ${matter.colourantId}`, hides: 0, plain };
    }
    case 'solid':
      return { key: `solid ${matter.hex}`, hides: 0, plain: matter.hex ?? SOLID };
    default:
      return { key: matter.kind, hides: 0, plain: SOLID };
  }
}

/** How a matter looks: its cup's own optics, or those of its streaks. */
function shadeOf(plan: ResolvedPlan, matter: Matter, palette: Palette): Shade {
  if (matter.kind !== 'cup') return plainShade(plan, matter, palette);
  const { cupId, tone } = matter;
  const cup = plan.cupOf.get(cupId);
  if (tone === 'full' || !cup) {
    const optics = palette.optics.get(cupId);
    const pearl = pearlOf(cup?.doses ?? []);
    return {
      key: cupId,
      cupId,
      pearl,
      hides: palette.hides.get(cupId) ?? Infinity,
      ...(optics ? { optics } : {})
    };
  }
  const mixing = cup.cup.mixing === 'speckled' ? 'speckled' : 'marbled';
  const times = TONES[mixing][tone];
  const tint = tintOf(cup.doses, cup.mix?.base, cup.mix?.formula);
  const optics = mixtureOf({
    ...tint,
    doses: tint.doses.map((d) => ({ ...d, percent: d.percent * times }))
  });
  const pearl = times * pearlOf(cup.doses);
  return { key: `${cupId} ${tone}`, cupId, pearl, optics, hides: hidingThickness(optics) };
}

/** Tones that stand in for colours, light to dark and back, so that neighbours differ. */
const STAND_INS = ['#dccba8', '#7d8f88', '#b57f58', '#55636d', '#c9b48f', '#8b6064', '#a3a898', '#6e6a4c'];

/**
 * Tones for the cups of a piece where two or more are poured and none has a colour yet, so that the way of pouring is seen before
 * any pot is chosen; none as soon as one of them has.
 */
function standInsOf(plan: ResolvedPlan, matters: readonly Matter[]): Map<string, string> {
  const ids = [...new Set(matters.flatMap((m) => (m.kind === 'cup' ? [m.cupId] : [])))];
  const bare = ids.every((id) => !plan.cupOf.get(id)?.doses.length);
  if (ids.length < 2 || !bare || matters.some((m) => m.kind === 'chip')) return new Map();
  const order = plan.cups.map((c) => c.cup.id).filter((id) => ids.includes(id));
  return new Map(order.map((id, i) => [id, STAND_INS[i % STAND_INS.length]!]));
}

function standInFor(matter: Matter, standIns: ReadonlyMap<string, string>): Shade | undefined {
  const plain = matter.kind === 'cup' ? standIns.get(matter.cupId) : undefined;
  return plain !== undefined && matter.kind === 'cup'
    ? { key: matter.cupId, cupId: matter.cupId, hides: 0, plain }
    : undefined;
}

/** The palette with an entry for each matter, by its number. */
function withShades(palette: Palette, shades: readonly Shade[]): Palette {
  const entries = shades.flatMap((s, i) => (s.optics ? [[`${i}`, s] as const] : []));
  const kinds = entries.map(([i, s]) => [i, palette.kinds.get(s.cupId!) ?? PLAIN_BASE.kind] as const);
  return {
    ...palette,
    optics: new Map(entries.map(([i, s]) => [i, s.optics!])),
    hides: new Map(entries.map(([i, s]) => [i, s.hides])),
    kinds: new Map(kinds),
    inks: new Set(entries.flatMap(([i, s]) => (palette.inks.has(s.cupId!) ? [i] : [])))
  };
}

/** Grain of a brushed powder, mm. */
const GRAIN = 0.35;
const drift = noiseFrom(911);

/** Which film is in front at a place of the mould face; −1 for none: the first whose grains cover it. */
function grainOf({ films }: Casting, x: number, y: number): number {
  return films.findIndex((film, i) => {
    const cell = chanceFrom(
      Math.round(x / GRAIN) * 73856093 + Math.round(y / GRAIN) * 19349663 + i * 83492791
    );
    const uneven = 0.09 * drift(x / 6, y / 6, 7 * i);
    return 0.12 + 0.76 * cell() < film.cover(x, y) + uneven;
  });
}
