import { strongest, waitFor, type Cause } from './cause';
import { acted } from './case';

/** Strewn on what was still fluid: it sinks. */
export const strewnOnFresh: Cause = {
  id: 'strewn-on-fresh',
  defects: ['sunken glitter'],
  looks(c) {
    return strongest(
      acted(c, 'strewn').flatMap(({ step, entry }) => {
        if (entry.status !== 'done' || step.gates.some((g) => g.all.some((x) => x.kind === 'state')))
          return [];
        return [
          {
            fact: 'it was strewn with no wait for a gel before it',
            strength: 0.8,
            change: 'wait until the surface has gelled and only its skin takes it',
            apply: waitFor(step.id, 'gelled')
          }
        ];
      })
    );
  }
};
