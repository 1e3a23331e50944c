import {
  candidatesFor,
  deepColour,
  deltaE,
  matchColour,
  predictorFor,
  type Lab,
  type MatchOrder
} from '../../src/core/colour';
import { formulaOf } from '../../src/core/material';
import { cards } from '../../demo/cards';
import { chanceFrom } from '../../src/core/pattern';
import { cpuOf, inTurns, median, type Figure } from './figure';

/** Recipes that are looked for, how near the grid has to come, ΔE00, and how fine it is made until it does. */
const RECIPES = 3;
const NEAR = 0.2;
const LEVELS = [6, 9, 13, 19];

/** Twelve colourants of the demo's shelf in its soap, at most three of them at once. */
function orderOf(): MatchOrder {
  const bar = cards.bases.find((b) => b.id === 'bar-soap')!;
  const formula = formulaOf(bar);
  if (!formula.ok) throw new Error(formula.problem.sentence);
  return {
    target: { l: 50, a: 0, b: 0 },
    base: { kind: bar.kind, colour: bar.colour, density: formula.value.density },
    ...candidatesFor(bar, formula.value, cards.colourants),
    colourants: 3
  };
}

/** Colours that recipes of three colourants by chance have. */
function targetsOf(order: MatchOrder): Lab[] {
  const chance = chanceFrom(7);
  return Array.from({ length: RECIPES }, () => {
    const pots = [...order.candidates].sort(() => chance() - 0.5).slice(0, 3);
    const doses = pots.map((c) => ({ colourant: c.colourant, percent: (c.most * chance()) / 3 }));
    return deepColour({ base: order.base, doses }).lab;
  });
}

/** Every triple at so many levels each, from nothing to the most: the nearest, ΔE00. */
function nearestOf(order: MatchOrder, target: Lab, levels: number): number {
  let nearest = Infinity;
  const { candidates } = order;
  for (let a = 0; a < candidates.length; a++)
    for (let b = a + 1; b < candidates.length; b++)
      for (let c = b + 1; c < candidates.length; c++) {
        const predict = predictorFor(order, [a, b, c]);
        const most = [a, b, c].map((i) => candidates[i]!.most / (levels - 1));
        for (let i = 0; i < levels; i++)
          for (let j = 0; j < levels; j++)
            for (let k = 0; k < levels; k++) {
              const lab = predict([i * most[0]!, j * most[1]!, k * most[2]!]);
              const rough = Math.hypot(lab.l - target.l, lab.a - target.a, lab.b - target.b);
              if (rough < nearest + 4) nearest = Math.min(nearest, deltaE(lab, target));
            }
      }
  return nearest;
}
/** The time of the grid that is made finer until it comes near, ms. */
function gridTime(order: MatchOrder, target: Lab): number {
  for (const levels of LEVELS) {
    let nearest = Infinity;
    const ms = cpuOf(() => (nearest = nearestOf(order, target, levels)));
    if (nearest < NEAR || levels === LEVELS.at(-1)) return ms;
  }
  throw new Error('no grid');
}

/** Matching a colour beside an exhaustive grid over the same colourants that comes as near. */
export function matchFigures(): Figure[] {
  const order = orderOf();
  const targets = targetsOf(order);
  const match = (n: number) => matchColour({ ...order, target: targets[n % RECIPES]! });
  const [over] = inTurns([match], 2 * RECIPES, 1);
  const matched = median(targets.map((_, n) => cpuOf(() => match(n))));
  return [
    { name: 'a colour matched, over the yardstick', ratio: over! },
    {
      name: 'a colour matched, of an exhaustive grid as near',
      ratio: matched / median(targets.map((t) => gridTime(order, t)))
    }
  ];
}
