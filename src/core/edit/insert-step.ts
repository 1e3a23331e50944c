import { isAfter } from '../pour';
import type { Plan, Step } from '../document';
import { freshId } from './fresh-id';

/** Steps with one more at the end of its cavities: what is poured before what is done to the piece afterwards. */
export function insertStep(steps: readonly Step[], step: Step, groupId: string): Step[] {
  const own = steps.filter((s) => s.where.includes(groupId));
  const before = isAfter(step) ? own : own.filter((s) => !isAfter(s));
  if (before.length) return steps.toSpliced(steps.indexOf(before.at(-1)!) + 1, 0, step);
  if (own.length) return steps.toSpliced(steps.indexOf(own[0]!), 0, step);
  // New cavities are poured with the others, not once those have been seen to.
  const after = isAfter(step) ? -1 : steps.findIndex(isAfter);
  return steps.toSpliced(after < 0 ? steps.length : after, 0, step);
}

/**
 * Steps with one of a group's moved to another place among that group's own: they change places among themselves, and
 * what is done elsewhere stays where it stands.
 * @param from its place among the group's steps, from 0
 * @param to where it goes; past either end it stays in the list
 */
export function moveStep(steps: readonly Step[], groupId: string, from: number, to: number): Step[] {
  const own = steps.filter((s) => s.where.includes(groupId));
  const step = own[from];
  if (!step) return [...steps];
  const order = own.toSpliced(from, 1).toSpliced(Math.max(0, to), 0, step);
  return steps.map((s) => (s.where.includes(groupId) ? order.shift()! : s));
}

/** The steps with a copy of one right after it: done once more, with gates of its own. */
export function copiedStep(plan: Plan, step: Step): Step[] {
  const gates = step.gates.map((g) => ({ ...g, id: freshId(plan, 'gate') }));
  const again = { ...step, id: freshId(plan, step.act.kind), gates };
  return plan.steps.toSpliced(plan.steps.indexOf(step) + 1, 0, again);
}
