import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { rockpool, tideline } from '../../../demo/plans';
import { askingFace, type AskedFace, type FaceAnswer, type Searching } from './ask-face';
import { planToMake } from '../edit';
import { computePlan, Plan } from '../plan';
import { pieceOf, wholePicture } from './picture';

/** A stack that is quick to try: nothing of it sinks. */
const stack = Plan.parse({
  ...rockpool,
  steps: rockpool.steps.filter((s) => ['lay', 'puddle'].includes(s.act.kind)),
  cups: rockpool.cups.map((c) => ({ ...c, recipe: c.recipe.filter((r) => r.colourantId !== 'white-paste') }))
});

function searched(plan: Plan, asked: Omit<AskedFace, 'groupId'>): { answer: FaceAnswer; steps: Searching[] } {
  const search = askingFace(plan, cards, { groupId: plan.groups[0]!.id, ...asked });
  const steps: Searching[] = [];
  for (;;) {
    const step = search.next();
    if (step.done) return { answer: step.value, steps };
    steps.push(step.value);
  }
}

const open = { kind: 'open face' } as const;

describe('asking for a face', () => {
  it('comes near to shares that can be had, by amounts and places alone', () => {
    const wish = { cupId: 'black', zone: 'all of it', share: 0.3 } as const;
    const { answer, steps } = searched(stack, { face: open, wishes: [wish] });
    const [black] = answer.wishes;
    expect(Math.abs(black!.before - 0.3)).toBeGreaterThan(0.08);
    expect(Math.abs(black!.after - 0.3)).toBeLessThan(0.04);
    expect(steps.length).toBeGreaterThan(0);
    expect(steps.map((s) => s.off)).toEqual([...steps.map((s) => s.off)].sort((a, b) => b - a));
    // The plan that is offered shows what was said of it, and no step came or went.
    const made = pieceOf(answer.plan, cards, {}, {})!;
    const drawn = wholePicture(made, open, { size: 160 }).shows.find((s) => s.cupId === 'black')!;
    expect(drawn.share).toBe(black!.after);
    expect(black!.reached).toBe(true);
    expect(answer.plan.steps.map((s) => s.id)).toEqual(stack.steps.map((s) => s.id));
    expect(Plan.safeParse(answer.plan).success).toBe(true);
    const group = computePlan(answer.plan, cards).groups[0]!;
    expect(group.filled).toBeCloseTo(1, 6);
  });

  it('says as it is what cannot be reached: what lies at the bottom of a dome is never all of its edge', () => {
    const wish = { cupId: 'mudflat', zone: 'the edge', share: 1 } as const;
    const { answer } = searched(tideline, {
      face: { kind: 'mould face' },
      wishes: [wish],
      tries: 25
    });
    expect(answer.wishes[0]!.after).toBeLessThan(1);
    expect(answer.wishes[0]!.reached).toBe(false);
    expect(answer.wishes[0]!.after).toBeGreaterThanOrEqual(answer.wishes[0]!.before);
  });

  it('changes what a cup is poured together from', () => {
    const made = planToMake(cards, {
      id: 'one-cup',
      techniqueId: 'dirty-cup',
      mouldId: 'roundel',
      baseId: 'clear-slow',
      good: 1,
      colourantIds: ['blue-paste', 'white-paste', 'black-paste']
    })!;
    const ids = made.cups.filter((c) => 'mix' in c.from).map((c) => c.id);
    const wanted = [0.6, 0.25, 0.15];
    const { answer } = searched(made, {
      face: open,
      wishes: ids.map((cupId, i) => ({ cupId, zone: 'all of it' as const, share: wanted[i]! })),
      tries: 14
    });
    const off = (of: 'before' | 'after') =>
      answer.wishes.reduce((s, w) => s + Math.abs(w[of] - w.share), 0) / 2;
    expect(off('before')).toBeGreaterThan(0.15);
    expect(off('after')).toBeLessThan(0.06);
    const parts = answer.plan.cups.flatMap((c) => ('cups' in c.from ? c.from.cups : []));
    expect(parts.reduce((s, p) => s + p.share, 0)).toBeCloseTo(1, 3);
    expect(parts.every((p) => p.share > 0.005)).toBe(true);
    expect(Plan.safeParse(answer.plan).success).toBe(true);
  });

  it('changes the chips of a cup, and no more of them than its body flows between', () => {
    const made = planToMake(cards, {
      id: 'chips',
      techniqueId: 'terrazzo',
      mouldId: 'roundel',
      baseId: 'fine-concrete',
      good: 1,
      colourantIds: ['']
    })!;
    const [cup] = made.cups;
    const wish = (share: number) => [{ cupId: cup!.id, of: 'chips', zone: 'all of it', share } as const];
    const percent = (plan: Plan) => plan.cups[0]!.fillers!.reduce((s, f) => s + f.percent, 0);
    const few = searched(made, { face: open, wishes: wish(0.15) }).answer;
    expect(few.wishes[0]!.before).toBeGreaterThan(0.3);
    expect(few.wishes[0]!.after).toBeCloseTo(0.15, 1);
    expect(few.wishes[0]!.reached).toBe(true);
    expect(percent(few.plan)).toBeLessThan(percent(made) / 2);
    const many = searched(made, { face: open, wishes: wish(0.9) }).answer;
    expect(many.wishes[0]!.reached).toBe(false);
    expect(many.wishes[0]!.after).toBeGreaterThan(many.wishes[0]!.before);
    const codes = computePlan(many.plan, cards).problems.map((p) => p.code);
    expect(codes).not.toContain('chips-too-many');
    // Who asks for the colour of the cup leaves its chips as they are.
    const colour = searched(made, {
      face: open,
      wishes: [{ cupId: cup!.id, zone: 'all of it', share: 0.5 }]
    });
    expect(percent(colour.answer.plan)).toBe(percent(made));
  });

  it('leaves a plan alone that shows what is wanted already', () => {
    const piece = pieceOf(stack, cards, {}, {})!;
    const shows = wholePicture(piece, open, { size: 30 }).shows.find((s) => s.cupId === 'black')!.share;
    const { answer, steps } = searched(stack, {
      face: open,
      wishes: [{ cupId: 'black', zone: 'all of it', share: shows }]
    });
    expect(steps.length).toBeLessThan(90);
    expect(answer.wishes[0]!.after).toBeCloseTo(shows, 1);
  });

  it('leaves alone a step that other cavities share', () => {
    const shared = Plan.parse({
      ...stack,
      groups: [...stack.groups, { ...stack.groups[0]!, id: 'more', name: 'more' }],
      steps: stack.steps.map((s, i) => (i === 1 ? { ...s, where: ['roundels', 'more'] } : s))
    });
    const { answer } = searched(shared, {
      face: open,
      wishes: [{ cupId: 'black', zone: 'all of it', share: 0.3 }],
      tries: 12
    });
    expect(answer.plan.steps[1]).toEqual(shared.steps[1]);
  });

  it('goes straight for two shares at once, and keeps a small one in proportion', () => {
    const wishes = [
      { cupId: 'black', zone: 'all of it', share: 0.04 },
      { cupId: 'foam', zone: 'all of it', share: 0.2 }
    ] as const;
    const { answer, steps } = searched(stack, { face: open, wishes });
    expect(steps.length).toBeLessThan(30);
    expect(Math.abs(answer.wishes[0]!.after - 0.04)).toBeLessThan(0.01);
    expect(Math.abs(answer.wishes[1]!.after - 0.2)).toBeLessThan(0.02);
  });

  it('is answered at once where the wish is met', () => {
    const shows = wholePicture(pieceOf(stack, cards, {}, {})!, open, { size: 8 }).shows;
    const wishes = shows.map(({ cupId, share }) => ({ cupId, zone: 'all of it' as const, share }));
    const { answer, steps } = searched(stack, { face: open, wishes });
    expect(steps.length).toBeLessThan(2);
    expect(answer.changed).toBe(false);
    expect(answer.plan).toBe(stack);
  });

  it('reads the edge and the middle apart', () => {
    const { answer } = searched(stack, {
      face: open,
      wishes: [
        { cupId: 'foam', zone: 'the edge', share: 0.9 },
        { cupId: 'foam', zone: 'the middle', share: 0 }
      ],
      tries: 4
    });
    expect(answer.wishes[1]!.before).toBe(0);
    expect(answer.wishes[0]!.before).toBeGreaterThan(0.5);
  });
});
