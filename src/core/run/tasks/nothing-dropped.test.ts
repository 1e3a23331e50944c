import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { plans } from '../../../../demo/plans';
import { actStep, freshId } from '../../edit';
import { acts } from '../../pour';
import { computePlan, figuresOf, type Plan } from '../../plan';
import { someOf, times } from '../../soak.testing';
import { tasksOf } from './tasks-of';

/** Steps that a plan keeps, whatever a cavity can hold: one that pours nothing for want of room is said at its step. */
const done = (plan: Plan) => plan.steps.filter((s) => !s.muted);

/** What of each step is nowhere: in the order, on the score, among the tasks, or among the lines. */
function dropped(plan: Plan): string[] {
  const c = figuresOf(plan, cards);
  const tasks = tasksOf(plan, c);
  const said = new Set(c.problems.flatMap((p) => p.stepId ?? []));
  return done(plan).flatMap((step): string[] => {
    const mine = (x: { stepId?: string | undefined }) => x.stepId === step.id;
    const poursNothing = said.has(step.id) || !isKnown(step);
    const demoulds = step.where.filter((id) => tasks.some((t) => t.kind === 'demould' && t.groupId === id));
    const missing = {
      order: c.sequence.some((i) => 'stepId' in i && i.stepId === step.id),
      mark:
        c.score.blocks.some(mine) ||
        c.score.gates.some(mine) ||
        (isDemould(step) && c.score.demould.some((d) => step.where.includes(d.groupId))),
      task:
        tasks.some((t) => 'stepId' in t && t.stepId === step.id) || (isDemould(step) && demoulds.length > 0),
      line: c.lines.some(mine)
    };
    const absent = Object.entries(missing).flatMap(([what, there]) => (there ? [] : [what]));
    return absent.length && !poursNothing ? [`${step.act.kind} ${step.id}: ${absent.join(', ')}`] : [];
  });
}

const isKnown = (step: Plan['steps'][number]) => acts.read(step.act) !== undefined;
function isDemould(step: Plan['steps'][number]): boolean {
  const known = acts.read(step.act);
  return known?.definition.traits?.(known.act).includes('demoulds') ?? false;
}

/** A plan with steps of some kinds put in at some places, for one of its groups or at the bench. */
function withSteps(plan: Plan, more: readonly { kind: string; at: number; group: number }[]): Plan {
  return more.reduce((now, { kind, at, group }) => {
    const where = now.groups[group % now.groups.length]!.id;
    const cup = now.cups[at % now.cups.length]!.id;
    const step = actStep(freshId(now, kind), kind, cup, where);
    return step ? { ...now, steps: now.steps.toSpliced(at % (now.steps.length + 1), 0, step) } : now;
  }, plan);
}

describe('every task has a name of its own', () => {
  it.each(plans.map((p) => [p.name, p] as const))('of %s, in as many turns as there may be', (_, plan) => {
    for (const turns of [1, 3]) {
      const many: Plan = {
        ...plan,
        mixes: plan.mixes.map((m) => ({ ...m, turns })),
        groups: plan.groups.map((g) => ({ ...g, count: g.count * 3 }))
      };
      const ids = tasksOf(many, figuresOf(many, cards)).map((t) => t.id);
      expect(ids.filter((id, i) => ids.indexOf(id) !== i)).toEqual([]);
    }
  });
});

describe('nothing that is planned is dropped', () => {
  it.each(plans.map((p) => [p.name, p] as const))('of %s', (_, plan) => expect(dropped(plan)).toEqual([]));

  it.each(
    someOf(
      acts.all().map((a) => a.kind),
      3
    )
  )('whatever stands first, in between or last: %s', (kind) => {
    for (const plan of plans)
      for (const at of [0, 2, plan.steps.length]) {
        const made = withSteps(plan, [{ kind, at, group: 0 }]);
        expect([plan.name, at, dropped(made)]).toEqual([plan.name, at, []]);
      }
  });

  it('of any plan with any acts at any place', () => {
    const kinds = acts.all().map((a) => a.kind);
    const more = fc.array(
      fc.record({
        kind: fc.constantFrom(...kinds),
        at: fc.integer({ min: 0, max: 30 }),
        group: fc.integer({ min: 0, max: 3 })
      }),
      { minLength: 1, maxLength: 6 }
    );
    fc.assert(
      fc.property(fc.constantFrom(...plans), more, (plan, steps) => {
        expect(dropped(withSteps(plan, steps))).toEqual([]);
      }),
      { numRuns: times(40, 1000) }
    );
  });

  it('nor does what stands first end the pour before it has begun', () => {
    for (const kind of ['spray', 'wash', 'dust', 'wrap']) {
      const [plan] = plans;
      const first = withSteps(plan!, [{ kind, at: 0, group: 0 }]);
      expect(computePlan(first, cards).score.ends).toBeGreaterThanOrEqual(
        computePlan(plan!, cards).score.ends
      );
    }
  });
});
