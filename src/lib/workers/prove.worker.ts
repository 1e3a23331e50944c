import { computePlan, type Past, type Plan, type Shelf } from '$core/plan';

/** What the prover is told: once, what stands on the shelf and in the record; then plan after plan, each with a number. */
export type ProveTask = { kind: 'shelf'; shelf: Shelf; past: Past } | { kind: 'plan'; plan: Plan; n: number };

let shelf: Shelf | undefined;
let past: Past = {};

self.onmessage = ({ data }: MessageEvent<string>) => {
  const task = JSON.parse(data) as ProveTask;
  if (task.kind === 'shelf') {
    ({ shelf, past } = task);
    return;
  }
  if (shelf) self.postMessage({ n: task.n, problems: computePlan(task.plan, shelf, past).problems });
};
