import { byteOfLight, LIGHT_OF_BYTE } from '../colour';
import { chanceFrom, normal, type Chance } from '../pattern';
import { lensOf, type Outline, type Photo, type Placed, type Spot } from './upright';

/** How good a photo is: how far the corners that a hand sets are off, light, gloss, blur, noise and the camera's cast. */
export interface PhotoQuality {
  corners: number;
  crop: number;
  light: number;
  gloss: number;
  blur: number;
  noise: number;
  cast: number;
}

/** Photos as they come: in calm daylight, and by a lamp in a hurry. */
export const QUALITIES = {
  clean: { corners: 0, crop: 0, light: 0, gloss: 0, blur: 0, noise: 0, cast: 0 },
  fair: { corners: 0.006, crop: 0.02, light: 0.15, gloss: 0.012, blur: 0.6, noise: 2, cast: 0.12 },
  poor: { corners: 0.015, crop: 0.05, light: 0.35, gloss: 0.03, blur: 1.2, noise: 5, cast: 0.25 }
} as const satisfies Record<string, PhotoQuality>;

/** A face to be photographed: sRGB bytes, four a pixel; where they are clear the table shows. */
export interface Face {
  width: number;
  height: number;
  rgba: ArrayLike<number>;
}

/** A photo that was made, and what a maker would say of it. */
export interface Simulated {
  photo: Photo;
  placed: Placed;
}

/** A grey table and a sheet of paper on it, linear light. */
const [TABLE, PAPER] = [0.16, 0.88];

/**
 * A photo of a face as a camera over a bench takes it: aslant, lit from a side, with a reflection, a cast, blur and noise,
 * a sheet of paper beside the piece; and the corners as a hand sets them. The same seed is the same photo.
 */
export function photographed(
  face: Face,
  {
    quality,
    seed,
    outline,
    side = 160
  }: { quality: PhotoQuality; seed: number; outline: Outline; side?: number }
): Simulated {
  const chance = chanceFrom(seed);
  const aspect = face.width / face.height;
  const [width, height] = [
    Math.round(side * Math.max(1, aspect) * 1.4),
    Math.round(side * Math.max(1, 1 / aspect) * 1.3)
  ];
  const corners = aslant(
    { width, height, across: side * Math.sqrt(aspect), down: side / Math.sqrt(aspect) },
    quality,
    chance
  );
  const light = lit(quality, chance);
  const lens = lensOf(corners);
  const seen = new Float32Array(3 * width * height);
  const cast = [0, 1, 2].map(() => 1 + quality.cast * (2 * chance() - 1));
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const spot = { x: (x + 0.5) / width, y: (y + 0.5) / height };
      const own = lightOf(face, lens.back(spot.x, spot.y), spot);
      const { by, gloss } = light(spot);
      for (let k = 0; k < 3; k++) seen[3 * (y * width + x) + k] = (own[k]! * by + gloss) * cast[k]!;
    }
  const photo = developed(
    { width, height, seen: blurred(seen, { width, height, by: quality.blur }) },
    quality.noise,
    chance
  );
  return {
    photo,
    placed: { corners: byHand(corners, quality, chance), outline, white: { x: 0.06, y: 0.06 }, aspect }
  };
}

type Corners = [Spot, Spot, Spot, Spot];

/** Where the piece lies on the photo: in the middle, a little turned and seen from a side. */
function aslant(
  { width, height, across, down }: { width: number; height: number; across: number; down: number },
  { crop }: PhotoQuality,
  chance: Chance
): Corners {
  const turn = 3 * crop * (2 * chance() - 1);
  const [dx, dy] = [across / 2 / width, down / 2 / height].map((v) => v * (0.94 + 0.06 * chance()));
  const corner = (u: number, v: number): Spot => {
    const slant = 1 + crop * (2 * chance() - 1);
    const [x, y] = [u * dx! * slant, v * dy! * slant];
    return {
      x: 0.53 + x * Math.cos(turn) - y * Math.sin(turn),
      y: 0.53 + y * Math.cos(turn) + x * Math.sin(turn)
    };
  };
  return [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)];
}

function lightOf({ width, height, rgba }: Face, { x, y }: Spot, on: Spot): number[] {
  const ground = on.x < 0.12 && on.y < 0.14 ? PAPER : TABLE;
  if (x < 0 || y < 0 || x >= 1 || y >= 1) return [ground, ground, ground];
  const at = 4 * (Math.floor(y * height) * width + Math.floor(x * width));
  const cover = rgba[at + 3]! / 255;
  return [0, 1, 2].map((k) => LIGHT_OF_BYTE[rgba[at + k]!]! * cover + ground * (1 - cover));
}

/** Light that falls off across the bench, and a reflection or two where the piece is wet with it. */
function lit({ light, gloss }: PhotoQuality, chance: Chance): (spot: Spot) => { by: number; gloss: number } {
  const [angle, bow] = [2 * Math.PI * chance(), light * 0.5 * chance()];
  const spots = gloss
    ? Array.from({ length: 2 }, () => ({
        x: 0.3 + 0.45 * chance(),
        y: 0.3 + 0.45 * chance(),
        r: Math.sqrt(gloss / 2 / Math.PI) * (0.6 + 0.6 * chance())
      }))
    : [];
  return ({ x, y }) => {
    const [u, v] = [2 * x - 1, 2 * y - 1];
    const by = 1 + light * (u * Math.cos(angle) + v * Math.sin(angle)) - bow * (u * u + v * v);
    const shine = spots.reduce(
      (s, p) => s + 1.4 * Math.exp(-(((x - p.x) ** 2 + (y - p.y) ** 2) / p.r ** 2) * 2),
      0
    );
    return { by: Math.max(0.2, by), gloss: shine };
  };
}

/** Blur: the mean of three boxes is as good as a bell. */
function blurred(
  seen: Float32Array,
  { width, height, by }: { width: number; height: number; by: number }
): Float32Array {
  if (!by) return seen;
  const weights = [Math.exp(-1 / (2 * by * by)), 1, Math.exp(-1 / (2 * by * by))];
  const all = weights[0]! + weights[1]! + weights[2]!;
  const along = (from: Float32Array, step: number, inside: (x: number, y: number) => boolean) => {
    const to = from.slice();
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        if (!inside(x, y)) continue;
        for (let k = 0; k < 3; k++) {
          const at = 3 * (y * width + x) + k;
          to[at] =
            (from[at - 3 * step]! * weights[0]! +
              from[at]! * weights[1]! +
              from[at + 3 * step]! * weights[2]!) /
            all;
        }
      }
    return to;
  };
  const across = along(seen, 1, (x) => x > 0 && x < width - 1);
  return along(across, width, (_, y) => y > 0 && y < height - 1);
}

function developed(
  { width, height, seen }: { width: number; height: number; seen: Float32Array },
  noise: number,
  chance: Chance
): Photo {
  const rgba = new Uint8ClampedArray(4 * width * height);
  for (let p = 0; p < width * height; p++) {
    for (let k = 0; k < 3; k++)
      rgba[4 * p + k] = byteOfLight(seen[3 * p + k]!) + (noise ? noise * normal(chance) : 0);
    rgba[4 * p + 3] = 255;
  }
  return { width, height, rgba };
}

/** Corners as a hand sets them. */
function byHand(corners: Corners, { corners: off }: PhotoQuality, chance: Chance): Corners {
  return corners.map(({ x, y }) => ({
    x: x + off * normal(chance),
    y: y + off * normal(chance)
  })) as Corners;
}
