import { reachOf } from '../../mould';
import { distanceTo, smoothWay } from '../../pattern';
import { pathCopies, type Path, type Place } from '../place';
import { aboutStep, fieldOf, moved, type Done, type Rule, type Sequence } from './rule';

/** How deep a tool reaches, as a share of what stands there. Starting figures: a tool on the surface still drags what lies just under it. */
const REACH: Record<string, number> = { surface: 0.35, half: 0.65, full: 1 };

/** A tool that is drawn through something set in before it: it takes it along, turns it, or smears its edge. */
export const crossesEmbed: Rule = (s) =>
  s.steps.flatMap((d, i) => {
    if (!d.traits.includes('drags')) return [];
    const met = s.steps.slice(0, i).find((set) => set.traits.includes('embeds') && isMet(s, d, set, i));
    if (!met) return [];
    const tool = String(fieldOf(d, 'tool') ?? 'tool');
    return [
      {
        code: 'crosses-embed',
        level: 'warn',
        ...aboutStep(d, 'act', 'path'),
        sentence: `The ${tool} goes through ${nameOf(s, met)}: it takes it along, or smears the colour round it.`,
        mend: 'Draw it before that is set in, or beside it.',
        fixes: [
          { words: 'Draw it before that is set in', edit: moved(s.plan, d.step.id, met.step.id, 'before') }
        ]
      }
    ];
  });

const nameOf = (s: Sequence, set: Done): string =>
  s.embeds.find((e) => e.id === fieldOf(set, 'embedId'))?.name ??
  fieldOf<string>(set, 'what') ??
  'what is set in';

/** Whether a stroke passes where a thing lies, and reaches down to it. */
function isMet(s: Sequence, drag: Done, set: Done, i: number): boolean {
  const embed = s.embeds.find((e) => e.id === fieldOf(set, 'embedId'));
  // What has no size, or many that lie anywhere, is not guessed at.
  if (embed?.kind !== 'object' || fieldOf(set, 'pieces') !== 1) return false;
  const top = Math.max(0, set.level - (fieldOf<number>(set, 'pressed') ?? 0)) + embed.height;
  const level = s.steps[i]!.level;
  const reach = level * (1 - (REACH[String(fieldOf(drag, 'depth'))] ?? 1));
  if (top <= reach) return false;
  const { x, y } = fieldOf<Place>(set, 'at') ?? { x: 0, y: 0 };
  const half = (fieldOf<number>(drag, 'width') ?? 0) / 2;
  const near = waysOf(s, fieldOf<Path>(drag, 'path')).map((way) =>
    distanceTo(x * s.half.width, y * s.half.length, way)
  );
  return Math.min(...near) < reachOf(embed) + half;
}

/** The ways of a stroke in mm. */
function waysOf({ half }: Sequence, path: Path | undefined): (readonly [number, number])[][] {
  if (!path) return [];
  return pathCopies(path, half.length / half.width).map((copy) =>
    smoothWay(
      copy.map((p) => [p.x * half.width, p.y * half.length] as const),
      path.closed === true
    )
  );
}
