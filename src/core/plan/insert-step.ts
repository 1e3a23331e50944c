import { acts } from '../pour';
import type { Step } from './document';

/** Whether a step is done to a piece once it is poured. */
export const isAfter = (step: Pick<Step, 'act'>): boolean => acts.find(step.act.kind)?.group === 'after';

/** Steps with one more at the end of its cavities: what is poured before what is done to the piece afterwards. */
export function insertStep(steps: readonly Step[], step: Step, groupId: string): Step[] {
  const own = steps.filter((s) => s.where.includes(groupId));
  const before = isAfter(step) ? own : own.filter((s) => !isAfter(s));
  if (before.length) return steps.toSpliced(steps.indexOf(before.at(-1)!) + 1, 0, step);
  return steps.toSpliced(own.length ? steps.indexOf(own[0]!) : steps.length, 0, step);
}
