import type { Noise } from '../noise';
import { angleOfNodes, NODES, Star } from './star';

/** A closed line round a middle: its course, its width, and the chance by which it runs out in fingers, where it does. */
export interface ClosedLine {
  at: { x: number; y: number };
  radius: (angle: number) => number;
  width: number;
  blooms?: Noise;
}

/** The kept middle of a line round it, and the line's own star: evenly on both sides, or running out in fingers. */
export function lineStars(wall: Star, line: ClosedLine) {
  const half = (r: number) => Math.min(line.width / 2, 0.8 * r);
  const along = (squared: (r: number, angle: number) => number) =>
    new Star(
      Float64Array.from({ length: NODES }, (_, i) => {
        const angle = angleOfNodes(i);
        return squared(Math.min(0.94 * Math.sqrt(wall.at(i)), line.radius(angle)), angle);
      })
    );
  const { blooms } = line;
  const fingers = blooms && ((a: number) => 0.12 + 2.6 * fringe(blooms, a) ** 2.2);
  return {
    inner: along((r) => (r - half(r)) ** 2),
    ring: along((r, a) => {
      const wide = fingers ? 1.3 * line.width * fingers(a) : half(r);
      return (r + wide) ** 2 - (r - half(r)) ** 2;
    })
  };
}

/** An uneven fringe round a turn, 0..1: slow and quick waves of noise together. */
function fringe(noise: Noise, angle: number): number {
  const at = (k: number) => noise(k * Math.cos(angle) + 40, k * Math.sin(angle) + 40, k);
  return Math.min(1, Math.max(0, 0.5 + 0.55 * at(5) + 0.4 * at(11) + 0.25 * at(24)));
}
