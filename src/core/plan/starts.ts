import type { ResolvedPlan } from './resolve';
import { roomIn } from './room';
import type { WorkedCups } from './worked';

/** A cup that should be as far as others at one moment, and how much later than the slowest it is mixed for that, minutes. */
export interface Start {
  cupId: string;
  state: string;
  later: number;
}

/** Cups nearer to each other than this need no thought, minutes. */
const ALIKE = 1;

/**
 * When cups that one step waits for together are to be mixed so that they come to their state at one moment: the slowest
 * first, each other so many minutes later. By each cup’s own mass, pace and room; nothing where they run alike.
 */
export function startsApart(plan: ResolvedPlan, worked: WorkedCups): Start[] {
  const room = roomIn(plan.plan.bench);
  return plan.steps.flatMap(({ step }) => {
    const awaited = step.gates.flatMap((g) =>
      g.all.flatMap((c) =>
        c.kind === 'state' && c.of !== 'layer below' ? [{ cupId: c.of.cup, state: c.state }] : []
      )
    );
    const timed = awaited.flatMap(({ cupId, state }) => {
      const cup = worked.cups.find((w) => w.cup.id === cupId);
      const reached =
        cup?.resolved.mix?.behaviour.cupReaches(state, cup.mixes[0]!.balance.mixed, room) ?? Infinity;
      return Number.isFinite(reached) ? [{ cupId, state, reached }] : [];
    });
    const slowest = Math.max(0, ...timed.map((t) => t.reached));
    const apart = timed.length > 1 && timed.some((t) => slowest - t.reached >= ALIKE);
    return apart
      ? timed.map(({ cupId, state, reached }) => ({ cupId, state, later: slowest - reached }))
      : [];
  });
}
