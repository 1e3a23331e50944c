import { ownPercents } from '../../dosing';
import {
  compatibilityOf,
  cupLimitOf,
  limitOf,
  type Base,
  type Colourant,
  type Formula
} from '../../material';
import { deltaE, labOfHex } from '../../colour';
import { inPlan, type Diagnostic, type Fix } from '../../problem';
import type { Cup, RecipeLine } from '../../document';
import type { ResolvedCup, ResolvedPlan } from '../resolve';
import { missing } from './missing';

const percent = (x: number) => `${Number(x.toFixed(2))} %`;

/** Colourants that are gone from the shelf, do not belong in the material, or are over their limit or the cup's. */
export function recipeProblems(
  { cup, mix }: ResolvedCup,
  { colourants, allBases }: ResolvedPlan
): Diagnostic[] {
  const found = cup.recipe.flatMap((line) => {
    const colourant = colourants.get(line.colourantId);
    return colourant ? measureProblems(cup, line, colourant) : [gone(cup, line)];
  });
  if (!mix) return found;
  return [
    ...found,
    ...limitProblems(cup, colourants, mix.base.kind, mix.formula),
    ...foreignParts(cup, colourants, { own: mix.base, bases: allBases })
  ];
}

/** Pastes that are carried by a part of another material: that part does not cure, or cures otherwise, in this one. */
function foreignParts(
  cup: Cup,
  colourants: ReadonlyMap<string, Colourant>,
  { own, bases }: { own: Base; bases: ReadonlyMap<string, Base> }
): Diagnostic[] {
  return cup.recipe.flatMap((line): Diagnostic[] => {
    const { name, carrier, carrierOf } = colourants.get(line.colourantId) ?? {};
    if (carrierOf === undefined || carrierOf === own.id || !carrier?.startsWith('part')) return [];
    const other = bases.get(carrierOf)?.name ?? 'another material';
    const part = carrier === 'part A' ? 'resin' : 'hardener';
    return [
      {
        code: 'paste-of-another',
        level: 'note',
        ...at(cup, line, 'colourantId'),
        sentence: `${cup.name}: ${name} is made in the ${part} of ${other}, and this is ${own.name}.`,
        mend: `A little hardly matters; for much of it, grind the pigment into the ${part} of ${own.name}.`
      }
    ];
  });
}

const at = (cup: Cup, line: RecipeLine, field: string) => inPlan('cups', cup.id, 'recipe', line.id, field);

const gone = (cup: Cup, line: RecipeLine): Diagnostic =>
  missing('colourant', at(cup, line, 'colourantId'), `A colourant of ${cup.name} is not on the shelf.`);

/** What a line counted in drops or spoons lacks to be counted. */
function measureProblems(cup: Cup, line: RecipeLine, colourant: Colourant): Diagnostic[] {
  const drops = line.by === 'drops' && !colourant.drop;
  const spoon = line.by === 'spoon' && !colourant.bulkDensity;
  if (!drops && !spoon) return [];
  return [
    {
      code: 'measure-unknown',
      level: 'warn',
      ...at(cup, line, 'by'),
      sentence: `The card of ${colourant.name} does not know ${drops ? 'what a drop weighs' : 'what a spoonful weighs'}; it is weighed instead.`,
      mend: drops ? 'Weigh twenty drops once: Colours, Drops.' : 'Enter its loose weight on the card.'
    }
  ];
}

/** Colourants over their own limit or unsuited, and cups over the limit for their sum. */
function limitProblems(
  cup: Cup,
  colourants: ReadonlyMap<string, Colourant>,
  material: Base['kind'],
  formula: Formula
): Diagnostic[] {
  const doses = dosed(cup, colourants, formula);
  const sum = doses.reduce((s, d) => s + d.adds, 0);
  const problems = doses.flatMap((d) => [
    ...suitProblems(cup, d, material, colourants),
    ...overLimit(cup, d, material)
  ]);
  const allowed = cupLimitOf(material);
  if (sum > allowed.limit * (1 + 1e-9))
    problems.push({
      code: 'cup-over-limit',
      level: 'warn',
      ...inPlan('cups', cup.id, 'recipe'),
      sentence: `${cup.name} holds ${percent(sum)} colourant in all; over ${percent(allowed.limit)} ${allowed.reason}.`,
      mend: 'Use a stronger colourant, or less of each.',
      fixes: [lessOfEach(cup, allowed.limit / sum, allowed.limit)]
    });
  return problems;
}

/** Every line of a cup in the same measure less, so that all of them come to its limit. */
function lessOfEach({ id, recipe }: Cup, factor: number, limit: number): Fix {
  // A hair under it: three digits are as fine as anyone weighs.
  const less = (percent: number) => Math.floor(percent * factor * 1000) / 1000;
  return {
    words: recipe.length > 1 ? `Use ${percent(limit)} in all, less of each` : `Use ${percent(limit)}`,
    edit: {
      path: ['cups', id, 'recipe'],
      value: recipe.map((line) => ({ ...line, percent: less(line.percent) }))
    }
  };
}

/** A line with what it adds to the cup, percent of the material's own basis. */
interface Dosed {
  line: RecipeLine;
  colourant: Colourant;
  adds: number;
}

/**
 * What each line adds. A dispersion whose water is mix water, and a premix, add only their solids; every other form
 * adds all of itself.
 */
function dosed(cup: Cup, colourants: ReadonlyMap<string, Colourant>, formula: Formula): Dosed[] {
  const lines = cup.recipe.flatMap((line) => {
    const colourant = colourants.get(line.colourantId);
    return colourant ? [{ line, colourant, dose: { ...line, colourant, letDown: undefined } }] : [];
  });
  const supplied = ownPercents(
    formula,
    lines.map((l) => l.dose)
  );
  return lines.map(({ line, colourant }, i) => ({
    line,
    colourant,
    adds: countsAsLiquid(colourant, formula) ? supplied[i]! * colourant.pigmentFraction : supplied[i]!
  }));
}

function suitProblems(
  cup: Cup,
  { line, colourant }: Dosed,
  material: Base['kind'],
  colourants: ReadonlyMap<string, Colourant>
): Diagnostic[] {
  const fits = compatibilityOf(colourant.form, material);
  if (fits.verdict === 'good') return [];
  const avoid = fits.verdict === 'avoid';
  return [
    {
      code: avoid ? 'colourant-unsuited' : 'colourant-care',
      level: avoid ? 'warn' : 'note',
      ...at(cup, line, 'colourantId'),
      sentence: `${cup.name}: ${colourant.name} in ${material}: ${fits.reason}.`,
      mend: avoid ? 'Choose another colourant.' : 'Try it on a trial card first.',
      fixes: avoid ? likeIt(cup, line, colourant, { material, colourants }) : []
    }
  ];
}

/** Pots of the shelf that are tried in the place of one that does not belong. */
const MOST_LIKE_IT = 3;

/** The pots that belong in the material and look most like it, at no more than they may be dosed. */
function likeIt(
  cup: Cup,
  line: RecipeLine,
  { id, colour }: Colourant,
  { material, colourants }: { material: Base['kind']; colourants: ReadonlyMap<string, Colourant> }
): Fix[] {
  const own = labOfHex(colour);
  const apart = (c: Colourant) => deltaE(labOfHex(c.colour), own);
  return [...colourants.values()]
    .filter((c) => c.id !== id && compatibilityOf(c.form, material).verdict === 'good')
    .sort((a, b) => apart(a) - apart(b))
    .slice(0, MOST_LIKE_IT)
    .map((c) => {
      const percent = Number(Math.min(line.percent, limitOf(c, material).limit).toPrecision(3));
      return {
        words: `${percent} % ${c.name} in its place`,
        edit: {
          path: ['cups', cup.id, 'recipe', line.id],
          value: { id: line.id, colourantId: c.id, percent, of: 'supplied' }
        }
      };
    });
}

function overLimit(cup: Cup, { line, colourant, adds }: Dosed, material: Base['kind']): Diagnostic[] {
  const { limit, reason, from } = limitOf(colourant, material);
  if (adds <= limit * (1 + 1e-9)) return [];
  // Back on the line's own basis and form.
  const most = (limit / adds) * line.percent;
  return [
    {
      code: 'colourant-over-limit',
      level: 'warn',
      ...at(cup, line, 'percent'),
      sentence: `${cup.name}: ${percent(adds)} of ${colourant.name} is over the ${from === 'card' ? 'card’s' : 'usual'} ${percent(limit)}: ${reason}.`,
      mend: 'Use less of it.',
      fixes: [
        {
          words: `Use ${percent(most)}`,
          edit: { path: ['cups', cup.id, 'recipe', line.id, 'percent'], value: Number(most.toFixed(4)) }
        }
      ]
    }
  ];
}

const countsAsLiquid = (colourant: Colourant, formula: Formula): boolean =>
  colourant.form === 'premix' ||
  (colourant.form === 'dispersion' && colourant.carrier === 'water' && !!formula.carriers.water);
