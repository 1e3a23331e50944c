import { LRUCache } from 'lru-cache';
import { Memo, provingInTurn, type Plan } from '$core/plan';
import { type LearnedHistory } from '$core/document';
import type { Problem } from '$core/problem';
import { type Shelf } from '$core/shelf';

/** What the prover is told: what stands on the shelf and in the record; plan after plan as text, each with a number; or to let go. */
export type ProveTask =
  | { kind: 'shelf'; shelf: Shelf; learned: LearnedHistory }
  | { kind: 'plan'; plan: string; n: number }
  | { kind: 'stop' };

/** What it answers: what is proved so far, worst first, and whether that is all. */
export interface ProveAnswer {
  n: number;
  problems: Problem[];
  done: boolean;
}

/** Plans whose mends are kept: what is undone and done again was looked at before. */
const KEPT = 24;

let shelf: Shelf | undefined;
let learned: LearnedHistory = {};
const proved = new LRUCache<string, Problem[]>({ max: KEPT });
/** What the plan before came to: only what has changed since is worked out again. */
let memo = new Memo();
/** The plan that is being looked at. A later one takes its place, and what was begun for it is let go. */
let current = 0;

self.onmessage = ({ data }: MessageEvent<ProveTask>) => {
  current++;
  if (data.kind === 'shelf') {
    ({ shelf, learned } = data);
    proved.clear();
    memo = new Memo();
  } else if (data.kind === 'plan' && shelf) prove(data.plan, data.n, shelf);
};

function prove(text: string, n: number, shelf: Shelf): void {
  const before = proved.get(text);
  if (before) return answer({ n, problems: before, done: true });
  const own = current;
  const proving = provingInTurn(JSON.parse(text) as Plan, shelf, learned, memo);
  let offered = 0;
  // One try at a time, with messages heard between two.
  const next = () => {
    if (current !== own) return;
    const { value: problems, done } = proving.next();
    if (done) proved.set(text, problems);
    const mends = problems.filter((p) => p.edit).length;
    if (done || mends > offered) answer({ n, problems, done: done === true });
    offered = mends;
    if (!done) setTimeout(next);
  };
  next();
}

const answer = (told: ProveAnswer) => self.postMessage(told);
