import type { PourWindow, Score } from '../../schedule';
import type { AllMixes } from '../weighing/weighed';
import type { Batch } from './batches';

/**
 * How long a whole mix stands in its vessel by the plan, minutes from the joining of its parts: until it is poured, poured
 * together with others, or divided into its cups. Infinity where nothing takes it out.
 */
export function standingMinutes(b: Batch, { cups }: AllMixes, score: Score): number {
  const windowsOf = (cupIds: readonly string[]) => score.windows.filter((w) => cupIds.includes(w.cupId));
  const own = b.cups.map((c) => c.id);
  const sinceZero = (w: PourWindow, minute: number) => minute - w.zero;
  // A pot is empty once the last of its cups is coloured.
  if (b.splitMix) return longest(windowsOf(own).map((w) => sinceZero(w, w.from)));
  const together = cups
    .filter((w) => w.mixes.some((m) => m.filledFrom?.some((f) => own.includes(f.cupId))))
    .map((w) => w.cup.id);
  const poured = windowsOf(own).flatMap((w) =>
    score.blocks.filter((x) => x.act === 'pour' && x.mixId === w.mixId).map((x) => sinceZero(w, x.to))
  );
  return longest([...poured, ...windowsOf(together).map((w) => sinceZero(w, w.from))]);
}

const longest = (minutes: readonly number[]): number => (minutes.length ? Math.max(...minutes) : Infinity);
