import type { Condition, Zero } from '../document';
import type { Indexed, TimedMix, TimedStep } from './timing';

/** A mix that should be as far as others at one moment, and how much later than the slowest its parts meet for that, minutes. */
export interface Start {
  cupId: string;
  mixId: string;
  state: string;
  later: number;
}

/** Cups nearer to each other than this need no thought, minutes. */
const ALIKE = 1;

/** The cup whose own state or temperature a condition waits for. */
function awaitedCup(c: Condition): string | undefined {
  if (c.kind === 'state') return c.of === 'layer below' ? undefined : c.of.cup;
  return c.kind === 'probe' && 'cup' in c.of ? c.of.cup : undefined;
}

/** The cups that a step waits for, in the order they are named. */
export const awaitedBy = ({ gates }: TimedStep): string[] => [
  ...new Set(gates.flatMap((g) => g.all.flatMap((c) => awaitedCup(c) ?? [])))
];

/**
 * When the mixes that one step waits for together are to be made so that they come to their state at one moment: the slowest
 * first, each other so many minutes later. By each cup’s own mass, pace and room; nothing where they run alike. A portion of a
 * pot runs by the pot’s clock and cannot be held back.
 */
export function startsApart(
  step: TimedStep,
  timing: Indexed,
  mixOf: (cupId: string) => TimedMix | undefined = (id) => timing.ofCup(id)[0]
): Start[] {
  const states = new Map(
    step.gates.flatMap((g) =>
      g.all.flatMap((c) =>
        c.kind === 'state' && c.of !== 'layer below' ? [[c.of.cup, c.state] as const] : []
      )
    )
  );
  const timed = [...states].flatMap(([cupId, state]) => {
    const mix = mixOf(cupId);
    if (!mix || mix.portionOf !== undefined || mix.filledFrom) return [];
    const reached = mix.material.behaviour.cupReaches(state, mix.mixed, timing.room);
    return Number.isFinite(reached) ? [{ cupId, mixId: mix.mixId, state, reached }] : [];
  });
  const slowest = Math.max(0, ...timed.map((t) => t.reached));
  const apart = timed.length > 1 && timed.some((t) => slowest - t.reached >= ALIKE);
  return apart
    ? timed
        .map(({ reached, ...of }) => ({ ...of, later: slowest - reached }))
        .sort((a, b) => a.later - b.later)
    : [];
}

/** A mix is held back for a wait of the same step where that leaves it so many minutes: under that it is mixed ahead. */
const WORTH_HOLDING = 30;

/**
 * From when a mix whose state a step waits for is made, where that step also waits for a time since another was done, as a line is
 * piped the next day: so that it comes to its state as that time is over. Nothing where it may as well be made at once.
 */
export function startsLate(
  step: TimedStep,
  mix: TimedMix,
  timing: Indexed
): { after: Zero; minutes: number } | undefined {
  if (mix.portionOf !== undefined || mix.filledFrom) return undefined;
  const conditions = step.gates.flatMap((g) => g.all);
  const state = conditions.flatMap((c) =>
    c.kind === 'state' && awaitedCup(c) === mix.cupId ? [c.state] : []
  )[0];
  const since = conditions.flatMap((c) => (c.kind === 'since' && 'stepDone' in c.zero ? [c] : []));
  const longest = since.reduce<(typeof since)[number] | undefined>(
    (a, c) => (a && a.minutes >= c.minutes ? a : c),
    undefined
  );
  if (state === undefined || !longest) return undefined;
  const reached = mix.material.behaviour.cupReaches(state, mix.mixed, timing.room);
  const minutes = longest.minutes - reached;
  return minutes >= WORTH_HOLDING ? { after: longest.zero, minutes } : undefined;
}
