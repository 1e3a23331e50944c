import type { Diagnostic } from '../problem';
import { awaitedBy } from './apart';
import { holdId } from './ids';
import { scoreOf } from './play';
import type { Score } from './score';
import type { SequenceItem } from './sequence';
import type { Indexed, TimedMix } from './timing';

/** A wait shorter than this is not filled: setting something else down and up again takes as long, minutes. */
const WORTH = 3;
/** So much sooner must it all be done, minutes. */
const SOONER = 0.5;
/** Orders tried, and items played in all of them together: a very large plan is poured as it is written. */
const MOST_TRIES = 48;
const MOST_PLAYED = 1500;

type Played = Score & { problems: Diagnostic[] };

/** A sequence and the score that is played from it. */
export interface Ordered {
  sequence: SequenceItem[];
  score: Played;
}

/**
 * A sequence with what else can be done put into its waits: a step of other cavities, with the mixes it takes, comes before a
 * gate that the hands would stand idle at. Each change is played, and kept only where all of it is done sooner and nothing new
 * is wrong; what waits for a step, a cup or the hands before it stays behind it.
 */
export function fillWaits(sequence: readonly SequenceItem[], timing: Indexed): Ordered {
  let best: Ordered = { sequence: [...sequence], score: scoreOf(sequence, timing) };
  if (timing.cavitySets.length < 2) return best;
  const most = Math.min(MOST_TRIES, Math.floor(MOST_PLAYED / Math.max(1, sequence.length)));
  let tries = 0;
  for (let at = 0; at < best.sequence.length && tries < most; at++) {
    if (!waitsAt(best, at)) continue;
    for (const stepId of othersAfter(best.sequence, at, timing)) {
      if (++tries > most) break;
      const better = sooner(best, broughtForward(best.sequence, at, stepId, timing), timing);
      if (!better) continue;
      best = better;
      // Its wait may have room for one more.
      at--;
      break;
    }
  }
  return best;
}

function sooner(now: Ordered, sequence: SequenceItem[], timing: Indexed): Ordered | undefined {
  const score = scoreOf(sequence, timing);
  const better = isSooner(score, now.score) && score.problems.length <= now.score.problems.length;
  return better ? { sequence, score } : undefined;
}

/** Whether the last day, or with that the same the pouring, comes sooner. */
const isSooner = (a: Played, b: Played): boolean =>
  a.done < b.done - SOONER || (a.done < b.done + SOONER && a.ends < b.ends - SOONER);

/** Whether an item is a gate, or a mix held back, at which the hands stand idle long enough to do something else. */
function waitsAt({ sequence, score }: Ordered, at: number): boolean {
  const item = sequence[at]!;
  const wait =
    item.kind === 'gate'
      ? score.gates.find((g) => g.gateId === item.gateId && g.turn === item.turn)
      : item.kind === 'hold'
        ? score.gates.find((g) => g.gateId === holdId(item.mixId))
        : undefined;
  return wait !== undefined && wait.opens - wait.from > WORTH;
}

const stepOf = (item: SequenceItem): string | undefined => ('stepId' in item ? item.stepId : undefined);

/** Steps after a gate that could come before it: of other cavities, none of theirs before them, and waiting for nothing that is still to come. */
function othersAfter(sequence: readonly SequenceItem[], at: number, timing: Indexed): string[] {
  const coming = [...new Set(sequence.slice(at).flatMap((i) => stepOf(i) ?? []))];
  const strandsOf = (id: string) => timing.steps.find((s) => s.id === id)?.cavitySetIds ?? [];
  const taken = new Set<string>();
  const found: string[] = [];
  for (const id of coming) {
    const own = strandsOf(id);
    const free = own.length > 0 && own.every((s) => !taken.has(s));
    if (free && !timing.steps.find((s) => s.id === id)?.after && !waitsFor(id, coming, timing))
      found.push(id);
    for (const s of own) taken.add(s);
  }
  return found.slice(0, 4);
}

/** Whether a step's gates count from a step that is still to come. */
const waitsFor = (id: string, coming: readonly string[], timing: Indexed): boolean =>
  (timing.steps.find((s) => s.id === id)?.afterSteps ?? []).some((before) => coming.includes(before)) ||
  (timing.steps.find((s) => s.id === id)?.gates ?? []).some((g) =>
    [
      ...g.all.flatMap((c) => (c.kind === 'since' ? [c.zero] : [])),
      ...(g.notAfter ? [g.notAfter.zero] : [])
    ].some((zero) => 'stepDone' in zero && coming.includes(zero.stepDone))
  );

/** The same items with all of one step's, and the mixes it takes that are not made yet, before the item at a place. */
function broughtForward(
  sequence: readonly SequenceItem[],
  at: number,
  stepId: string,
  timing: Indexed
): SequenceItem[] {
  const later = sequence.slice(at);
  const step = timing.steps.find((s) => s.id === stepId);
  const awaited = step ? awaitedBy(step).flatMap((id) => timing.ofCup(id)[0]?.mixId ?? []) : [];
  const poured = later.flatMap((i) => (i.kind === 'pour' && i.stepId === stepId ? [i.mixId] : []));
  const mixes = new Set([...poured, ...awaited].flatMap((id) => needed(id, timing)));
  const goes = (i: SequenceItem) =>
    stepOf(i) === stepId || ((i.kind === 'mix' || i.kind === 'fill') && mixes.has(i.mixId));
  return [...sequence.slice(0, at), ...later.filter(goes), ...later.filter((i) => !goes(i))];
}

/** A mix with those it is portioned or filled from. */
function needed(mixId: string, timing: Indexed): string[] {
  const mix: TimedMix | undefined = timing.mixes.get(mixId);
  if (!mix) return [];
  const from = [...(mix.portionOf === undefined ? [] : [mix.portionOf]), ...(mix.filledFrom ?? [])];
  return [mixId, ...from.flatMap((id) => needed(id, timing))];
}
