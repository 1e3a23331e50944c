import { gateIdOf } from '../../../run';
import { strongest, waitAtLeast, type Cause } from '../cause';
import { waits } from '../case';

/** The next layer went on before the one below carried it. */
export const layerBeforeTheGel: Cause = {
  id: 'layer-before-the-gel',
  defects: [
    'colours run together',
    'muddy blend',
    'blotted lines',
    'sunken glitter',
    'floated or drowned embed',
    'layer broke through',
    'lost lines or bare patches'
  ],
  evidence(c) {
    return strongest(
      waits(c)
        .filter((g) => g.early)
        .map((g) => ({
          fact: `waited ${g.waited.toFixed(0)} min of ${g.planned.toFixed(0)} min until ${g.state}, and nobody checked`,
          strength: g.planned / Math.max(1, g.waited) - 1,
          change: `wait ${Math.ceil(g.planned)} min, or until the fingertip says ${g.state}`,
          apply: waitAtLeast(gateIdOf({ id: g.taskId }), g.planned)
        }))
    );
  }
};
