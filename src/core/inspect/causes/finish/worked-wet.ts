import { duration } from '../../../quantity';
import { strongest, waitAtLeast, type Cause } from '../cause';
import { acted, like, minutesBetween } from '../case';

/** Edges cut or sanded while the piece was still wet: they crumble and smear. */
export const workedWet: Cause = {
  id: 'worked-wet',
  defects: ['unclear edges or numbers', 'snapped or chipped on demould'],
  evidence(c) {
    const out = c.state.groups.get(c.groupId)?.demoulded;
    if (out === undefined || !like(c, 'dries in air')) return undefined;
    const aired = acted(c, 'airs').find((a) => a.entry.status === 'done')?.entry.doneAt;
    const airing = acted(c, 'airs').flatMap(({ entry: { task } }) =>
      task.kind === 'do' ? task.unattended : []
    );
    return strongest(
      [...acted(c, 'sands'), ...acted(c, 'trims')].flatMap(({ step, entry }) => {
        if (entry.status !== 'done' || entry.doneAt === undefined) return [];
        const after = minutesBetween(out, entry.doneAt);
        const gates = step.gates.flatMap((g) =>
          g.all.flatMap((x) => (x.kind === 'since' ? [{ gate: g.id, minutes: x.minutes }] : []))
        );
        const [most] = gates.sort((a, b) => b.minutes - a.minutes);
        const planned = most?.minutes ?? (aired === undefined || aired > entry.doneAt ? (airing[0] ?? 0) : 0);
        if (after >= planned * 0.98) return [];
        return [
          {
            fact: `${entry.task.kind === 'do' ? entry.task.act.toLowerCase() : 'worked'} ${duration(after)} out of the mould, still wet; planned from ${duration(planned)}`,
            strength: Math.min(3, planned / Math.max(1, after) - 1),
            change: `let it dry ${duration(planned)} first`,
            ...(most ? { apply: waitAtLeast(most.gate, most.minutes) } : {})
          }
        ];
      })
    );
  }
};
