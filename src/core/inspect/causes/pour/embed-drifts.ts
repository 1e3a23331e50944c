import type { Cause } from '../cause';

/** An embed lighter or heavier than what it lies in. */
export const embedDrifted: Cause = {
  id: 'embed-drifts',
  defects: ['floated or drowned embed', 'embed cut or uncovered'],
  evidence(c) {
    const problem = c.frozen.computed.problems.find((p) => p.code.startsWith('embed'));
    return problem
      ? { fact: problem.sentence, strength: 1, change: problem.mend || 'a tack layer first, then the rest' }
      : undefined;
  }
};
