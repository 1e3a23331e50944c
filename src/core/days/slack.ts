import { solveNetwork, type Link, type Solved } from './network';
import type { Job } from './place';

/** The windows of one casting as a network, from its first weighing to its end. */
function networkOf(job: Job): Link[] {
  const edge = (task: string, which: 'start' | 'end') => (task === '@' ? '@' : `${task}:${which}`);
  return job.tasks.flatMap((t) => [
    { id: t.id, from: edge(t.id, 'start'), to: edge(t.id, 'end'), min: t.length, max: t.length },
    { id: t.id, from: '@', to: edge(t.id, 'start'), min: job.notBefore },
    ...t.after.map((a) => ({
      id: t.id,
      from: edge(a.task, a.edge),
      to: edge(t.id, 'start'),
      min: a.min,
      max: a.max
    }))
  ]);
}

/** How far each task of a casting can slip and all windows and the due date still be kept, minutes; or what cannot be kept. */
export function slackOf(job: Job): { slack: ReadonlyMap<string, number> } | { broken: string[] } {
  const solved: Solved = solveNetwork(networkOf(job), '@', job.due);
  if (!solved.ok) return { broken: solved.broken };
  return {
    slack: new Map(
      job.tasks.map((t) => {
        const [early, late] = [solved.earliest, solved.latest].map((m) => m.get(`${t.id}:start`) ?? 0);
        return [t.id, late! - early!];
      })
    )
  };
}
