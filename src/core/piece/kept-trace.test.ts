import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { plans } from '../../../demo/plans';
import type { Amount, Plan } from '../document';
import { evenSpot } from '../pattern';
import type { KeptTrace } from './kept-trace';
import { pieceOf } from './picture';

/** Plans whose every step is their own cavities' alone, and quick to draw. */
const TRIED = plans.filter((p) => ['rockpool-roundels', 'tideline-knobs', 'kingfisher-tiles'].includes(p.id));

/** What stands at many places of a piece, as words: numbers may be told in another order. */
function standingIn(plan: Plan, kept?: KeptTrace): string[] {
  const { engine, matters, prism } = pieceOf(plan, cards, {}, { kept })!.traced;
  const { width, length } = prism.shaped.section.half;
  return Array.from({ length: 150 }, (_, i) => {
    const [x, y] = evenSpot(i);
    const spot = { x: (2 * x - 1) * width, y: (2 * y - 1) * length, z: engine.level * ((i % 7) / 7) };
    return JSON.stringify(matters[engine.matterAt(spot)] ?? 'nothing');
  });
}

/** The pours of a plan whose amount can be scaled. */
const scalable = (plan: Plan) =>
  plan.steps.filter((s) =>
    ['share', 'volume', 'deep'].includes((s.act.amount as Amount | undefined)?.kind ?? '')
  );

/** A plan with the amount of one of its pours changed. */
function changed(plan: Plan, at: number, by: number): Plan {
  const pours = scalable(plan);
  const step = pours[at % pours.length]!;
  const scaled = Object.entries(step.act.amount as Amount).map(([k, v]) => [
    k,
    typeof v === 'number' ? v * by : v
  ]);
  const act = { ...step.act, amount: Object.fromEntries(scaled) as Amount };
  return { ...plan, steps: plan.steps.map((s) => (s === step ? ({ ...s, act } as typeof s) : s)) };
}

describe('a trace that is kept', () => {
  it('comes to what one from nothing comes to, whatever was changed before', () => {
    for (const plan of TRIED) {
      expect(scalable(plan).length).toBeGreaterThan(0);
      fc.assert(
        fc.property(
          fc.array(fc.tuple(fc.nat(9), fc.double({ min: 0.6, max: 1.1, noNaN: true })), {
            minLength: 1,
            maxLength: 4
          }),
          (changes) => {
            const kept: KeptTrace = { steps: [] };
            let now = plan;
            for (const [at, by] of changes) {
              expect(standingIn(now, kept)).toEqual(standingIn(now));
              now = changed(now, at, by);
            }
            expect(standingIn(now, kept)).toEqual(standingIn(now));
          }
        ),
        { numRuns: 3, seed: 20_261 }
      );
    }
  });

  it('is not done again before the step that is changed, and is after it', () => {
    const plan = TRIED.find((p) => scalable(p).length > 2);
    const kept: KeptTrace = { steps: [] };
    standingIn(plan!, kept);
    const before = [...kept.steps];
    const pours = scalable(plan!);
    const { id } = pours.at(-1)!;
    standingIn(changed(plan!, pours.length - 1, 0.9), kept);
    const first = before.findIndex((s, i) => s !== kept.steps[i]);
    expect(before[first]!.does).toContain(`"${id}"`);
    expect(first).toBeGreaterThan(1);
    expect(kept.steps).toHaveLength(before.length);
  });

  it('is done anew where a cup is another mixture', () => {
    const plan = TRIED.find((p) => scalable(p).length > 2);
    const kept: KeptTrace = { steps: [] };
    standingIn(plan!, kept);
    const before = [...kept.steps];
    const [first, ...others] = plan!.cups;
    standingIn({ ...plan!, cups: [{ ...first!, mixing: 'marbled' }, ...others] }, kept);
    expect(kept.steps[0]).not.toBe(before[0]);
  });
});
