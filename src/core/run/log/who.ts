import type { AnyEvent } from './events';
import type { Task } from '../tasks/task';

/** Who did what in a run, by initials, each once and in the order they first did it. */
export interface Hands {
  weighed: string[];
  poured: string[];
}

/** Whose hands weighed and poured, from the events that were signed; what was undone counts for nobody. */
export function handsOf(tasks: readonly Task[], events: readonly AnyEvent[]): Hands {
  const undone = new Set(
    events.flatMap((e) => (e.type === 'undone' && typeof e.event === 'string' ? [e.event] : []))
  );
  const kinds = new Map(tasks.map((t) => [t.id, t.kind]));
  const signed = events.flatMap((e) =>
    'task' in e && typeof e.by === 'string' && !undone.has(e.id)
      ? [{ by: e.by, kind: kinds.get(String(e.task)) }]
      : []
  );
  const of = (kind: Task['kind']) => [...new Set(signed.filter((s) => s.kind === kind).map((s) => s.by))];
  return { weighed: of('weigh'), poured: of('pour') };
}
