import { computePlan, type Plan } from '$core/plan';
import { type LearnedHistory } from '$core/document';
import { type Shelf } from '$core/shelf';
import type { Problem } from '$core/problem';
import type { ProveTask } from '../workers/prove.worker';

/** Problems of a plan with the mends that were proved for it; undefined where a later plan was asked for meanwhile. */
export type Prover = (plan: Plan) => Promise<Problem[] | undefined>;

/** Proves beside the page, so that no keystroke waits for advice; where there are no workers, in place. */
export function proverFor(shelf: Shelf, learned: LearnedHistory): Prover {
  if (typeof Worker === 'undefined')
    return (plan) => Promise.resolve(computePlan(plan, shelf, learned).problems);
  let worker: Worker | undefined;
  let n = 0;
  let settle: ((problems: Problem[] | undefined) => void) | undefined;
  const tell = (to: Worker, task: ProveTask) => to.postMessage(task);
  const open = (): Worker => {
    const made = new Worker(new URL('../workers/prove.worker.ts', import.meta.url), { type: 'module' });
    made.onmessage = ({ data }: MessageEvent<{ n: number; problems: Problem[] }>) => {
      if (data.n !== n) return;
      settle?.(data.problems);
      settle = undefined;
    };
    tell(made, { kind: 'shelf', shelf, learned });
    return made;
  };
  return (plan) => {
    settle?.(undefined);
    // What still looks for mends of an older plan is let go.
    if (settle) worker?.terminate();
    if (settle || !worker) worker = open();
    const own = ++n;
    return new Promise((done) => {
      settle = done;
      tell(worker!, { kind: 'plan', plan: JSON.stringify(plan), n: own });
    });
  };
}
