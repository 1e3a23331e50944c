import { cards } from '../../demo/cards';
import { tideline } from '../../demo/plans';
import type { Step } from '../../src/core/document';
import { computePlan, figuresOf, Memo, type Plan } from '../../src/core/plan';
import { inTurns, type Figure } from './figure';
import { planOf } from '../lib/plan-of';

const ROUNDS = 30;

/** A plan as large as a long day's: twelve cups, 48 cavities, 60 steps. */
const large = planOf(12, 48, 60);

const steps = (plan: Plan, change: (step: Step, i: number) => Step): Plan => ({
  ...plan,
  steps: plan.steps.map(change)
});

/** Two moulds of the shelf that take each other's place. */
const MOULDS = cards.moulds.slice(0, 2);

/** Edits as a maker makes them, another one each round, by what is changed. */
const EDITS: readonly [string, (plan: Plan, round: number) => Plan][] = [
  ['a temperature', (p, n) => ({ ...p, bench: { ...p.bench, roomCelsius: 18 + (n % 97) / 13 } })],
  ['a name', (p, n) => ({ ...p, name: `${p.name} ${n}` })],
  [
    'a percentage',
    (p, n) => ({
      ...p,
      cups: p.cups.map((c, i) =>
        i ? c : { ...c, recipe: c.recipe.map((r) => ({ ...r, percent: 0.5 + (n % 50) / 50 })) }
      )
    })
  ],
  [
    'an amount',
    (p, n) =>
      steps(p, (s, i) =>
        i ? s : { ...s, act: { ...s.act, amount: { kind: 'share', of: 0.05 + (n % 9) / 500 } } }
      )
  ],
  [
    'a depth',
    (p, n) =>
      steps(p, (s, i) =>
        i ? s : { ...s, act: { ...s.act, amount: { kind: 'deep', mm: 1 + (n % 9) / 10 } } }
      )
  ],
  [
    'a cup',
    (p, n) => steps(p, (s, i) => (i ? s : { ...s, act: { ...s.act, cupId: p.cups[n % p.cups.length]!.id } }))
  ],
  ['a step moved', (p, n) => ({ ...p, steps: [...p.steps.slice(n % 9), ...p.steps.slice(0, n % 9)] })],
  [
    'a number of moulds',
    (p, n) => ({ ...p, groups: p.groups.map((g, i) => (i ? g : { ...g, count: 2 + (n % 7) })) })
  ],
  [
    'a mould',
    (p, n) => ({
      ...p,
      groups: p.groups.map((g, i) =>
        i ? g : { ...g, mouldId: MOULDS[n % 2]!.id, cavityId: MOULDS[n % 2]!.cavities[0]!.id }
      )
    })
  ]
];

/**
 * Figures after each kind of edit, from what the plan came to before it, beside all of them worked out anew; and the search for
 * mends beside one reckoning.
 */
export function editFigures(): Figure[] {
  const anew = (plan: Plan) => (round: number) =>
    figuresOf(structuredClone(EDITS[0]![1](plan, round)), structuredClone(cards));
  const [tray, whole, ...kinds] = inTurns(
    [
      anew(tideline),
      anew(large),
      ...EDITS.map(([, edit]) => {
        const memo = new Memo();
        figuresOf(large, cards, {}, memo);
        return (round: number) => figuresOf(edit(large, round), cards, {}, memo);
      })
    ],
    ROUNDS
  );
  const [one, proved] = inTurns([() => figuresOf(large, cards), () => computePlan(large, cards)], 7, 2);
  return [
    { name: 'figures of a tray of knobs, over the yardstick', ratio: tray! },
    { name: 'figures of 12 cups, 48 cavities and 60 steps, over the yardstick', ratio: whole! },
    ...EDITS.map(([what], i) => ({
      name: `those figures after ${what}, of all of them anew`,
      ratio: kinds[i]! / whole!
    })),
    { name: 'those figures with mends proved, over the figures', ratio: proved! / one! }
  ];
}
