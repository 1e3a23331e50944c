import { labOfHex, type Lab } from '../colour';
import { luminanceOf } from './areas';
import { apart, farAt, nearestAt, type Centre } from './centres';
import { litEvenly } from './light';
import { pixelLabOf, withoutGloss, type PixelLab } from './pixel-lab';
import { uprighted, type Photo, type Placed, type Upright } from './upright';

/** A colour that is planned for a face. */
export interface PlannedColour {
  id: string;
  hex: string;
}

/** How much a photo can tell: shares are off by so many points at most, nineteen times of twenty. */
export interface Telling {
  quality: 'fair' | 'poor';
  /** 0..1. */
  within: number;
}

/** What of a face is measured of each planned colour; those too near one another to be told apart stand together. */
export interface MeasuredFace {
  width: number;
  height: number;
  /** For each pixel the number of the share it belongs to; −1 where nothing is measured. */
  labels: Int8Array;
  shares: {
    ids: string[];
    share: number;
    /** The middle of it, shares of the sides from the upper left. */ at: { x: number; y: number };
  }[];
  telling: Telling;
}

/** Pixels to the root of a face's area when it is measured. */
const ROOT = 128;
/** Colours nearer than this in Lab are measured as one. Source: errors grow from 3 to 50 points below it in trials. */
const TOLD_APART = 20;
/** A cured colour may be so far from its plan, in Lab. */
const SHIFT = 12;
const ROUNDS = 6;
/** Within so many points a share is told, by a photo in calm light and by a poor one. Source: our trials on made photos. */
const WITHIN = { fair: 0.04, poor: 0.06 } as const;
/** A photo is poor where light or reflections change more than this over the piece. */
const [UNEVEN, GLOSSY] = [0.3, 0.08];
/** Where more of a face than this is of no planned colour, it is another piece, or a kind that cannot be measured. */
const STRANGE = { far: 32, share: 0.25 };

/**
 * How much of a finished face each planned colour covers, by a photo: each colour may have come out a little otherwise, light
 * may be uneven.
 * Nothing where fewer than two colours can be told apart, or where what is seen is something else.
 */
export function measureFace(
  photo: Photo,
  placed: Placed,
  planned: readonly PlannedColour[]
): MeasuredFace | undefined {
  const groups = toldApart(planned);
  if (groups.length < 2) return undefined;
  const upright = uprighted(photo, placed, ROOT);
  const wanted = groups.map((g) => g.centre);
  const seen = castTaken(upright, wanted);
  const dull = withoutGloss(seen);
  const { even, centres } = settled(dull, wanted);
  const lab = pixelLabOf(even);
  if (strangeShare(lab, even.inside, centres) > STRANGE.share) return undefined;
  const labels = new Int8Array(even.inside.length).fill(-1);
  for (let p = 0; p < labels.length; p++) if (even.inside[p]) labels[p] = nearestAt(lab, 3 * p, centres);
  return {
    width: even.width,
    height: even.height,
    labels,
    shares: sharesOf(labels, even.width, groups),
    telling: tellingOf(seen, dull, even)
  };
}

interface Group {
  ids: string[];
  centre: Centre;
}

const centreOf = ({ l, a, b }: Lab): Centre => [l, a, b];

/** Planned colours, those that a photo cannot tell apart together. */
function toldApart(planned: readonly PlannedColour[]): Group[] {
  const groups: Group[] = [];
  for (const { id, hex } of planned) {
    const centre = centreOf(labOfHex(hex));
    const near = groups.find((g) => apart(g.centre, centre) < TOLD_APART);
    if (near) near.ids.push(id);
    else groups.push({ ids: [id], centre });
  }
  return groups;
}

/** Light evened and each colour moved to where it really is, by turns; never far from its plan. */
function settled(upright: Upright, wanted: readonly Centre[]): { even: Upright; centres: Centre[] } {
  let even = upright;
  let centres: Centre[] = [...wanted];
  for (let round = 0; round < ROUNDS; round++) {
    const lab = pixelLabOf(even);
    centres = moved(lab, even.inside, { centres, wanted });
    const luminances = centres.map(([l]) => luminanceOf(l));
    if (round % 2 === 0)
      even = litEvenly(even, (p) =>
        even.inside[p] ? luminances[nearestAt(lab, 3 * p, centres)] : undefined
      );
  }
  return { even, centres };
}

/** Each colour at the middle of what is nearest to it, no farther from its plan than a cure takes it. */
function moved(
  lab: PixelLab,
  inside: Uint8Array,
  { centres, wanted }: { centres: readonly Centre[]; wanted: readonly Centre[] }
): Centre[] {
  const sums = centres.map(() => [0, 0, 0, 0]);
  for (let p = 0; p < inside.length; p++) {
    if (!inside[p]) continue;
    const of = nearestAt(lab, 3 * p, centres);
    // What is far from it is a blend at a border, or nothing that was planned.
    if (farAt(lab, 3 * p, centres) > 2 * SHIFT) continue;
    for (let k = 0; k < 3; k++) sums[of]![k]! += lab[3 * p + k]!;
    sums[of]![3]!++;
  }
  return wanted.map((w, i) => {
    const [l = 0, a = 0, b = 0, n = 0] = sums[i]!;
    if (!n) return w;
    const mean: Centre = [l / n, a / n, b / n];
    const far = apart(mean, w);
    const by = far > SHIFT ? SHIFT / far : 1;
    return [w[0] + (mean[0] - w[0]) * by, w[1] + (mean[1] - w[1]) * by, w[2] + (mean[2] - w[2]) * by];
  });
}

/** Steps in which a gain is sought, as logarithms: coarse first. */
const STEPS = [0.3, 0.15, 0.07, 0.03] as const;

/**
 * A photo freed of what is left of its cast: the three gains under which what is seen falls on what is planned. A white in the
 * photo lies elsewhere in uneven light: by it alone shares were off twice as far.
 */
function castTaken(upright: Upright, wanted: readonly Centre[]): Upright {
  const sample = [...upright.inside.keys()].filter((p) => upright.inside[p] && p % 7 === 0);
  const offBy = (gains: readonly number[]): number => {
    const linear = new Float32Array(3 * sample.length);
    sample.forEach((p, i) => {
      for (let k = 0; k < 3; k++) linear[3 * i + k] = upright.linear[3 * p + k]! * Math.exp(gains[k]!);
    });
    const lab = pixelLabOf({ width: sample.length, height: 1, linear });
    // Cut off, so that what is not planned does not draw the rest to it.
    return sample.reduce((s, _, i) => s + Math.min(30, farAt(lab, 3 * i, wanted)), 0) + missing(lab, wanted);
  };
  let gains: readonly number[] = [0, 0, 0];
  let off = offBy(gains);
  for (const step of STEPS)
    for (let better = true; better;) {
      better = false;
      for (const way of WAYS)
        for (const by of [step, -step]) {
          const next = gains.map((g, k) => g + way[k]! * by);
          const nextOff = offBy(next);
          if (nextOff < off) [gains, off, better] = [next, nextOff, true];
        }
    }
  const linear = upright.linear.map((v, i) => v * Math.exp(gains[i % 3]!));
  return { ...upright, linear };
}

/** Gains that are changed together: brighter, warmer, and each by itself. */
const WAYS = [
  [1, 1, 1],
  [1, 0, -1],
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1]
] as const;

/** A planned colour that is seen nowhere counts against the gains. */
function missing(lab: PixelLab, wanted: readonly Centre[]): number {
  const found = wanted.map(() => 0);
  for (let at = 0; at < lab.length; at += 3) found[nearestAt(lab, at, wanted)]!++;
  return found.filter((n) => n < (0.004 * lab.length) / 3).length * 0.2 * lab.length;
}

function strangeShare(lab: PixelLab, inside: Uint8Array, centres: readonly Centre[]): number {
  let [strange, all] = [0, 0];
  for (let p = 0; p < inside.length; p++) {
    if (!inside[p]) continue;
    all++;
    if (farAt(lab, 3 * p, centres) > STRANGE.far) strange++;
  }
  return strange / Math.max(1, all);
}

function sharesOf(labels: Int8Array, width: number, groups: readonly Group[]): MeasuredFace['shares'] {
  const sums = groups.map(() => [0, 0, 0]);
  let all = 0;
  labels.forEach((label, p) => {
    if (label < 0) return;
    sums[label]![0]!++;
    sums[label]![1]! += ((p % width) + 0.5) / width;
    sums[label]![2]! += (Math.floor(p / width) + 0.5) / (labels.length / width);
    all++;
  });
  return groups.map(({ ids }, i) => {
    const [n = 0, x = 0, y = 0] = sums[i]!;
    return { ids, share: n / Math.max(1, all), at: n ? { x: x / n, y: y / n } : { x: 0.5, y: 0.5 } };
  });
}

/** How good a photo is, by how much light and reflections had to be taken out of it. */
function tellingOf(upright: Upright, dull: Upright, even: Upright): Telling {
  let [glossy, all, least, most] = [0, 0, Infinity, -Infinity];
  for (let p = 0; p < upright.inside.length; p++) {
    if (!upright.inside[p]) continue;
    all++;
    const at = 3 * p + 1;
    if (upright.linear[at] !== dull.linear[at]) {
      glossy++;
      continue;
    }
    const light = Math.log(Math.max(1e-4, dull.linear[at]!) / Math.max(1e-4, even.linear[at]!));
    least = Math.min(least, light);
    most = Math.max(most, light);
  }
  const isPoor = (most - least) / 2 > UNEVEN || glossy / Math.max(1, all) > GLOSSY;
  const quality = isPoor ? 'poor' : 'fair';
  return { quality, within: WITHIN[quality] };
}
