import { isMaking } from '../tasks/task';
import type { Folding } from './changes';
import type { RunEvent } from './events';
import { inOf } from './state';

/** A mix is begun again: its weighings and its stir are open once more, and what was in is wasted. */
export function restart(f: Folding, mixId: string, at: number): void {
  f.begunAgain.set(mixId, at);
  f.accepted.delete(mixId);
  f.lost.delete(mixId);
  for (const entry of f.tasks) {
    const { task, doneAt } = entry;
    if (!isMaking(task) || task.mixId !== mixId) continue;
    const grams = inOf(entry);
    if (task.kind === 'weigh' && grams !== undefined && doneAt !== undefined)
      f.wasted.push({ task, grams, at: doneAt, ...(entry.instead ? { instead: entry.instead } : {}) });
    entry.status = 'open';
    for (const gone of ['actual', 'assumed', 'instead', 'doneAt', 'over'] as const) delete entry[gone];
  }
  // What was spilled or stirred in went with the cup that is begun again.
  f.mishaps = f.mishaps.map((m) => (m.of === mixId ? { ...m, over: true } : m));
}

type OfCup = Extract<RunEvent, { type: 'rewetted' | 'spilled' | 'lost' | 'topped' | 'withdrew' }>;

/** What went wrong with a mix, or was put right in it, besides its tasks. */
export function mishap(f: Folding, event: OfCup): void {
  const { id, at } = event;
  switch (event.type) {
    case 'rewetted':
      f.mishaps.push({ id, at, kind: 'rewetted', of: event.mixId, grams: event.grams, part: event.part });
      break;
    case 'spilled':
      f.mishaps.push({ id, at, kind: 'spilled', of: event.mixId, grams: event.grams });
      break;
    case 'lost':
      f.lost.add(event.mixId);
      f.mishaps.push({ id, at, kind: 'lost', of: event.mixId, grams: 0 });
      break;
    case 'topped': {
      const grams = event.lines.reduce((s, l) => s + l.grams, 0);
      f.mishaps.push({ id, at, kind: 'topped', of: event.mixId, grams, lines: event.lines });
      break;
    }
    case 'withdrew':
      f.mishaps.push({ id, at, kind: 'withdrew', of: event.groupId, grams: event.grams });
      break;
  }
}
