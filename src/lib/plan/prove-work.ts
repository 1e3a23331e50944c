import { computePlan, type Plan } from '$core/plan';
import { type LearnedHistory } from '$core/document';
import { type Shelf } from '$core/shelf';
import type { Problem } from '$core/problem';
import type { ProveAnswer, ProveTask } from '../workers/prove.worker';

/**
 * Problems of a plan with the mends that were proved for it; undefined where a later plan was asked for meanwhile.
 * @param soFar hears what is proved so far, the mends of the worst first
 */
export type Prover = (plan: Plan, soFar?: (problems: Problem[]) => void) => Promise<Problem[] | undefined>;

/** Who waits for an answer: by its number, whom to tell, and whom to tell in the end. */
interface Asked {
  n: number;
  soFar?: ((problems: Problem[]) => void) | undefined;
  done: (problems: Problem[] | undefined) => void;
}

let worker: Worker | undefined;
let told: { shelf: Shelf; learned: LearnedHistory } | undefined;
let asked: Asked | undefined;
let last = 0;

/** Proves beside the page, so that no keystroke waits for advice; where there are no workers, in place. */
export function proverFor(shelf: Shelf, learned: LearnedHistory): Prover {
  if (typeof Worker === 'undefined')
    return (plan) => Promise.resolve(computePlan(plan, shelf, learned).problems);
  return (plan, soFar) => {
    asked?.done(undefined);
    tell(shelf, learned);
    const n = ++last;
    return new Promise((done) => {
      asked = { n, soFar, done };
      send({ kind: 'plan', plan: JSON.stringify(plan), n });
    });
  };
}

/** What was asked last is let go: the plan has changed, or nobody looks at it any more. */
export function leaveProof(): void {
  if (!asked) return;
  asked.done(undefined);
  asked = undefined;
  send({ kind: 'stop' });
}

/** The one worker lives as long as the page does: it is read once, and hears of another shelf when there is one. */
function tell(shelf: Shelf, learned: LearnedHistory): void {
  if (told?.shelf === shelf && told.learned === learned) return;
  told = { shelf, learned };
  send({ kind: 'shelf', shelf, learned });
}

function send(task: ProveTask): void {
  worker ??= opened();
  worker.postMessage(task);
}

function opened(): Worker {
  const made = new Worker(new URL('../workers/prove.worker.ts', import.meta.url), { type: 'module' });
  made.onmessage = ({ data: { n, problems, done } }: MessageEvent<ProveAnswer>) => {
    if (asked?.n !== n) return;
    if (!done) return asked.soFar?.(problems);
    asked.done(problems);
    asked = undefined;
  };
  return made;
}
