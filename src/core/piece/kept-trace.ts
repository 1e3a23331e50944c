import type { Casting, Content } from '../pattern';
import type { Matter } from './matter';

/** Where a trace stands between two steps: the cavity, and what its numbers mean so far. */
export interface Standing {
  casting: Casting;
  matters: Matter[];
  contents: Map<string, Content>;
  pots: Map<string, Content>;
}

/**
 * A trace step by step, kept for the next one: as long as that does the same it need not be done again. One for each cavity set
 * and seed; a search that changes a later step begins there.
 */
export interface KeptTrace {
  /** What all steps pour from, as text: of another mixture nothing is kept. */
  of?: string;
  /** What each step did, as text: equal where it does the same. */
  steps: { does: string; after: Standing }[];
}

/** What was kept of the same mixtures; nothing of others. */
export function keptOf(kept: KeptTrace, of: string): KeptTrace {
  if (kept.of !== of) kept.steps = [];
  kept.of = of;
  return kept;
}

/** The same standing once more: what is done from here on leaves the other as it is. */
const forked = ({ casting, matters, contents, pots }: Standing): Standing => ({
  casting: casting.fork(),
  matters: [...matters],
  contents: new Map(contents),
  pots: new Map(pots)
});

/** Goes through steps, from where what was kept differs from them, and keeps each anew; from the first where nothing is kept. */
export function goneThrough<Step extends { does: string }>(
  steps: readonly Step[],
  begun: Standing,
  { kept, perform }: { kept: KeptTrace | undefined; perform: (step: Step, at: Standing) => void }
): Standing {
  const before = kept?.steps ?? [];
  let same = 0;
  while (same < steps.length && before[same]?.does === steps[same]!.does) same++;
  before.length = same;
  const standing = same ? forked(before[same - 1]!.after) : begun;
  for (const step of steps.slice(same)) {
    perform(step, standing);
    if (kept) before.push({ does: step.does, after: forked(standing) });
  }
  return standing;
}
