import { strongest, waitFor, type Cause } from '../cause';
import { acted, like, type Case } from '../case';

/** Whether what was poured here has a gel to wait for. */
const gels = (c: Case): boolean =>
  c.frozen.computed.bases.some(
    (b) => c.bases.some((x) => x.id === b.baseId) && b.states.some((x) => x.state === 'gelled')
  );

/** Strewn on what was still fluid: it sinks. */
export const strewnOnFresh: Cause = {
  id: 'strewn-on-fresh',
  defects: ['sunken glitter'],
  evidence(c) {
    // Nothing sinks in batter, slip or mortar.
    if (!like(c, 'runs thin')) return undefined;
    return strongest(
      acted(c, 'strewn').flatMap(({ step, entry }) => {
        if (entry.status !== 'done' || step.gates.some((g) => g.all.some((x) => x.kind === 'state')))
          return [];
        return [
          {
            fact: 'it was strewn with no wait for a gel before it',
            // How soft it still was is not logged: a starting value.
            strength: 0.8,
            change: 'wait until the surface has gelled and only its skin takes it',
            ...(gels(c) ? { apply: waitFor(step.id, 'gelled') } : {})
          }
        ];
      })
    );
  }
};
