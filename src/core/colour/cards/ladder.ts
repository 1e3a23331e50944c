import type { Colourant } from '../../material';
import { deltaE } from '../spectrum/difference';
import { HIDES } from '../pigment/hiding';
import type { BaseLook } from '../pigment/optics';
import { filmReflectance, mixtureOf } from '../pigment/pigment';
import { flat, labOf, labOfHex, lookOf } from '../spectrum/spectrum';
import type { TrialCard } from './trial';

/** One step of a dose ladder: percent, and its colour over the black and the white of a card, sRGB hex. */
export interface LadderStep {
  percent: number;
  black: string;
  white: string;
}

/** What a ladder tells: the first percentage that hides, and the one past which more no longer shows. */
export interface LadderReading {
  hidesFrom?: number;
  enoughFrom?: number;
  steps: (LadderStep & { contrast: number; next?: number })[];
}

/** A further step that changes the colour by less than this no longer shows. ΔE00. */
const SHOWS = 1;
const BLACK = flat(0.02);
const WHITE = flat(0.85);

const luminance = (hex: string) => {
  const { l } = labOfHex(hex);
  return l > 8 ? ((l + 16) / 116) ** 3 : l / (24389 / 27);
};

const between = (one: LadderStep, other: LadderStep, over: 'white' | 'black') =>
  deltaE(labOfHex(one[over]), labOfHex(other[over]));

/**
 * Reads a ladder, its steps in any order. Contrast is the luminance over black by that over white.
 * @example readLadder([]) // {'steps':[]}
 */
export function readLadder(steps: readonly LadderStep[]): LadderReading {
  const sorted = [...steps].sort((a, b) => a.percent - b.percent);
  const read = sorted.map((s, i) => {
    const after = sorted[i + 1];
    return {
      ...s,
      contrast: Math.min(1, luminance(s.black) / Math.max(1e-6, luminance(s.white))),
      // More shows as long as it shows over either: a film may change over black where over white it no longer does.
      ...(after ? { next: Math.max(between(s, after, 'white'), between(s, after, 'black')) } : {})
    };
  });
  const hides = read.find((s) => s.contrast >= HIDES);
  const enough = read.find(
    (s, i) => s.next !== undefined && read.slice(i).every((x) => (x.next ?? 0) < SHOWS)
  );
  return {
    steps: read,
    ...(hides ? { hidesFrom: hides.percent } : {}),
    ...(enough ? { enoughFrom: enough.percent } : {})
  };
}

/**
 * The ladder that the model expects of a colourant in a base, a film of so many mm.
 * @example predictedLadder(colourant('blue-paste'), PLAIN_BASE, 2, [1]) // [{'percent':1,'black':'#1f4a78','white':'#204a7c'}]
 */
export const predictedLadder = (
  colourant: Colourant,
  base: BaseLook,
  mm: number,
  percents: readonly number[]
): LadderStep[] =>
  percents.map((percent) => {
    const optics = mixtureOf({ base, doses: [{ colourant, percent }] });
    const over = (backing: typeof BLACK) => lookOf(labOf(filmReflectance(optics, mm, backing))).hex;
    return { percent, black: over(BLACK), white: over(WHITE) };
  });

/** Thicknesses this near are one, as a share: a drawdown is no better laid. */
const SAME_MM = 0.05;

/**
 * Trial cards of one colourant in one base, so many mm thick, that were laid on both black and white, as a ladder.
 * Cards of another thickness hide otherwise, and stand in a ladder of their own.
 * @example ladderOf([], { colourantId: 'blue-paste', baseId: 'clear-quick', mm: 2 }) // []
 */
export function ladderOf(
  cards: readonly TrialCard[],
  { colourantId, baseId, mm }: { colourantId: string; baseId: string; mm: number }
): LadderStep[] {
  const own = cards.filter(
    (c) =>
      Math.abs(c.mm / mm - 1) <= SAME_MM &&
      c.baseId === baseId &&
      c.lines.length === 1 &&
      c.lines[0]!.colourantId === colourantId
  );
  const on = (backing: 'black' | 'white', percent: number) =>
    own.find((c) => c.backing === backing && c.lines[0]!.percent === percent)?.colour;
  return [...new Set(own.map((c) => c.lines[0]!.percent))].flatMap((percent) => {
    const [black, white] = [on('black', percent), on('white', percent)];
    return black && white ? [{ percent, black, white }] : [];
  });
}
