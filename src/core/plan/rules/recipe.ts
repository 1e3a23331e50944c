import { ownPercents } from '../../dosing';
import {
  compatibilityOf,
  CUP_LIMITS,
  limitOf,
  type Base,
  type Colourant,
  type Formula
} from '../../material';
import type { Problem } from '../../problem';
import type { Cup } from '../document';
import { missing } from './missing';

const percent = (x: number) => `${Number(x.toFixed(2))} %`;

/** Colourants that do not belong in the material, over their own limit, and cups over the limit for their sum. */
function limitProblems(
  cup: Cup,
  index: number,
  find: (id: string) => Colourant | undefined,
  material: Base['kind'],
  formula?: Formula
): Problem[] {
  const problems: Problem[] = [];
  const onOwnBasis = restated(cup, find, formula);
  let sum = 0;
  cup.recipe.forEach((line, i) => {
    const colourant = find(line.colourantId);
    if (!colourant) return;
    const supplied = onOwnBasis.get(line.id) ?? line.percent;
    // A dispersion whose water is mix water, and a premix, add only their solids; every other form adds all of itself.
    const adds = countsAsLiquid(colourant, formula) ? supplied * colourant.pigmentFraction : supplied;
    sum += adds;
    const fits = compatibilityOf(colourant.form, material);
    if (fits.verdict !== 'good')
      problems.push({
        code: fits.verdict === 'avoid' ? 'colourant-unsuited' : 'colourant-care',
        level: fits.verdict === 'avoid' ? 'warn' : 'note',
        path: `plan/cups/${index}/recipe/${i}/colourantId`,
        sentence: `${cup.name}: ${colourant.name} in ${material}: ${fits.reason}.`,
        mend: fits.verdict === 'avoid' ? 'Choose another colourant.' : 'Try it on a trial card first.'
      });
    const { limit, reason, from } = limitOf(colourant, material);
    if (adds <= limit * (1 + 1e-9)) return;
    // Back on the line's own basis and form.
    const most = (limit / adds) * line.percent;
    problems.push({
      code: 'colourant-over-limit',
      level: 'warn',
      path: `plan/cups/${index}/recipe/${i}/percent`,
      sentence: `${cup.name}: ${percent(adds)} of ${colourant.name} is over the ${from === 'card' ? 'card’s' : 'usual'} ${percent(limit)}: ${reason}.`,
      mend: `Use ${percent(most)}`,
      edit: { path: ['cups', index, 'recipe', i, 'percent'], value: Number(most.toFixed(4)) }
    });
  });
  const allowed = CUP_LIMITS[material];
  if (sum > allowed.limit * (1 + 1e-9)) {
    problems.push({
      code: 'cup-over-limit',
      level: 'warn',
      path: `plan/cups/${index}/recipe`,
      sentence: `${cup.name} holds ${percent(sum)} colourant in all; over ${percent(allowed.limit)} ${allowed.reason}.`,
      mend: 'Use a stronger colourant, or less of each.'
    });
  }
  return problems;
}

const countsAsLiquid = (colourant: Colourant, formula: Formula | undefined): boolean =>
  colourant.form === 'premix' ||
  (colourant.form === 'dispersion' && colourant.carrier === 'water' && !!formula?.carriers.water);

/** Each line's percentage as supplied on the material's own basis. */
function restated(
  cup: Cup,
  find: (id: string) => Colourant | undefined,
  formula: Formula | undefined
): Map<string, number> {
  const lines = cup.recipe.flatMap((line) => {
    const colourant = find(line.colourantId);
    return colourant ? [{ ...line, colourant, letDown: undefined }] : [];
  });
  const percents = formula
    ? ownPercents(formula, lines)
    : lines.map((l) => (l.of === 'pigment' ? l.percent / l.colourant.pigmentFraction : l.percent));
  return new Map(lines.map((l, i) => [l.id, percents[i]!]));
}

/** A colourant that is gone from the shelf, and everything `limitProblems` says. */
export function recipeProblems(
  cup: Cup,
  index: number,
  colourants: ReadonlyMap<string, Colourant>,
  base: Base | undefined,
  formula: Formula | undefined
): Problem[] {
  const gone = cup.recipe.flatMap((line, i) => {
    const colourant = colourants.get(line.colourantId);
    const path = `cups/${index}/recipe/${i}`;
    if (!colourant)
      return [missing('colourant', `${path}/colourantId`, `A colourant of ${cup.name} is not on the shelf.`)];
    const lacks =
      line.by === 'drops' && !colourant.drop
        ? 'what a drop weighs'
        : line.by === 'spoon' && !colourant.bulkDensity
          ? 'what a spoonful weighs'
          : undefined;
    return lacks
      ? [
          {
            code: 'measure-unknown',
            level: 'warn' as const,
            path: `plan/${path}/by`,
            sentence: `The card of ${colourant.name} does not know ${lacks}; it is weighed instead.`,
            mend:
              line.by === 'drops'
                ? 'Weigh twenty drops once: Colours, Drops.'
                : 'Enter its loose weight on the card.'
          }
        ]
      : [];
  });
  return [
    ...gone,
    ...(base ? limitProblems(cup, index, (id) => colourants.get(id), base.kind, formula) : [])
  ];
}
