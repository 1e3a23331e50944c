import { PlanDocument, type Plan } from '../../document';
import type { FrozenRun } from '../snapshot/frozen';
import type { RunState, TaskState } from '../log/state';

/**
 * The plan of a run as it is by now: as it was last written anew, with what was left out muted and what went in instead in its
 * recipe. The plan that the run was begun with stays as it is in its snapshot, and taking a correction back takes it back here.
 */
export function planNow({ file }: FrozenRun, state: RunState): Plan {
  const written = PlanDocument.safeParse(state.replanned?.plan);
  const plan = written.success ? written.data : file.plan;
  const left = leftOut(state);
  const swaps = swapped(state);
  if (!left.size && !swaps.size) return plan;
  return {
    ...plan,
    steps: plan.steps.map((s) => (left.has(s.id) ? { ...s, muted: true } : s)),
    cups: plan.cups.map((cup) => ({
      ...cup,
      recipe: cup.recipe.map((line) => {
        const instead = swaps.get(`${cup.id}|${line.id}`);
        return instead === undefined ? line : { ...line, colourantId: instead };
      })
    }))
  };
}

/** Steps of which something was left out and nothing was done, nor is still to be. */
function leftOut({ tasks }: RunState): Set<string> {
  const of = (status: TaskState['status'][]) =>
    new Set(
      tasks.flatMap((t) =>
        (t.task.kind === 'pour' || t.task.kind === 'do') && status.includes(t.status) ? [t.task.stepId] : []
      )
    );
  const going = of(['open', 'done']);
  return new Set([...of(['skipped'])].filter((id) => !going.has(id)));
}

/** Colourants that went in instead, by cup and recipe line: pots of the shelf only. */
const swapped = ({ tasks }: RunState): Map<string, string> =>
  new Map(
    tasks.flatMap(({ task, instead }) =>
      task.kind === 'weigh' && instead?.colourantId !== undefined
        ? [[`${task.cupId}|${task.key}`, instead.colourantId] as const]
        : []
    )
  );
