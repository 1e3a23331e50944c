import { strongest, type Cause } from '../cause';
import { acted, cupName, tasksHere } from '../case';

/** A flame, or hot air, over a face with ink in it: alcohol inks fade and run in heat. */
export const flameOnInk: Cause = {
  id: 'flame-on-ink',
  defects: ['ink faded or spread'],
  evidence(c) {
    const inked = tasksHere(c, 'pour').flatMap(({ task }) => {
      const pots = c.plan.cups.find((x) => x.id === task.cupId)?.recipe.map((r) => r.colourantId) ?? [];
      return c.frozen.file.shelf.colourants.some((p) => p.form === 'ink' && pots.includes(p.id))
        ? [task.cupId]
        : [];
    });
    const [cupId] = inked;
    if (cupId === undefined) return undefined;
    return strongest(
      acted(c, 'flame')
        .filter(({ entry }) => entry.status === 'done')
        .map(({ step }) => ({
          fact: `a flame went over the face with ink of ${cupName(c, cupId)} in it`,
          strength: 0.8,
          change: 'breath or a straw for the bubbles where ink lies, no flame',
          apply: (plan) => ({
            ...plan,
            steps: plan.steps.map((s) => (s.id === step.id ? { ...s, muted: true } : s))
          })
        }))
    );
  }
};
