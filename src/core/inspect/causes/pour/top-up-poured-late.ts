import type { Cause } from '../cause';
import { figure } from '../../../quantity';

/** A top-up that met a cup already on its way. */
export const topUpPouredLate: Cause = {
  id: 'top-up-poured-late',
  defects: ['separated layers', 'short fill or ledge', 'colours run together'],
  evidence(c) {
    const tops = c.state.mishaps.filter((m) => m.kind === 'topped');
    return tops.length
      ? {
          fact: `${figure(
            tops.reduce((s, m) => s + m.grams, 0),
            'g',
            1
          )} were topped up during the pour`,
          strength: 0.5,
          change: 'mix for the meniscus and what clings, so that none is short'
        }
      : undefined;
  }
};
