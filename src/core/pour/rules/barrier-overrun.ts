import { figure } from '../../quantity';
import type { Amount } from '../../document';
import type { Path, Place } from '../place';
import { aboutStep, fieldOf, type Done, type Rule, type Sequence } from './rule';

/** Places across a cavity by which the ground on one side of a line is counted. */
const ACROSS = 60;

/** A side of a line that is filled above it while the other side is still bare or low: it runs over. */
export const barrierOverrun: Rule = (s) =>
  s.steps.flatMap((line, i) => {
    const height = fieldOf<number>(line, 'height');
    const path = fieldOf<Path>(line, 'path');
    if (!line.traits.includes('parts') || height === undefined || !path) return [];
    const [first, second] = besides(s.steps.slice(i + 1));
    if (!first || !second) return [];
    const beyond = sharesBeyond(s, path);
    const [one, other] = [first, second].map((d) => {
      const { share, side } = beyond(placeOf(d));
      return { d, side, share, high: share > 0 ? (d.ml * 1000) / (s.floor * share) : 0 };
    }) as [Stood, Stood];
    // Both on one side part nothing; once both stand as high as the line it no longer has to hold.
    if (one.side === other.side) return [];
    const over =
      one.high > height ? one : other.high > height && one.high < height * 0.98 ? other : undefined;
    return over ? [overrun(s, line, over, height)] : [];
  });

interface Stood {
  d: Done;
  side: number;
  /** Of the ground, the part on its side. */
  share: number;
  /** How high it stands there, mm. */
  high: number;
}

/** The pours that stand beside a line: with a place of their own, before anything goes over both. */
function besides(after: readonly Done[]): Done[] {
  const pours = after.filter((d) => d.definition.amount);
  const over = pours.findIndex((d) => d.traits.includes('levels') || !hasPlace(d));
  return pours.slice(0, over < 0 ? 2 : Math.min(over, 2));
}

const hasPlace = (d: Done): boolean => fieldOf(d, 'at') !== undefined || fieldOf(d, 'path') !== undefined;
const placeOf = (d: Done): Place =>
  fieldOf<Place>(d, 'at') ?? middleOf(fieldOf<Path>(d, 'path')?.points ?? []);
const middleOf = (points: readonly Place[]): Place => ({
  x: points.reduce((s, p) => s + p.x, 0) / Math.max(1, points.length),
  y: points.reduce((s, p) => s + p.y, 0) / Math.max(1, points.length)
});

/** For a place: on which side of a line it lies, and which share of the ground that side has. */
function sharesBeyond(s: Sequence, path: Path): (at: Place) => { side: number; share: number } {
  const sideOf = (p: Place) => (crossings(path.points, p) % 2 ? 1 : 0);
  const counts = [0, 0];
  for (let i = 0; i < ACROSS; i++)
    for (let k = 0; k < ACROSS; k++) {
      const p = { x: (2 * i + 1) / ACROSS - 1, y: (2 * k + 1) / ACROSS - 1 };
      if (s.within(p)) counts[sideOf(p)]!++;
    }
  const all = counts[0]! + counts[1]!;
  return (at) => ({ side: sideOf(at), share: all ? counts[sideOf(at)]! / all : 0 });
}

/** How often a line, run on beyond its ends, is crossed on the way from a place to far outside. */
function crossings(points: readonly Place[], p: Place): number {
  const [a, b] = [points[0]!, points.at(-1)!];
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const long = Math.hypot(dx, dy) || 1;
  const out = (q: Place, by: number): Place => ({ x: q.x + (dx / long) * by, y: q.y + (dy / long) * by });
  const run = [out(a, -FAR), ...points, out(b, FAR)];
  const far = { x: p.x - (dy / long) * FAR, y: p.y + (dx / long) * FAR };
  return run.slice(1).filter((q, i) => crosses(run[i]!, q, p, far)).length;
}
const FAR = 10;

/** Whether two stretches cross. */
function crosses(a: Place, b: Place, c: Place, d: Place): boolean {
  const turn = (p: Place, q: Place, r: Place) =>
    Math.sign((q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x));
  return turn(a, b, c) !== turn(a, b, d) && turn(c, d, a) !== turn(c, d, b);
}

function overrun(s: Sequence, line: Done, { d, share, high }: Stood, height: number) {
  const most = (height * s.floor * share) / 1000;
  const taller = Math.ceil(high * 1.1 * 2) / 2;
  const amount: Extract<Amount, { kind: 'volume' }> = {
    kind: 'volume',
    ml: Math.max(0.1, Math.floor(most * 9.5) / 10)
  };
  const fixes = [
    ...(taller < s.depth
      ? [
          {
            words: `A line ${figure(taller, 'mm', 1)} high`,
            edit: { path: ['steps', line.step.id, 'act', 'height'], value: taller }
          }
        ]
      : []),
    {
      words: `Pour ${figure(amount.ml, 'ml', 1)} on that side first`,
      edit: { path: ['steps', d.step.id, 'act', 'amount'], value: amount }
    }
  ];
  return {
    code: 'barrier-overrun' as const,
    level: 'warn' as const,
    ...aboutStep(d, 'act', 'amount'),
    sentence: `${s.cup(d.definition.cups(d.act)[0] ?? '').name} stands ${figure(high, 'mm', 1)} high on its side of a line of ${figure(height, 'mm', 1)}: it runs over. The line holds ${figure(most, 'ml', 1)} there.`,
    mend: 'Pour less on each side first, or lay a higher line; the rest goes over both.',
    fixes
  };
}
