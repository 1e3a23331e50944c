import type { Cause } from '../cause';

/** Level was not checked. */
export const notLevel: Cause = {
  id: 'not-level',
  defects: ['off-centre', 'colours run together'],
  evidence(c) {
    const prepare = c.frozen.tasks.find((t) => t.kind === 'prepare');
    if (prepare?.kind !== 'prepare' || !prepare.checks) return { note: 'whether the mould stood level' };
    return c.state.ticked.has('level')
      ? undefined
      : {
          fact: 'that the mould stands level was not ticked',
          strength: 0.6,
          change: 'a spirit level across every mould before the first drop'
        };
  }
};
