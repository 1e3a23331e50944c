import type { Cause } from '../cause';
import { acted, like, tasksHere } from '../case';

/** After so long none of a spray of alcohol is left on a face: it dries in minutes. */
const GONE_MS = 3 * 3_600_000;

/** Alcohol that lay between two layers keeps them apart, but for what skins over. */
export const wipedBetween: Cause = {
  id: 'wiped-between',
  defects: ['separated layers'],
  evidence(c) {
    // What skins over is sprayed so that the next layer grips.
    if (like(c, 'skins over')) return undefined;
    const pours = tasksHere(c, 'pour').flatMap((t) => t.doneAt ?? []);
    const [first, last] = [Math.min(...pours), Math.max(...pours)];
    const soonAfter = (doneAt: number) => pours.some((at) => at > doneAt && at - doneAt < GONE_MS);
    const between = acted(c, 'alcohol').find(
      ({ entry: { doneAt, status } }) =>
        status === 'done' && doneAt !== undefined && doneAt > first && doneAt < last && soonAfter(doneAt)
    );
    if (!between) return undefined;
    return {
      fact: 'alcohol was sprayed on a layer before the next one went on',
      // How much of it had gone is not logged: a starting value.
      strength: 0.5,
      change: 'let all of it go before the next layer, or take bubbles away with warm air',
      apply: (plan) => ({
        ...plan,
        steps: plan.steps.map((s) => (s.id === between.step.id ? { ...s, muted: true } : s))
      })
    };
  }
};
