import { materials } from '../../../material';
import { duration } from '../../../quantity';
import type { Cause } from '../cause';
import { demouldOf, like, type Case } from '../case';

const words = duration;

/** Minutes that the plan itself has between the last pour and the demould. */
function plannedWait(c: Case): number {
  const here = c.state.tasks.filter(
    ({ task }) =>
      ('groupId' in task && task.groupId === c.groupId) ||
      ('groupIds' in task && task.groupIds.includes(c.groupId))
  );
  const out = here.findIndex((t) => t.task.kind === 'demould');
  const poured = here.slice(0, out).findLastIndex((t) => t.task.kind === 'pour');
  return here
    .slice(poured + 1, out)
    .reduce((s, { task }) => s + (task.kind === 'do' ? task.attended + task.unattended : 0), 0);
}

/** Taken out after the late edge of its window: gypsum sweats and grips, plastics hold on. */
export const demouldedLate: Cause = {
  id: 'demoulded-late',
  defects: ['snapped or chipped on demould', 'sweat marks', 'water marks'],
  evidence(c) {
    const d = demouldOf(c);
    if (!d) return { note: 'when the piece left its mould' };
    // What keeps no hold on its mould may wait as long as its plan says.
    const grips = like(c, 'grips when late');
    if (d.after <= d.to || (!grips && plannedWait(c) >= d.to)) return undefined;
    const does = c.bases.map((b) => materials.of(b).demould.late)[0];
    return {
      fact: `demoulded ${words(d.after)} after the last pour; the window closed at ${words(d.to)}${does ? `: ${does}` : ''}`,
      // What has no hold on its mould bears more.
      strength: (d.after / d.to - 1) * (grips ? 1 : 0.5),
      change: `take it out before ${words(d.to)}: a second alarm, or fewer moulds a mix`
    };
  }
};
