import type { FilledGroup } from '../../batch';
import { layerState } from '../../cure';
import type { Base } from '../../material';
import type { Problem } from '../../problem';
import type { GateStep, Plan } from '../document';
import { freshId } from '../fresh-id';

/** Layers deeper than the resin allows, layers laid on a wet one, and cavities left short. */
export function layerProblems(plan: Plan, filled: FilledGroup, base: Base): Problem[] {
  const problems: Problem[] = [];
  let sinceGate = 0;
  plan.steps.forEach((step, index) => {
    if (step.groupId !== filled.group.id) return;
    if (step.act === 'gate') {
      sinceGate = 0;
      return;
    }
    const layer = filled.layers.find((l) => l.stepId === step.id);
    if (!layer) return;
    const depth = layer.to - layer.from;
    if (base.kind === 'resin' && depth > base.depthLimit + 1e-9) {
      problems.push({
        code: 'layer-too-deep',
        level: 'warn',
        path: `plan/steps/${index}/amount`,
        sentence: `This layer is ${depth.toFixed(1)} mm deep; ${base.name} takes ${base.depthLimit} mm at once before it overheats.`,
        mend: `Pour ${base.depthLimit} mm, gate, then the rest`,
        edit: { path: ['steps', index, 'amount'], value: { kind: 'deep', mm: base.depthLimit } }
      });
    }
    sinceGate++;
    // Cups split from one mix are poured wet on wet, inside its one window.
    if (sinceGate === 2 && plan.mixing !== 'split') {
      const gate: GateStep = {
        id: freshId(plan, 'gate'),
        act: 'gate',
        groupId: step.groupId,
        state: layerState(base)
      };
      problems.push({
        code: 'no-gate',
        level: 'warn',
        path: `plan/steps/${index}`,
        sentence: 'This layer goes onto one that is still wet: the two colours will run together.',
        mend: `Wait until it is ${layerState(base)}`,
        edit: { path: ['steps'], value: plan.steps.toSpliced(index, 0, gate) }
      });
    }
  });
  if (filled.layers.length && filled.filledMl < filled.cavity.capacity * 0.985) {
    problems.push({
      code: 'short-fill',
      level: 'note',
      path: `plan/groups/${plan.groups.findIndex((g) => g.id === filled.group.id)}`,
      sentence: `${filled.group.name} ends at ${((filled.filledMl / filled.cavity.capacity) * 100).toFixed(0)} % of the cavity.`,
      mend: 'Fill the last layer to the rim, if the piece should be whole.'
    });
  }
  return problems;
}
