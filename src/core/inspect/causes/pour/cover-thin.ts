import type { Cause } from '../cause';
import { acted, tasksHere } from '../case';
import { figure } from '../../../quantity';

/** Less by this share of the layer over an embed shows. */
const SHORT = 0.05;

/** Less was poured over an embed than was planned to cover it. */
export const coverThin: Cause = {
  id: 'cover-thin',
  defects: ['embed cut or uncovered', 'short fill or ledge'],
  evidence(c) {
    const set = acted(c, 'embeds').at(-1)?.entry;
    const at = set ? c.state.tasks.findIndex((t) => t.task.id === set.task.id) : -1;
    if (at < 0) return undefined;
    const after = new Set(c.state.tasks.slice(at).map((t) => t.task.id));
    const over = tasksHere(c, 'pour').filter((t) => after.has(t.task.id) && t.status === 'done');
    if (over.some((t) => t.actual === undefined)) return { note: 'what was poured over the embed, in grams' };
    const planned = over.reduce((s, t) => s + t.task.gramsEach * t.task.count, 0);
    const poured = over.reduce((s, t) => s + (t.actual ?? 0), 0);
    const short = planned > 0 ? 1 - poured / planned : 0;
    return short > SHORT
      ? {
          fact: `${figure(poured, 'g', 1)} of ${figure(planned, 'g', 1)} went over the embed`,
          strength: short * 4,
          change: 'mix for what clings, and cover it to its whole height before the cup is empty'
        }
      : undefined;
  }
};
