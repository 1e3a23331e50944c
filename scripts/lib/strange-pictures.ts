import { painted } from '../../src/core/photo/photos.testing';

const [BLUE, RED, PALE, DARK] = ['#2d4a6b', '#b8483a', '#e8e2d0', '#3a3a3c'] as const;
const part = (v: number) => v - Math.floor(v);
const either = (first: boolean) => (first ? BLUE : PALE);

/** Pictures that no pour makes, each in sizes of its own: colours at shares of the sides. */
const STRANGE: Record<string, (x: number, y: number, size: number) => string> = {
  chequers: (x, y, n) => either((Math.floor(x * (4 + n)) + Math.floor(y * (4 + n))) % 2 === 0),
  stars: (x, y, n) => {
    const [u, v] = [part(x * (3 + n)) - 0.5, part(y * (3 + n)) - 0.5];
    return either(Math.hypot(u, v) < 0.18 + 0.14 * Math.cos(5 * Math.atan2(v, u)));
  },
  wood: (x, y, n) =>
    either(
      Math.floor(Math.hypot((x - 0.5) * 0.35, y - 1.6 - n * 0.1) * 30 + Math.sin(x * 9) * 0.8) % 2 === 0
    ),
  zigzag: (x, y, n) =>
    either(Math.floor((y + 0.08 * Math.abs(2 * part((x * (5 + n)) / 2) - 1)) * 12) % 2 === 0),
  bricks: (x, y, n) => {
    const row = Math.floor(y * (7 + n));
    return part(x * 5 + (row % 2) * 0.5) < 0.08 || part(y * (7 + n)) < 0.12 ? PALE : RED;
  },
  spiral: (x, y, n) =>
    either(
      Math.floor(
        Math.hypot(x - 0.5, y - 0.5) * 10 + (Math.atan2(y - 0.5, x - 0.5) / Math.PI) * (1 + n) + 20
      ) %
        2 ===
        0
    ),
  writing: (x, y, n) => {
    const [u, v] = [Math.floor(x * 24), Math.floor(y * 12)];
    return (u * 7 + v * 13 + n * 5 + ((u * v) % 5)) % 3 === 0 && v % 2 === 0 ? DARK : PALE;
  },
  triangles: (x, y, n) => either(part((x + y) * (4 + n)) > 0.5 !== part((x - y) * (4 + n) + 9) > 0.5),
  dots: (x, y, n) => either(Math.hypot(part(x * (5 + n)) - 0.5, part(y * (5 + n)) - 0.5) < 0.3),
  cross: (x, y) => (Math.abs(x - 0.5) < 0.12 || Math.abs(y - 0.5) < 0.12 ? RED : PALE)
};

const SIDE = 200;
const SIZES = 3;

/** Pictures that no technique makes, as they would be photographed. */
export const strangePictures = () =>
  Object.entries(STRANGE).flatMap(([name, colourAt]) =>
    Array.from({ length: SIZES }, (_, n) => ({ name, ...painted(SIDE, (x, y) => colourAt(x, y, n)) }))
  );
