import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { tideline } from '../../../../demo/plans';
import { computePlan } from '../../plan';
import { done, event } from '../run.testing';
import { foldRun } from '../log/fold';
import { freeze } from '../snapshot/freeze';
import { planNow } from './plan-now';
import { type RunEvent } from '../log/events';

const frozen = freeze(tideline, cards);
const fold = (events: RunEvent[]) => foldRun(frozen.tasks, events, frozen.computed.division);
const drag = frozen.tasks.find((t) => t.kind === 'do')!;
const white = frozen.tasks.find((t) => t.kind === 'weigh' && t.name.includes('titanium white'))!;

describe('the plan of a run by now', () => {
  it('is its own while nothing went otherwise', () => {
    expect(planNow(frozen, fold([]))).toBe(frozen.file.plan);
    expect(planNow(frozen, fold(frozen.tasks.map((t, i) => done(t, i))))).toBe(frozen.file.plan);
  });

  it('has what was left out muted, and again when that is undone', () => {
    const skip = event({ type: 'skipped', task: drag.id }, 5);
    const now = planNow(frozen, fold([skip]));
    const stepId = 'stepId' in drag ? drag.stepId : '';
    expect(now.steps.filter((s) => s.muted).map((s) => s.id)).toEqual([stepId]);
    expect(frozen.file.plan.steps.some((s) => s.muted)).toBe(false);
    // What the new snapshot comes to has no such step in its score.
    expect(computePlan(now, cards).score.blocks.some((b) => b.stepId === stepId)).toBe(false);
    const undone = fold([skip, event({ type: 'undone', event: skip.id }, 6)]);
    expect(planNow(frozen, undone)).toBe(frozen.file.plan);
  });

  it('keeps a step of which one mix was left out and another poured', () => {
    const turns = freeze({ ...tideline, mixes: tideline.mixes.map((m) => ({ ...m, turns: 2 })) }, cards);
    const pours = turns.tasks.filter((t) => t.kind === 'pour');
    const state = foldRun(
      turns.tasks,
      [event({ type: 'skipped', task: pours[0]!.id }, 1)],
      turns.computed.division
    );
    expect(planNow(turns, state)).toBe(turns.file.plan);
  });

  it('has the pot that went in in its recipe, and no other line changed', () => {
    const other = cards.colourants.find((c) => c.name.includes('blue paste'))!;
    const swap = event({ type: 'swapped', task: white.id, instead: other.name, colourantId: other.id }, 9);
    const now = planNow(frozen, fold([done(white, 8), swap]));
    const cup = white.kind === 'weigh' ? white.cupId : '';
    const lines = (plan: typeof now) =>
      plan.cups.flatMap((c) => c.recipe.map((r) => [c.id, r.id, r.colourantId].join()));
    const changed = lines(now).filter((l) => !lines(frozen.file.plan).includes(l));
    expect(changed).toEqual([[cup, white.kind === 'weigh' ? white.key : '', other.id].join()]);
    // A pot that no card is of changes no recipe.
    const unknown = event({ type: 'swapped', task: white.id, instead: 'another pot' }, 9);
    expect(planNow(frozen, fold([done(white, 8), unknown]))).toBe(frozen.file.plan);
  });
});
