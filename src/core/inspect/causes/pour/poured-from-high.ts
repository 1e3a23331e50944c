import type { Cause } from '../cause';
import { acted, cupName } from '../case';

/** A thin stream from high carries air down and goes through what is soft. */
export const pouredFromHigh: Cause = {
  id: 'poured-from-high',
  defects: ['bubbles on the mould face', 'layer broke through', 'floated or drowned embed'],
  evidence(c) {
    const done = acted(c, 'falls').filter(({ entry }) => entry.status === 'done');
    const steps = new Set(done.map(({ step }) => step.id));
    const [first] = done;
    if (!first) return undefined;
    return {
      fact: `${'cupId' in first.entry.task ? cupName(c, first.entry.task.cupId) : 'it'} went in from high, ${steps.size} ${steps.size === 1 ? 'time' : 'times'} as planned`,
      // As planned, so weak by itself, and more so the oftener: starting values.
      strength: 0.2 + 0.1 * steps.size,
      change: 'from low, in a thin stream over a spatula',
      apply: (plan) => ({
        ...plan,
        steps: plan.steps.map((s) => (steps.has(s.id) ? { ...s, act: { ...s.act, from: 'low' } } : s))
      })
    };
  }
};
