import { strongest, type Cause } from '../cause';
import { cupName, latePours } from '../case';

/** A window is known no better than to this share of it. */
const NEAR = 0.05;

/** A cup that was poured after its window: it no longer levels, and holds its bubbles. */
export const cupPouredLate: Cause = {
  id: 'cup-poured-late',
  defects: [
    'bubbles on the mould face',
    'bubbles at an edge',
    'short fill or ledge',
    'no cells',
    'unmixed streaks or specks',
    'separated layers'
  ],
  evidence(c) {
    return strongest(
      latePours(c)
        .filter((p) => p.over > Math.max(1, NEAR * p.until))
        .map((p) => ({
          fact: `${cupName(c, p.entry.task.mixId)} was poured ${p.over.toFixed(1)} min past its ${p.until.toFixed(0)} min`,
          strength: p.over / p.until,
          change: 'pour sooner, cooler, or a smaller mix at a time'
        }))
    );
  }
};
