import { layerState } from '../../material';
import { inPlan, type Diagnostic } from '../../problem';
import type { Gate, Plan } from '../../document';
import { freshId } from '../../edit/fresh-id';
import type { ResolvedStep } from '../read-steps';
import type { ResolvedMix } from '../resolve';

/** A layer that goes onto a wet one. */
export function onWet(plan: Plan, { step }: ResolvedStep, { base }: ResolvedMix): Diagnostic {
  const state = layerState(base);
  return {
    code: 'no-gate',
    level: 'warn',
    ...inPlan('steps', step.id),
    sentence: 'This layer goes onto one that is still wet: the two colours will run together.',
    mend: 'Wait between them, where they should stay apart.',
    fixes: () => {
      const gate: Gate = { id: freshId(plan, 'gate'), all: [{ kind: 'state', state, of: 'layer below' }] };
      const path = ['steps', step.id, 'gates', gate.id];
      return [{ words: `Wait until it is ${state}`, edit: { path, value: gate } }];
    }
  };
}
