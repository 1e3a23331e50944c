import { duration } from '../../../quantity';
import { strongest, type Cause, type Pointed } from '../cause';
import { acted, minutesBetween, type Case } from '../case';

/** Less of the planned minutes than this counts as short. */
const SHORT = 0.7;

/** A zone that was tapped for less time than planned: by the time since what was done before it. */
function shortTaps(c: Case): Pointed[] {
  const done = c.state.tasks.flatMap((t) => t.doneAt ?? []).sort((a, b) => a - b);
  return acted(c, 'loosens').flatMap(({ entry: { task, doneAt } }) => {
    const before = doneAt === undefined ? undefined : done.findLast((at) => at < doneAt);
    if (task.kind !== 'do' || doneAt === undefined || before === undefined || !task.attended) return [];
    const took = minutesBetween(before, doneAt);
    if (took >= task.attended * SHORT) return [];
    const planned = duration(task.attended);
    return [
      {
        fact: `${task.act.toLowerCase()} ${task.rest}: ${duration(took)} of ${planned}`,
        strength: 1 - took / task.attended,
        change: `the whole ${planned} there; a detail coat first`
      }
    ];
  });
}

/** Not tapped or vibrated, or for less than planned. */
export const fewTaps: Cause = {
  id: 'few-taps',
  defects: ['bubbles on the mould face', 'bubbles at an edge'],
  evidence(c) {
    const all = acted(c, 'loosens');
    const left = all.filter((a) => a.entry.status === 'skipped');
    if (!all.length) return { note: 'how long the mould was tapped, zone by zone' };
    const out: Pointed[] = left.length
      ? [
          {
            fact: `${left.length} of ${all.length} times of tapping were left out`,
            strength: left.length / all.length,
            change: 'tap every zone; a detail coat first'
          }
        ]
      : [];
    return strongest([...out, ...shortTaps(c)]);
  }
};
