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

const median = (xs: number[]) => [...xs].sort((a, b) => a - b)[Math.floor(xs.length / 2)] ?? 0;

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

function drawn(size: number, sample: (x: number, y: number) => number) {
  const start = performance.now();
  const steps = drawing(size, size, sample);
  steps.next();
  const coarse = performance.now() - start;
  for (;;) {
    const step = steps.next();
    if (step.done) return { coarse, codes: step.value.codes, taken: step.value.taken };
  }
}

const timed = <T>(work: () => T): { ms: number; made: T } => {
  const start = performance.now();
  const made = work();
  return { ms: performance.now() - start, made };
};

/** Prints the engine against the plain loop at two sizes and two lengths of a pour. */
export function benchPattern(): void {
  console.log('\nThe drawn piece, in turns within this run (medians of 3):');
  const rows = [
    [512, 200],
    [256, 200],
    [256, 50]
  ] as const;
  for (const [size, steps] of rows) {
    const { ours, plain, level } = pourOf(steps);
    const turns = Array.from({ length: 3 }, () => ({
      plain: timed(() => everyPixel(size, sampler(plain, level))),
      guarded: timed(() => everyPixel(size, sampler(ours, level))),
      ours: timed(() => drawn(size, sampler(ours, level)))
    }));
    const [one] = turns;
    const same = one!.plain.made.reduce((n, code, i) => n + (code === one!.ours.made.codes[i] ? 1 : 0), 0);
    const ms = (pick: (t: (typeof turns)[number]) => number) => median(turns.map(pick));
    const base = ms((t) => t.plain.ms);
    const fast = ms((t) => t.ours.ms);
    console.log(
      `  ${size}×${size}, ${steps} steps (${ours.length} maps): plain ${base.toFixed(0)} ms, every pixel with circles ${(base / ms((t) => t.guarded.ms)).toFixed(1)} x, ` +
        `drawn ${fast.toFixed(0)} ms = ${(base / fast).toFixed(1)} x (${((100 * one!.ours.made.taken) / size ** 2).toFixed(0)} % of pixels looked at, ` +
        `${((100 * same) / size ** 2).toFixed(2)} % the same), first coarse picture ${ms((t) => t.ours.made.coarse).toFixed(0)} ms`
    );
  }
}
