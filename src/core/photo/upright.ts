import { LIGHT_OF_BYTE, WHITE_CARD } from '../colour';

/** A photo as a screen has it: sRGB bytes, red green blue and opacity, row by row. */
export interface Photo {
  width: number;
  height: number;
  rgba: ArrayLike<number>;
}

/** A place on a photo: shares of its sides from the left upper corner, 0..1. */
export interface Spot {
  x: number;
  y: number;
}

/** Where the piece is on a photo: upper left, upper right, lower right and lower left of it, or of the square about a round one. */
export interface Placed {
  corners: [Spot, Spot, Spot, Spot];
  outline: Outline;
  /** Something white in the same light. */
  white?: Spot | undefined;
  /** Width of the piece over its height; by the corners where it is not known. */
  aspect?: number | undefined;
}

/** With corners, or without. */
export type Outline = 'square' | 'round';

/**
 * A piece seen straight on: linear light of each pixel, red green blue, paper white at 0.88; whether a pixel is measured, and
 * whether the camera's sensor was full there, so that what lies under the light is not known.
 */
export interface Upright {
  width: number;
  height: number;
  linear: Float32Array;
  inside: Uint8Array;
  full: Uint8Array;
}

/** Corners that a hand sets are never exact, and edges of a piece catch the light: so much at each side is never measured. */
const NEVER_MEASURED = 0.06;
/** So bright in all three channels a sensor is full. */
const FULL = 0.97;
/** So many places across and up are read for a pixel. */
const READ = 3;

/** How the plane of a piece lies on a photo: its unit square to the photo, and back. */
interface Lens {
  at(u: number, v: number): Spot;
  back(x: number, y: number): Spot;
}

/**
 * How the plane of a piece lies on a photo, from its four corners: x = (a u + b v + c) / (g u + h v + 1), y likewise.
 * Source: the projective map of a square to a quadrilateral, solved for its eight numbers; its inverse is its adjugate.
 */
export function lensOf([p0, p1, p2, p3]: Placed['corners']): Lens {
  const [dx1, dx2] = [p1.x - p2.x, p3.x - p2.x];
  const [dy1, dy2] = [p1.y - p2.y, p3.y - p2.y];
  const [sx, sy] = [p0.x - p1.x + p2.x - p3.x, p0.y - p1.y + p2.y - p3.y];
  const all = dx1 * dy2 - dx2 * dy1;
  const g = all ? (sx * dy2 - dx2 * sy) / all : 0;
  const h = all ? (dx1 * sy - sx * dy1) / all : 0;
  const [a, b, c] = [p1.x - p0.x + g * p1.x, p3.x - p0.x + h * p3.x, p0.x];
  const [d, e, f] = [p1.y - p0.y + g * p1.y, p3.y - p0.y + h * p3.y, p0.y];
  return {
    at(u, v) {
      const w = g * u + h * v + 1;
      return { x: (a * u + b * v + c) / w, y: (d * u + e * v + f) / w };
    },
    back(x, y) {
      const w = (d * h - e * g) * x + (b * g - a * h) * y + (a * e - b * d);
      return {
        x: ((e - f * h) * x + (c * h - b) * y + (b * f - c * e)) / w,
        y: ((f * g - d) * x + (a - c * g) * y + (c * d - a * f)) / w
      };
    }
  };
}

/** Width over height of a piece by its corners: opposite sides in the middle of what perspective makes of them. */
export function aspectOf(
  [p0, p1, p2, p3]: Placed['corners'],
  photo: Pick<Photo, 'width' | 'height'>
): number {
  const long = (a: Spot, b: Spot) => Math.hypot((a.x - b.x) * photo.width, (a.y - b.y) * photo.height);
  return Math.sqrt((long(p0, p1) * long(p3, p2)) / Math.max(1e-9, long(p0, p3) * long(p1, p2)));
}

/**
 * The piece of a photo seen straight on, in linear light freed of the camera's cast where a white is known.
 * @param root side of a square of the same area, pixels
 */
export function uprighted(photo: Photo, placed: Placed, root: number): Upright {
  const aspect = placed.aspect ?? aspectOf(placed.corners, photo);
  const width = Math.max(8, Math.round(root * Math.sqrt(aspect)));
  const height = Math.max(8, Math.round(root / Math.sqrt(aspect)));
  const lens = lensOf(placed.corners);
  const linear = new Float32Array(3 * width * height);
  const full = new Uint8Array(width * height);
  const gain = placed.white ? gainOf(photo, placed.white) : [1, 1, 1];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = 3 * (y * width + x);
      for (let j = 0; j < READ; j++)
        for (let i = 0; i < READ; i++) {
          const spot = lens.at((x + (i + 0.5) / READ) / width, (y + (j + 0.5) / READ) / height);
          addLight(photo, spot, linear, at);
        }
      if (Math.min(linear[at]!, linear[at + 1]!, linear[at + 2]!) > FULL * READ ** 2) full[at / 3] = 1;
      for (let k = 0; k < 3; k++) linear[at + k] = (linear[at + k]! * gain[k]!) / READ ** 2;
    }
  return { width, height, linear, inside: insideOf(width, height, placed.outline), full };
}

function addLight({ width, height, rgba }: Photo, { x, y }: Spot, into: Float32Array, at: number): void {
  const px = Math.min(width - 1, Math.max(0, Math.floor(x * width)));
  const py = Math.min(height - 1, Math.max(0, Math.floor(y * height)));
  const from = 4 * (py * width + px);
  for (let k = 0; k < 3; k++) into[at + k]! += LIGHT_OF_BYTE[rgba[from + k]!]!;
}

/** Half the side of the spot that a white is read from, share of the photo's longer side. */
const WHITE_SPOT = 0.006;

/** What each channel is multiplied by so that the white becomes paper. */
function gainOf(photo: Photo, { x, y }: Spot): number[] {
  const half = Math.max(1, Math.round(WHITE_SPOT * Math.max(photo.width, photo.height)));
  const sum = new Float32Array(3);
  let read = 0;
  for (let j = -half; j <= half; j++)
    for (let i = -half; i <= half; i++) {
      addLight(photo, { x: x + i / photo.width, y: y + j / photo.height }, sum, 0);
      read++;
    }
  return [...sum].map((v) => WHITE_CARD / Math.max(0.02, v / read));
}

/** The pixels that are measured: all but a margin, and of a round piece what lies within its circle. */
function insideOf(width: number, height: number, outline: Outline): Uint8Array {
  const inside = new Uint8Array(width * height);
  const margin = NEVER_MEASURED * Math.min(width, height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [u, v] = [(2 * (x + 0.5)) / width - 1, (2 * (y + 0.5)) / height - 1];
      const within =
        outline === 'round'
          ? Math.hypot(u, v) < 1 - NEVER_MEASURED
          : x + 0.5 > margin && y + 0.5 > margin && width - x - 0.5 > margin && height - y - 0.5 > margin;
      if (within) inside[y * width + x] = 1;
    }
  return inside;
}
