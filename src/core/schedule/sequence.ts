import type { Allotment } from '../batch';
import type { Step } from '../plan/document';

/** The common mix's own id, as cups have theirs. */
export const COMMON = '~mix';

/** A mix of a cup (or the common one) with the pours it serves. */
export interface SequencedMix {
  mixId: string;
  turn: number;
  pours: readonly Allotment[];
}

/** What the hands do, in order: make a mix, pour a step from it into so many cavities, wait at a gate. */
export type SequenceItem =
  | { kind: 'mix'; mixId: string; cupId: string }
  | { kind: 'pour'; stepId: string; cupId: string; mixId: string; count: number }
  | { kind: 'gate'; stepId: string; turn: number };

/**
 * The order of a pour. Each cup mixed on its own: steps in order, and whenever a mix is used up the next one is
 * made. One common mix split into cups: turn by turn, all cups coloured (in the order given, light to dark), then
 * the steps for that turn's cavities to the end.
 */
export function sequenceOf(
  steps: readonly Step[],
  cups: readonly { cupId: string; mixes: readonly SequencedMix[] }[],
  common: readonly { mixId: string; turn: number }[],
  colouring: readonly string[]
): SequenceItem[] {
  const items: SequenceItem[] = [];
  const made = new Set<string>();
  const mix = (mixId: string, cupId: string) => {
    if (made.has(mixId)) return;
    made.add(mixId);
    items.push({ kind: 'mix', mixId, cupId });
  };
  const mixesOf = (cupId: string) => cups.find((c) => c.cupId === cupId)?.mixes ?? [];
  const pour = (step: Extract<Step, { act: 'lay' }>, m: SequencedMix) => {
    const count = m.pours.find((p) => p.stepId === step.id)?.count ?? 0;
    if (!count) return false;
    mix(m.mixId, step.cupId);
    items.push({ kind: 'pour', stepId: step.id, cupId: step.cupId, mixId: m.mixId, count });
    return true;
  };

  if (!common.length) {
    for (const step of steps) {
      if (step.act === 'gate') items.push({ kind: 'gate', stepId: step.id, turn: 1 });
      else for (const m of mixesOf(step.cupId)) pour(step, m);
    }
    return items;
  }
  for (const { mixId, turn } of common) {
    items.push({ kind: 'mix', mixId, cupId: COMMON });
    const here = colouring.flatMap((cupId) =>
      mixesOf(cupId).flatMap((m) => (m.turn === turn && m.pours.length ? [{ cupId, m }] : []))
    );
    for (const { cupId, m } of here) mix(m.mixId, cupId);
    const groups = new Set(
      here.flatMap(({ m }) => m.pours.map((p) => steps.find((s) => s.id === p.stepId)?.groupId))
    );
    for (const step of steps) {
      if (step.act === 'gate') {
        if (groups.has(step.groupId)) items.push({ kind: 'gate', stepId: step.id, turn });
      } else for (const m of mixesOf(step.cupId)) if (m.turn === turn) pour(step, m);
    }
  }
  return items;
}
