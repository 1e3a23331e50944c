import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../../../demo/cards';
import { bollard, tideline } from '../../../../../demo/plans';
import { applyEdit } from '../../../document/apply-edit';
import { evenly } from '../../../evenly.testing';
import { computePlan, type Plan } from '../../../plan';
import { pourAlone } from '../../../plan/plans.testing';
import { pieceOf } from '../../../piece';
import { foldRun, freeze, type RunEvent } from '../../../run';
import { event } from '../../../run/run.testing';
import type { Together } from '.';

const knobs = pourAlone(tideline);
const [first, second] = knobs.cups;
const groupId = knobs.groups[0]!.id;

/** The knobs filled from two cups at once, and nothing else. */
const both = (act: Partial<Together> = {}): Plan => ({
  ...knobs,
  steps: [
    {
      id: 'both',
      act: {
        kind: 'together',
        cupId: first!.id,
        withId: second!.id,
        first: 0.5,
        amount: { kind: 'rim' },
        streams: 'into one stream',
        ...act
      },
      where: [groupId],
      gates: []
    }
  ]
});

describe('two cups poured at once', () => {
  it('fill a cavity between them, each by its share, and are drawn by these shares', () => {
    fc.assert(
      fc.property(
        evenly(0.1, 0.9),
        fc.constantFrom<Together['streams'][]>('into one stream', 'from two sides'),
        (share, streams) => {
          const plan = both({ first: share, streams });
          const group = computePlan(plan, cards).groups[0]!;
          const ml = (id: string) =>
            group.layers.filter((l) => l.cupId === id).reduce((s, l) => s + l.each, 0);
          expect(ml(first!.id) + ml(second!.id)).toBeCloseTo(group.capacity, 6);
          expect(ml(first!.id) / group.capacity).toBeCloseTo(share, 6);
          const { traced } = pieceOf(plan, cards, {}, {})!;
          const drawn = [...traced.held].flatMap(([m, v]) => {
            const matter = traced.matters[m]!;
            return 'cupId' in matter && matter.cupId === first!.id ? [v] : [];
          });
          expect(drawn.reduce((s, v) => s + v, 0) / group.capacity).toBeCloseTo(share, 2);
        }
      ),
      { numRuns: 10 }
    );
  });

  it('stand ready before the first of them goes in, and take the hands once', () => {
    const plan = both();
    const c = computePlan(plan, cards);
    const kinds = c.sequence.map((i) => i.kind);
    expect(kinds.lastIndexOf('mix')).toBeLessThan(kinds.indexOf('pour'));
    const minutes = c.score.blocks.filter((b) => b.stepId === 'both').reduce((s, b) => s + b.to - b.from, 0);
    expect(minutes).toBeCloseTo(0.5 * plan.groups[0]!.count, 6);
  });

  it('are one press in the run: its task names what goes in with it', () => {
    const frozen = freeze(both(), cards);
    const pours = frozen.tasks.flatMap((t) => (t.kind === 'pour' ? [t] : []));
    expect(pours.map((t) => t.cupId)).toEqual([first!.id, second!.id]);
    expect(pours[0]!.also).toEqual([
      { task: pours[1]!.id, cupId: second!.id, gramsEach: expect.closeTo(pours[1]!.gramsEach, 9) }
    ]);
    expect(pours[1]!.also).toBeUndefined();
    const told = frozen.tasks.map((t, i): RunEvent => event({ type: 'done', task: t.id }, i * 1000));
    expect(foldRun(frozen.tasks, told, 0.01).tasks.every((t) => t.status === 'done')).toBe(true);
  });

  it('that are one cup are said so, and the mend pours it as a layer', () => {
    const plan = both({ withId: first!.id });
    const said = computePlan(plan, cards).problems.find((p) => p.code === 'one-cup-twice')!;
    const c = computePlan(applyEdit(plan, said.edit!), cards);
    expect(c.problems.some((p) => p.code === 'one-cup-twice')).toBe(false);
    expect(c.groups[0]!.layers[0]!.each).toBeCloseTo(c.groups[0]!.capacity, 6);
  });
});

describe('what is dripped neat onto a cup made of others', () => {
  it('is drawn as its own colour, by its share, and nested cups as what they hold', () => {
    const white = bollard.cups.find((c) => c.id === 'inked')!;
    const nested: Plan = {
      ...bollard,
      cups: [
        ...bollard.cups,
        {
          ...white,
          id: 'outer',
          letter: 'D',
          name: 'outer',
          recipe: [],
          from: { cups: [{ cupId: 'inked', share: 1 }] }
        }
      ],
      steps: bollard.steps.map((s) =>
        s.act.kind === 'together' ? { ...s, act: { ...s.act, cupId: 'outer' } } : s
      )
    };
    for (const plan of [bollard, nested]) {
      const { traced } = pieceOf(plan, cards, {}, {})!;
      const ml = (test: (m: (typeof traced.matters)[number]) => boolean) =>
        [...traced.poured].reduce((s, [m, v]) => s + (test(traced.matters[m]!) ? v : 0), 0);
      const ink = ml((m) => m.kind === 'drop' && m.colourantId === 'magenta-ink');
      const foam = ml((m) => m.kind === 'cup' && m.cupId === 'foam');
      expect(ink / (ink + foam)).toBeCloseTo(white.recipe[0]!.percent / 100, 6);
    }
  });
});
