import { asItsWarningMends, strongest, type Cause } from '../cause';

/** ΔE00 under which touching colours read as one. */
const READS_AS_ONE = 5;

/** Two colours that lie too near each other to be told apart where they touch. */
export const lowContrast: Cause = {
  id: 'low-contrast',
  defects: ['colours read as one'],
  evidence(c) {
    // Two cups that are one colour on purpose draw no warning.
    const warned = new Set(
      c.frozen.computed.problems.filter((p) => p.code === 'reads-as-one').map((p) => p.path.split('/')[2])
    );
    return strongest(
      c.frozen.computed.pairs
        .filter((p) => p.contrast.deltaE < READS_AS_ONE && warned.has(p.a))
        .map((p) => {
          const names = [p.a, p.b].map(
            (id) => c.frozen.computed.cups.find((x) => x.cupId === id)?.name ?? id
          );
          return {
            fact: `${names.join(' and ')} lie ΔE ${p.contrast.deltaE.toFixed(1)} apart in the piece; under ${READS_AS_ONE} they read as one`,
            strength: READS_AS_ONE / Math.max(0.5, p.contrast.deltaE) - 1,
            change: `make one of them lighter: the plan’s own mend for ${names.join(' and ')}`,
            apply: asItsWarningMends('reads-as-one')
          };
        })
    );
  }
};
