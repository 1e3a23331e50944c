import { labOfHex, lookOf, type Lab } from './spectrum';

const ROUNDS = 30;

/** The main colours of a picture: centres in Lab with the share of the picture each stands for, largest first. */
export interface Cluster {
  hex: string;
  lab: Lab;
  share: number;
}

const apart = (a: Lab, b: Lab) => (a.l - b.l) ** 2 + (a.a - b.a) ** 2 + (a.b - b.b) ** 2;

/**
 * k-means in Lab. The first centre is the middle of the picture, each next the point furthest from those before it, so
 * the same picture gives the same palette.
 * @param pixels sRGB bytes, three or four a pixel (`stride`); transparent ones are passed over
 * @example mainColours([255, 0, 0, 255, 0, 0], 3, 1).length // 1
 */
export function mainColours(pixels: ArrayLike<number>, stride: 3 | 4, count: number): Cluster[] {
  const points: Lab[] = [];
  const known = new Map<number, Lab>();
  for (let i = 0; i + 2 < pixels.length; i += stride) {
    if (stride === 4 && pixels[i + 3]! < 128) continue;
    // Five bits a channel are finer than the eye in a photo, and let colours be converted once.
    const key = ((pixels[i]! >> 3) << 10) | ((pixels[i + 1]! >> 3) << 5) | (pixels[i + 2]! >> 3);
    let lab = known.get(key);
    if (!lab) {
      const byte = (v: number) =>
        Math.min(255, (v << 3) + 4)
          .toString(16)
          .padStart(2, '0');
      lab = labOfHex(`#${byte(key >> 10)}${byte((key >> 5) & 31)}${byte(key & 31)}`);
      known.set(key, lab);
    }
    points.push(lab);
  }
  if (!points.length) return [];
  let centres = [mean(points)];
  while (centres.length < Math.min(count, known.size)) {
    let far = points[0]!;
    let most = -1;
    for (const p of known.values()) {
      const d = Math.min(...centres.map((c) => apart(p, c)));
      if (d > most) [far, most] = [p, d];
    }
    centres.push(far);
  }
  let groups: Lab[][] = [];
  for (let round = 0; round < ROUNDS; round++) {
    groups = centres.map(() => []);
    for (const p of points) {
      let at = 0;
      for (let c = 1; c < centres.length; c++) if (apart(p, centres[c]!) < apart(p, centres[at]!)) at = c;
      groups[at]!.push(p);
    }
    const next = groups.map((g, i) => (g.length ? mean(g) : centres[i]!));
    const still = next.every((c, i) => apart(c, centres[i]!) < 1e-4);
    centres = next;
    if (still) break;
  }
  return centres
    .map((lab, i) => ({ lab, hex: lookOf(lab).hex, share: groups[i]!.length / points.length }))
    .filter((c) => c.share > 0)
    .sort((a, b) => b.share - a.share);
}

function mean(points: readonly Lab[]): Lab {
  const sum = { l: 0, a: 0, b: 0 };
  for (const p of points) {
    sum.l += p.l;
    sum.a += p.a;
    sum.b += p.b;
  }
  const n = Math.max(1, points.length);
  return { l: sum.l / n, a: sum.a / n, b: sum.b / n };
}
