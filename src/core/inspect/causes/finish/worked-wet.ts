import { duration } from '../../../quantity';
import { strongest, waitAtLeast, type Cause } from '../cause';
import { acted, like, minutesBetween, type Case } from '../case';

/** Edges cut or sanded while the piece was still wet: they crumble and smear. */
export const workedWet: Cause = {
  id: 'worked-wet',
  defects: ['unclear edges or numbers', 'snapped or chipped on demould'],
  evidence(c) {
    const out = c.state.groups.get(c.groupId)?.demoulded;
    if (out === undefined || !like(c, 'dries in air')) return undefined;
    return strongest(
      [...acted(c, 'sands'), ...acted(c, 'trims')].flatMap(({ step, entry }) => {
        if (entry.status !== 'done' || entry.doneAt === undefined) return [];
        const after = minutesBetween(out, entry.doneAt);
        const gates = step.gates.flatMap((g) =>
          g.all.flatMap((x) => (x.kind === 'since' ? [{ gate: g.id, minutes: x.minutes }] : []))
        );
        const [most] = gates.sort((a, b) => b.minutes - a.minutes);
        const planned = most?.minutes ?? airedBefore(c, step.id);
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

/** Minutes of air that the plan has before a step. */
function airedBefore(c: Case, stepId: string): number {
  const order = c.plan.steps.map((s) => s.id);
  return Math.max(
    0,
    ...acted(c, 'airs').map(({ step, entry: { task } }) =>
      task.kind === 'do' && order.indexOf(step.id) < order.indexOf(stepId) ? task.unattended : 0
    )
  );
}
