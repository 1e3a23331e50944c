// The pattern engine against the plain way: every pixel, every step, every turning of it, nothing skipped.
import {
  Casting,
  disc,
  drawing,
  KEPT,
  stroke,
  tumbling,
  wobble,
  type Flow,
  type Spot
} from '../../src/core/pattern';
import type { Vortex } from '../../src/core/pattern/maps/stir';
import { cpuOf, type Figure } from './figure';

/** The same turnings without a circle round any of them. */
class PlainStir implements Flow {
  constructor(private readonly vortices: readonly Vortex[]) {}
  undo(spot: Spot): number {
    for (let i = this.vortices.length - 1; i >= 0; i--) {
      const v = this.vortices[i]!;
      const dx = spot.x - v.x;
      const dy = spot.y - v.y;
      const m = 1 - (dx * dx + dy * dy) / (v.radius * v.radius);
      if (m <= 0) continue;
      const t = -v.turn * m * m;
      const n = 1 / (1 + t * t);
      spot.x = v.x + (1 - t * t) * n * dx - 2 * t * n * dy;
      spot.y = v.y + 2 * t * n * dx + (1 - t * t) * n * dy;
    }
    return KEPT;
  }
  redo(): void {
    throw new Error('The plain way is only undone.');
  }
}

/** A pour of so many steps into a disc: puddles, strokes, wobbles and rolls by turns, as ours and as the plain way has them. */
function pourOf(steps: number): { ours: Flow[]; plain: Flow[]; level: number } {
  const casting = new Casting(disc(45), 'bench');
  casting.begin('0');
  casting.lay({ matter: 0, parts: [] }, 30_000);
  const plain = new Map<Flow, Flow>();
  const stir = (vortices: Vortex[]) => {
    const before = casting.flows.length;
    casting.stir(vortices);
    if (casting.flows.length > before) plain.set(casting.flows.at(-1)!, new PlainStir(vortices));
  };
  for (let i = 1; i < steps; i++) {
    casting.begin(`${i}`);
    const { section, chance } = casting;
    const at = () => (chance() * 2 - 1) * 26;
    if (i % 8 === 1)
      casting.puddle({ matter: i % 5, parts: [] }, 900, { x: at(), y: at() }, { from: 'high' });
    else if (i % 8 === 5)
      casting.tumble(tumbling(section, { low: 0, high: casting.level }, { count: 6, turn: 0.3 }, chance));
    else if (i % 3 === 0) stir(wobble(section, 0.12, chance));
    else
      stir(
        stroke(
          section,
          [
            [at(), at()],
            [at(), at()]
          ],
          { radius: 2.2, strength: 0.7, tapers: true }
        )
      );
  }
  return { ours: casting.flows, plain: casting.flows.map((f) => plain.get(f) ?? f), level: casting.level };
}

const R = 45;
const SIZE = 256;
const sampler = (flows: readonly Flow[], level: number) => (x: number, y: number) => {
  const spot = { x: (2 * x - 1) * R, y: (1 - 2 * y) * R, z: level * 0.999 };
  if (spot.x ** 2 + spot.y ** 2 > R * R) return -1;
  for (let i = flows.length - 1; i >= 0; i--) {
    const matter = flows[i]!.undo(spot);
    if (matter >= 0) return matter;
  }
  return -2;
};

function everyPixel(size: number, sample: (x: number, y: number) => number): Int32Array {
  const codes = new Int32Array(size * size);
  for (let y = 0; y < size; y++)
    for (let x = 0; x < size; x++) codes[y * size + x] = sample((x + 0.5) / size, (y + 0.5) / size);
  return codes;
}

/** Drawn to the end, or until there is a first coarse picture. */
function drawn(size: number, sample: (x: number, y: number) => number, until: 'first' | 'end'): void {
  const steps = drawing(size, size, sample);
  let step = steps.next();
  while (until === 'end' && !step.done) step = steps.next();
}

/** The engine against the plain loop, for two lengths of a pour. */
export function patternFigures(): Figure[] {
  return [200, 50].flatMap((steps) => {
    const { ours, plain, level } = pourOf(steps);
    const sample = sampler(ours, level);
    drawn(SIZE, sample, 'end'); // the compiler warms up
    const base = cpuOf(() => everyPixel(SIZE, sampler(plain, level)));
    const name = `${SIZE}×${SIZE} pixels of ${steps} steps`;
    return [
      { name: `${name} drawn, of the plain way`, ratio: cpuOf(() => drawn(SIZE, sample, 'end')) / base },
      {
        name: `${name}, the first picture, of the plain way`,
        ratio: cpuOf(() => drawn(SIZE, sample, 'first')) / base
      }
    ];
  });
}
