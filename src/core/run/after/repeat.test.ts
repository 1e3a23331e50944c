import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { tideline } from '../../../../demo/plans';
import { computePlan } from '../../plan';
import { foldRun, freeze, planFromRun, type RunEvent } from '..';
import { done, event } from '../run.testing';

const frozen = freeze(tideline, cards);
const asPlanned = () => frozen.tasks.map((t, i) => done(t, 60_000 * (i + 1)));
const repeatOf = (events: RunEvent[]) =>
  planFromRun(tideline, frozen.computed, foldRun(frozen.tasks, events, 0.1), { id: 'again', name: 'Again' });
const instead = (task: string, told: (at: number) => RunEvent) =>
  asPlanned().map((e) => ('task' in e && e.task === task ? told(e.at) : e));

describe('a repeat', () => {
  it('leaves a layer out that was left out, and fills none of its cups', () => {
    const pour = frozen.tasks.find((t) => t.kind === 'pour')!;
    if (pour.kind !== 'pour') throw new Error('no pour');
    const again = repeatOf(instead(pour.id, (at) => event({ type: 'skipped', task: pour.id }, at)));
    expect(again.steps.filter((s) => s.muted).map((s) => s.id)).toEqual([pour.stepId]);
    const poured = computePlan(again, cards).groups[0]!.layers.map((l) => l.stepId);
    expect(poured).not.toContain(pour.stepId);
    expect(poured).toHaveLength(computePlan(tideline, cards).groups[0]!.layers.length - 1);
  });

  it('leaves a colour out that never went in', () => {
    const blue = 'weigh:heron:heron-blue';
    const again = repeatOf(instead(blue, (at) => event({ type: 'skipped', task: blue }, at)));
    const [before, after] = [tideline, again].map((p) => p.cups[1]!.recipe.map((l) => l.id));
    expect(after).toEqual(before!.filter((id) => id !== 'heron-blue'));
  });

  it('takes the pot that was taken instead', () => {
    const blue = 'weigh:heron:heron-blue';
    const swap = event({ type: 'swapped', task: blue, instead: 'violet', colourantId: 'violet-paste' }, 5);
    const line = repeatOf([swap, ...asPlanned()]).cups[1]!.recipe.find((l) => l.id === 'heron-blue')!;
    expect(line.colourantId).toBe('violet-paste');
  });

  it('is the plan as it was where all was done as planned', () => {
    const again = repeatOf(asPlanned());
    expect(again.steps.some((s) => s.muted)).toBe(false);
    expect(again.cups.map((c) => c.recipe.map((l) => l.colourantId))).toEqual(
      tideline.cups.map((c) => c.recipe.map((l) => l.colourantId))
    );
  });
});
