import { between, lengthOf, stroke, type Casting, type Tool } from '../../../pattern';
import { waysOf } from '../../flowing';
import type { Drag } from './fields';

type Point = readonly [number, number];

/** The figures of this file are starting values, set by eye on drawn pieces: no source gives them. How deep each reach goes, as the share of the fluid from its surface down at which it has faded out. */
const REACH = { surface: 0.35, half: 0.65 } as const;
/** What a thick tool does to the fluid beside its way, and whether its stroke runs out to a point. */
const TOOLS: Record<Drag['tool'], Pick<Tool, 'wide' | 'tapers'>> = {
  stick: { wide: 0.7, tapers: true },
  needle: { tapers: true },
  comb: {},
  skewer: { wide: 0.55 },
  brush: { wide: 0.4 },
  spatula: { wide: 0.6 }
};
/** Teeth of a comb. */
const TEETH = 5;

/** Strokes along the way, side by side where they stand apart: each carries what lies under the tool along with it. */
export function flow(act: Drag, casting: Casting): void {
  const { section, level, still } = casting;
  const scale = Math.sqrt(section.area);
  const tool: Tool = {
    radius: Math.max(act.width * (act.tool === 'stick' ? THICK : RADIUS), 0.012 * scale),
    strength: 0.35 + 0.75 * act.strength,
    ...TOOLS[act.tool]
  };
  const ways = strokesOf(act, waysOf(casting, act.path)).map((way) => byHand(way, casting, tool.radius));
  const reach =
    act.depth === 'full' ? undefined : { from: level - REACH[act.depth] * (level - still), top: level };
  casting.stir(
    ways.flatMap((way) => stroke(section, way, tool)),
    reach
  );
}

/** A tool as wide as this times its width moves what is near it; a stick, blunt and round, more than a point. */
const RADIUS = 1.4;
const THICK = 2;

/** Every stroke's way: copies round the middle once each; one way again and again, or side by side. */
function strokesOf(act: Drag, ways: Point[][]): Point[][] {
  const times = Math.max(1, Math.round(act.strokes / ways.length));
  const count = act.tool === 'comb' ? Math.max(times, TEETH) : times;
  const apart = act.apart ?? (act.tool === 'comb' ? 2.5 * act.width : 0);
  return ways.flatMap((way) =>
    Array.from({ length: count }, (_, i) => shifted(way, (i - (count - 1) / 2) * apart))
  );
}

/** No two strokes of a hand are alike: a little beside the way, and shorter or longer than it. */
function byHand(way: Point[], { chance }: Casting, radius: number): Point[] {
  const by = between(chance, -0.5, 0.5) * radius;
  const end = between(chance, 0.72, 1);
  const moved = shifted(way, by);
  if (way.length !== 2) return moved;
  const [a, b] = [moved[0]!, moved[1]!];
  return [a, [a[0] + (b[0] - a[0]) * end, a[1] + (b[1] - a[1]) * end]];
}

/** A way moved sideways by so many mm, to the left of its course. */
function shifted(way: Point[], by: number): Point[] {
  const [a, b] = [way[0]!, way.at(-1)!];
  const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (!by || !(long > 1e-9) || !(lengthOf(way) > 0)) return way;
  const [nx, ny] = [-(b[1] - a[1]) / long, (b[0] - a[0]) / long];
  return way.map(([x, y]) => [x + nx * by, y + ny * by]);
}
