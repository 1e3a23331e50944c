import { computePlan, type Plan } from '$core/plan';
import { type LearnedHistory } from '$core/document';
import { type Shelf } from '$core/shelf';

/** What the prover is told: once, what stands on the shelf and in the record; then plan after plan as text, each with a number. */
export type ProveTask =
  { kind: 'shelf'; shelf: Shelf; learned: LearnedHistory } | { kind: 'plan'; plan: string; n: number };

let shelf: Shelf | undefined;
let learned: LearnedHistory = {};

self.onmessage = ({ data }: MessageEvent<ProveTask>) => {
  if (data.kind === 'shelf') {
    ({ shelf, learned } = data);
    return;
  }
  const plan = JSON.parse(data.plan) as Plan;
  if (shelf) self.postMessage({ n: data.n, problems: computePlan(plan, shelf, learned).problems });
};
