import type { RunState } from '$core/run';

/** A cup whose weights are off by less than this, a share, is as planned: no scale shows it. */
const HARDLY = 0.004;

/** Whether more or less is in a mix than planned, so that a way out is still to be chosen. */
export function offPlan(run: RunState, mixId: string): 'over' | 'under' | undefined {
  const scale = run.cups.get(mixId)?.scale ?? 1;
  if (Math.abs(scale - 1) <= HARDLY) return undefined;
  return scale > 1 ? 'over' : 'under';
}
