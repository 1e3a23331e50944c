import { lookOf, type Lab } from '../colour';
import { apartAt, centresOf, farAt, meanOf, nearestAt, type Centre } from './centres';
import { litEvenly } from './light';
import { pixelLabOf, withoutGloss, type PixelLab } from './pixel-lab';
import type { Upright } from './upright';

/** A colour that is seen on a face: how much of what is measured it covers, 0..1. */
export interface SeenColour {
  lab: Lab;
  hex: string;
  share: number;
}

/** A face as flat areas: for each pixel the number of its colour, −1 where nothing is measured. */
export interface Areas {
  width: number;
  height: number;
  labels: Int8Array;
  colours: SeenColour[];
  /** Lab of each pixel in even light. */
  lab: PixelLab;
}

/** Pixels of a calm place differ from their neighbours by less than this. */
const CALM = 9.5;
/** Farther than this from every colour, and than the second from every blend of two, a pixel is of a colour of its own. */
const [ITS_OWN, NO_BLEND] = [19.5, 10.4];
/** Specks and hairlines of less than this share of a face are none. */
const SPECKS = 0.004;
const SPECK_COLOURS = 3;
const LIGHT_ROUNDS = 3;
/** While the light is still sought, a part of the places will do: every so manieth. */
const ROUGHLY = 3;

/** What is seen on a piece: its colours and where they lie, reflections filled and uneven light taken out. */
export function areasOf(upright: Upright): Areas {
  let even = withoutGloss(upright);
  for (let round = 0; round < LIGHT_ROUNDS; round++) {
    const lab = pixelLabOf(even);
    const centres = coloursIn(even, lab, ROUGHLY);
    const luminances = centres.map(([l]) => luminanceOf(l));
    even = litEvenly(even, (p) =>
      upright.inside[p] ? luminances[nearestAt(lab, 3 * p, centres)] : undefined
    );
  }
  const lab = pixelLabOf(even);
  return labelled(even, lab, coloursIn(even, lab));
}

/** Luminance of a lightness, 0..1. Source: CIE L*. */
export const luminanceOf = (l: number): number => (l > 8 ? ((l + 16) / 116) ** 3 : (l * 27) / 24389);

/** The colours of calm places, and those of specks and hairlines, which are never calm. */
function coloursIn({ width, height, inside }: Upright, lab: PixelLab, every = 1): Centre[] {
  const pixels = numbersOf(inside, (v) => v > 0).filter((_, i) => i % every === 0);
  const calm = pixels.filter((p) => isCalm(lab, p, { width, height }));
  const centres = centresOf(lab, calm.length > 0.05 * pixels.length ? calm : pixels);
  for (let more = 0; more < SPECK_COLOURS; more++) {
    const odd = pixels.filter((p) => isOfItsOwn(lab, 3 * p, centres));
    if (odd.length < SPECKS * pixels.length) break;
    // What is small is blended with what lies about it: its purer half tells what it is.
    const purer = odd
      .map((p) => ({ p, far: farAt(lab, 3 * p, centres) }))
      .sort((a, b) => b.far - a.far)
      .slice(0, Math.ceil(odd.length / 2));
    centres.push(
      meanOf(
        lab,
        purer.map(({ p }) => p)
      )
    );
  }
  return centres;
}

function isCalm(lab: PixelLab, p: number, { width, height }: { width: number; height: number }): boolean {
  const x = p % width;
  if (x === 0 || x === width - 1 || p < width || p >= width * (height - 1)) return false;
  const own: Centre = [lab[3 * p]!, lab[3 * p + 1]!, lab[3 * p + 2]!];
  return (
    apartAt(lab, 3 * (p - 1), own) < CALM &&
    apartAt(lab, 3 * (p + 1), own) < CALM &&
    apartAt(lab, 3 * (p - width), own) < CALM &&
    apartAt(lab, 3 * (p + width), own) < CALM
  );
}

function isOfItsOwn(lab: PixelLab, at: number, centres: readonly Centre[]): boolean {
  if (farAt(lab, at, centres) <= ITS_OWN) return false;
  for (let i = 0; i < centres.length; i++)
    for (let j = i + 1; j < centres.length; j++)
      if (fromLine(lab, at, centres[i]!, centres[j]!) <= NO_BLEND) return false;
  return true;
}

/** How far a pixel is from what two colours blend to. */
function fromLine(lab: PixelLab, at: number, p: Centre, q: Centre): number {
  let along = 0;
  let long = 0;
  for (let k = 0; k < 3; k++) {
    const v = q[k]! - p[k]!;
    along += v * (lab[at + k]! - p[k]!);
    long += v * v;
  }
  const t = Math.min(1, Math.max(0, along / Math.max(1e-9, long)));
  return apartAt(lab, at, [p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1]), p[2] + t * (q[2] - p[2])]);
}

/** Every measured pixel by its nearest colour, single ones given to what most of their neighbours are. */
function labelled(
  { width, height, inside }: Pick<Upright, 'width' | 'height' | 'inside'>,
  lab: PixelLab,
  centres: readonly Centre[]
): Areas {
  const raw = new Int8Array(width * height).fill(-1);
  for (let p = 0; p < raw.length; p++) if (inside[p]) raw[p] = nearestAt(lab, 3 * p, centres);
  const labels = centres.length > 1 ? smoothed(raw, width, height) : raw;
  return withColours({ width, height, labels, lab, colours: [] }, centres);
}

/** Areas with their colours counted; colours that cover nothing are left out, most of it first. */
function withColours(areas: Areas, centres: readonly Centre[]): Areas {
  const counts = centres.map(() => 0);
  let all = 0;
  for (const label of areas.labels)
    if (label >= 0) {
      counts[label]!++;
      all++;
    }
  const order = centres
    .map((_, i) => i)
    .filter((i) => counts[i])
    .sort((a, b) => counts[b]! - counts[a]!);
  const to = new Map(order.map((i, n) => [i, n]));
  return {
    ...areas,
    labels: areas.labels.map((label) => to.get(label) ?? -1),
    colours: order.map((i) => {
      const [l, a, b] = centres[i]!;
      return { lab: { l, a, b }, hex: lookOf({ l, a, b }).hex, share: counts[i]! / all };
    })
  };
}

/** Fewer than so many of a pixel and its eight neighbours are noise, not a speck. */
const SPECK_PIXELS = 3;

/** Single pixels given to what most of their neighbours are. */
function smoothed(labels: Int8Array, width: number, height: number): Int8Array {
  const counts = new Uint8Array(128);
  return labels.map((own, p) => {
    if (own < 0) return own;
    const [x, y] = [p % width, Math.floor(p / width)];
    counts.fill(0);
    let best = own;
    for (let j = Math.max(0, y - 1), down = Math.min(height - 1, y + 1); j <= down; j++)
      for (let i = Math.max(0, x - 1), right = Math.min(width - 1, x + 1); i <= right; i++) {
        const label = labels[j * width + i]!;
        if (label < 0) continue;
        counts[label]!++;
        if (counts[label]! > counts[best]!) best = label;
      }
    return counts[own]! < SPECK_PIXELS ? best : own;
  });
}

/** The numbers of the pixels of which something holds. */
function numbersOf(of: ArrayLike<number>, holds: (v: number) => boolean): number[] {
  const found: number[] = [];
  for (let p = 0; p < of.length; p++) if (holds(of[p]!)) found.push(p);
  return found;
}

const centreOf = ({ lab: { l, a, b } }: SeenColour): Centre => [l, a, b];

/** The areas with one colour taken for another: what was `other` is `one` now. */
export function joinedAreas(areas: Areas, one: number, other: number): Areas {
  const [p, q] = [areas.colours[one]!, areas.colours[other]!];
  const all = p.share + q.share;
  const mean = centreOf(p).map(
    (v, k) => (v * p.share + centreOf(q)[k]! * q.share) / all
  ) as unknown as Centre;
  const centres = areas.colours.map((c, i) => (i === one ? mean : centreOf(c)));
  return withColours({ ...areas, labels: areas.labels.map((l) => (l === other ? one : l)) }, centres);
}

/** The areas with one colour taken apart into two, where it has two in it. */
export function partedAreas(areas: Areas, which: number): Areas {
  const pixels = numbersOf(areas.labels, (l) => l === which);
  const mean = meanOf(areas.lab, pixels);
  const far = [...pixels].sort((p, q) => apartAt(areas.lab, 3 * q, mean) - apartAt(areas.lab, 3 * p, mean));
  const outer = meanOf(areas.lab, far.slice(0, Math.max(1, Math.ceil(far.length / 10))));
  let pair: Centre[] = [mean, outer];
  for (let round = 0; round < 8; round++)
    pair = pair.map((c, i) => {
      const own = pixels.filter((p) => nearestAt(areas.lab, 3 * p, pair) === i);
      return own.length ? meanOf(areas.lab, own) : c;
    });
  const centres = [...areas.colours.map((c, i) => (i === which ? pair[0]! : centreOf(c))), pair[1]!];
  const labels = areas.labels.slice();
  for (const p of pixels) if (nearestAt(areas.lab, 3 * p, pair) === 1) labels[p] = centres.length - 1;
  return withColours({ ...areas, labels }, centres);
}

/** The areas without a colour that is gloss: what it covered is of what lies about it. */
export function withoutColour(areas: Areas, which: number): Areas {
  if (areas.colours.length < 2) return areas;
  const { width, height } = areas;
  const labels = areas.labels.slice();
  let open = numbersOf(labels, (l) => l === which);
  while (open.length) {
    const found = open.map((p) => [p, commonAbout(labels, p, { width, height, not: which })] as const);
    for (const [p, label] of found) if (label >= 0) labels[p] = label;
    const left = found.filter(([, label]) => label < 0).map(([p]) => p);
    if (left.length === open.length) break;
    open = left;
  }
  for (const p of open) labels[p] = which ? 0 : 1;
  return withColours({ ...areas, labels }, areas.colours.map(centreOf));
}

function commonAbout(
  labels: Int8Array,
  p: number,
  { width, height, not }: { width: number; height: number; not: number }
): number {
  const [x, y] = [p % width, Math.floor(p / width)];
  const counts = new Map<number, number>();
  for (let j = Math.max(0, y - 1); j <= Math.min(height - 1, y + 1); j++)
    for (let i = Math.max(0, x - 1); i <= Math.min(width - 1, x + 1); i++) {
      const label = labels[j * width + i]!;
      if (label >= 0 && label !== not) counts.set(label, (counts.get(label) ?? 0) + 1);
    }
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? -1;
}
