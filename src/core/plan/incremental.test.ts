import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { someOf } from '../soak.testing';
import { cards } from '$demo/cards';
import { plans } from '$demo/plans';
import { Memo } from '../memo';
import type { Plan } from '../document';
import { computePlan, figuresOf, provingInTurn } from './compute';

/** One change as a maker makes it; numbers choose what is changed, and by how much (0..1). */
type Change = (plan: Plan, at: number, much: number) => Plan;

const nth = <T>(list: readonly T[], at: number): number => at % Math.max(1, list.length);
const changed = <T>(list: readonly T[], at: number, change: (x: T) => T): T[] =>
  list.map((x, i) => (i === nth(list, at) ? change(x) : x));

/** A step's amount in another measure, where it has one. */
const amounts = (much: number) =>
  [
    { kind: 'share', of: 0.02 + 0.3 * much },
    { kind: 'deep', mm: 0.5 + 6 * much },
    { kind: 'weight', grams: 0.5 + 20 * much },
    { kind: 'rim' }
  ] as const;

const CHANGES: Record<string, Change> = {
  name: (p, at, much) => ({ ...p, name: `${p.name} ${at}-${much}` }),
  'name of a cup': (p, at) => ({
    ...p,
    cups: changed(p.cups, at, (c) => ({ ...c, name: `${c.name} ${at}` }))
  }),
  percentage: (p, at, much) => ({
    ...p,
    cups: changed(p.cups, at, (c) => ({
      ...c,
      recipe: changed(c.recipe, at, (line) => ({ ...line, percent: 0.1 + 4 * much }))
    }))
  }),
  amount: (p, at, much) => ({
    ...p,
    steps: changed(p.steps, at, (s) =>
      'amount' in s.act ? { ...s, act: { ...s.act, amount: amounts(much)[nth(amounts(much), at)] } } : s
    )
  }),
  temperature: (p, _, much) => ({ ...p, bench: { ...p.bench, roomCelsius: 14 + 14 * much } }),
  night: (p, at) => ({
    ...p,
    bench: { ...p.bench, ...(at % 2 ? { night: { celsius: 14, hour: 8 } } : { night: undefined }) }
  }),
  'cup of a step': (p, at, much) => ({
    ...p,
    steps: changed(p.steps, at, (s) =>
      'cupId' in s.act
        ? { ...s, act: { ...s.act, cupId: p.cups[nth(p.cups, Math.floor(much * 99))]!.id } }
        : s
    )
  }),
  'step moved': (p, at, much) => {
    const rest = p.steps.filter((_, i) => i !== nth(p.steps, at));
    return { ...p, steps: rest.toSpliced(nth(rest, Math.floor(much * 99)), 0, p.steps[nth(p.steps, at)]!) };
  },
  'step left out': (p, at) => ({
    ...p,
    steps: changed(p.steps, at, (s) => ({ ...s, muted: s.muted ? undefined : true }))
  }),
  'step taken out': (p, at) =>
    p.steps.length > 2 ? { ...p, steps: p.steps.filter((_, i) => i !== nth(p.steps, at)) } : p,
  wait: (p, at, much) => ({
    ...p,
    steps: changed(p.steps, at, (s) => ({
      ...s,
      gates: s.gates.length
        ? []
        : [
            {
              id: `wait-${at}`,
              all: [{ kind: 'state', state: much < 0.5 ? 'gelled' : 'set', of: 'layer below' }]
            }
          ]
    }))
  }),
  'number of cavities': (p, at, much) => ({
    ...p,
    groups: changed(p.groups, at, (g) => ({ ...g, count: 1 + Math.floor(much * 9) }))
  }),
  mould: (p, at, much) => {
    const mould = cards.moulds[nth(cards.moulds, Math.floor(much * 99))]!;
    return {
      ...p,
      groups: changed(p.groups, at, (g) => ({ ...g, mouldId: mould.id, cavityId: mould.cavities[0]!.id }))
    };
  },
  'way of mixing': (p, at) => ({
    ...p,
    mixes: changed(p.mixes, at, (m) => ({ ...m, feeds: m.feeds === 'split' ? 'one cup' : 'split' }))
  }),
  losses: (p, _, much) => ({
    ...p,
    bench: { ...p.bench, losses: { ...p.bench.losses, typed: true, cling: 0.001 + 0.05 * much } }
  }),
  'as much as': (p, at, much) => ({
    ...p,
    cups: changed(p.cups, at, (c) => ({ ...c, atLeast: 10 + Math.round(200 * much) }))
  }),
  scale: (p, at) => ({ ...p, bench: { ...p.bench, scaleIds: [cards.scales[nth(cards.scales, at)]!.id] } }),
  face: (p, at) => ({ ...p, showFace: at % 2 ? 'open face' : 'mould face' })
};

/** So many changes, one after another, of each plan. */
const MANY = 40;

const edits = fc.array(
  fc.tuple(
    fc.constantFrom(...Object.keys(CHANGES)),
    fc.nat(40),
    fc.double({ min: 0, max: 0.999, noNaN: true })
  ),
  { minLength: MANY, maxLength: MANY, size: 'max' }
);

/** Changes a plan again and again, with what it comes to each time from what it came to before. */
function* followed(first: Plan, all: readonly (readonly [string, number, number])[], memo: Memo) {
  let plan = first;
  figuresOf(plan, cards, {}, memo);
  for (const [kind, at, much] of all) {
    plan = CHANGES[kind]!(plan, at, much);
    yield { plan, kind, computed: figuresOf(plan, cards, {}, memo) };
  }
}

describe('figures that follow an edit', () => {
  it.each(someOf(plans, 3).map((p) => [p.name, p] as const))(
    'are those from nothing, whatever was worked out before: %s',
    (_, first) => {
      fc.assert(
        fc.property(edits, (all) => {
          for (const { plan, kind, computed } of followed(first, all, new Memo())) {
            const anew = figuresOf(plan, cards);
            // Compared as text: what is the same is told far sooner.
            if (JSON.stringify(computed) !== JSON.stringify(anew)) expect(computed, kind).toEqual(anew);
          }
        }),
        { numRuns: 1, endOnFailure: true }
      );
    }
  );

  it('bring the mends that fit the plan as it is now', () => {
    fc.assert(
      fc.property(fc.constantFrom(...plans), edits, (first, all) => {
        const memo = new Memo();
        for (const { plan } of followed(first, all.slice(0, 6), memo)) {
          const proving = provingInTurn(plan, cards, {}, memo);
          let step = proving.next();
          while (!step.done) step = proving.next();
          expect(step.value).toEqual(computePlan(plan, cards).problems);
        }
      }),
      { numRuns: 4, endOnFailure: true }
    );
  });
});
