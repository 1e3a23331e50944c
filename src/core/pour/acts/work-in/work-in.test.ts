import { describe, expect, it } from 'vitest';
import { cards } from '../../../../../demo/cards';
import { tideline } from '../../../../../demo/plans';
import { applyEdit } from '../../../document/apply-edit';
import { computePlan, type Plan } from '../../../plan';
import { pourAlone } from '../../../plan/plans.testing';
import { pieceOf } from '../../../piece';
import { CIRCLE } from '../../fields';

const knobs = pourAlone(tideline);
/** The knobs poured, and then brass worked into the wet face. */
const worked = (grams = 0.3): Plan => ({
  ...knobs,
  steps: [
    ...knobs.steps.filter((s) => s.act.kind === 'lay'),
    {
      id: 'brass',
      act: { kind: 'work-in', colourantId: 'brass-mica', grams, outline: CIRCLE, with: 'a pick', deep: 1 },
      where: [knobs.groups[0]!.id],
      gates: []
    }
  ]
});

/** What is in front at the middle of the poured side. */
function atMiddle(plan: Plan): unknown {
  const piece = pieceOf(plan, cards, {}, {})!;
  const face = piece.face({ kind: 'open face' });
  return piece.traced.matters[face.paint.fronts[face.sample(0.5, 0.5)]!];
}

describe('powder worked into a wet face', () => {
  it('shows there in its own colour, by its grams, and nowhere before it is done', () => {
    expect(atMiddle(worked())).toMatchObject({ kind: 'drop', colourantId: 'brass-mica' });
    expect(atMiddle({ ...worked(), steps: worked().steps.slice(0, -1) })).toMatchObject({ kind: 'cup' });
    const { traced } = pieceOf(worked(0.5), cards, {}, {})!;
    const ml = [...traced.poured].find(([m]) => traced.matters[m]!.kind === 'drop')![1];
    const density = cards.colourants.find((c) => c.id === 'brass-mica')!.density ?? 2.5;
    expect(ml * density).toBeCloseTo(0.5, 6);
  });

  it('is a line, a mark and a task, with its grams', () => {
    const c = computePlan(worked(), cards);
    expect(String(c.lines.find((l) => l.stepId === 'brass')!.line)).toContain('brass mica');
    expect(c.score.blocks.some((b) => b.stepId === 'brass')).toBe(true);
    expect(c.problems.some((p) => p.code === 'works-into-nothing')).toBe(false);
  });

  it('into an empty mould is said', () => {
    const plan = worked();
    const first = applyEdit(plan, {
      path: ['steps'],
      value: [plan.steps.at(-1)!, ...plan.steps.slice(0, -1)]
    });
    expect(computePlan(first, cards).problems.filter((p) => p.code === 'works-into-nothing')).toHaveLength(1);
  });
});
