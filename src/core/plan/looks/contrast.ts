import {
  CLOSE,
  contrastOf,
  deepReflectance,
  finished,
  isInk,
  isWhite,
  labOf,
  mixtureOf,
  paleness,
  type Contrast
} from '../../colour';
import { compatibilityOf, limitOf, materials, type Base, type Colourant } from '../../material';
import { inPlan, type Diagnostic, type Fix } from '../../problem';
import type { Cup } from '../../document';
import { freshId } from '../../edit/fresh-id';
import { tintOf, type Palette } from './looks';
import type { ComputedGroup, ComputedLayer } from '../draw';
import { dosesOf, type ResolvedCup, type ResolvedMix, type ResolvedPlan } from '../resolve';

/** Two cups that touch in a piece, and how they are told apart there. */
export interface TouchingPair {
  a: string;
  b: string;
  letters: string;
  contrast: Contrast;
}

/** A cup where it lies in a piece: as a layer of its own, or as part of a jug's. */
type Lying = Pick<ComputedLayer, 'cupId' | 'letter' | 'look'>;

/**
 * Every pair of cups that touch: neighbours in the section, chambers side by side, what was poured from one jug, and,
 * where one mix is split and poured wet on wet, every pair of a group. Judged by the colours as they lie in the piece.
 */
export function touchingPairs(
  plan: ResolvedPlan,
  groups: readonly ComputedGroup[],
  { looks }: Palette
): TouchingPair[] {
  const found = new Map<string, TouchingPair>();
  const touch = (one: Lying, other: Lying) => {
    if (one.cupId === other.cupId) return;
    const [x, y] = one.cupId < other.cupId ? [one, other] : [other, one];
    const key = `${x.cupId}|${y.cupId}`;
    const contrast = contrastOf(x.look.lab, y.look.lab);
    const before = found.get(key);
    if (!before || contrast.deltaE < before.contrast.deltaE)
      found.set(key, { a: x.cupId, b: y.cupId, letters: [x.letter, y.letter].sort().join(''), contrast });
  };
  /** What a layer is made of where it lies: its cup, or the cups of its jug. */
  const lying = (layer: ComputedLayer): Lying[] => {
    const { parts = [] } = plan.cupOf.get(layer.cupId) ?? {};
    return parts.length
      ? parts.map(({ cupId }) => ({
          cupId,
          letter: plan.cupOf.get(cupId)!.cup.letter,
          look: looks.get(cupId)!.own
        }))
      : [layer];
  };
  for (const { layers } of groups) {
    layers.forEach((one, i) => {
      const own = lying(one);
      own.forEach((a, k) => own.slice(k + 1).forEach((b) => touch(a, b)));
      layers.slice(i + 1).forEach((other, j) => {
        const wet = !other.gated && sameMix(plan, one.cupId, other.cupId);
        const beside = one.chamber && other.chamber && Math.abs(one.from - other.from) < 1;
        if (j > 0 && !wet && !beside) return;
        for (const a of own) for (const b of lying(other)) touch(a, b);
      });
    });
  }
  return [...found.values()].sort((x, y) => x.contrast.deltaE - y.contrast.deltaE);
}

/** Whether two cups are portions of one mix, poured while all of it is fluid. */
function sameMix({ cupOf }: ResolvedPlan, a: string, b: string): boolean {
  const mix = cupOf.get(a)?.mix?.mix;
  return mix?.feeds === 'split' && mix.id === cupOf.get(b)?.mix?.mix.id;
}

/** One of two cups that touch, with what its colour follows from. */
interface Judged {
  cup: Cup;
  mix: ResolvedMix;
}

/** What pairs mean for the piece: said before the pour, with the least change of recipe that tells them apart. */
export function contrastProblems(pairs: readonly TouchingPair[], plan: ResolvedPlan): Diagnostic[] {
  const close = pairs.flatMap(({ a, b, contrast }) => {
    const one = judged(plan.cupOf.get(a));
    const other = judged(plan.cupOf.get(b));
    if (contrast.verdict === 'clear' || !one || !other || alike(one, other)) return [];
    // Two cups left uncoloured are the same on purpose; clear is there to be looked through, not to be told from a colour.
    const plain = [one, other].filter((x) => !x.cup.recipe.length);
    const asMeant = plain.length > 1 || plain.some((x) => materials.has(x.mix.base.kind, 'cures clear'));
    return asMeant ? [] : [{ one, other, contrast }];
  });
  const near = close.filter((c) => c.contrast.verdict !== 'reads as one');
  const said = near.length > 1 ? close.filter((c) => !near.includes(c)) : close;
  return [...said.map((pair, nth) => saidOf(pair, nth, plan)), ...(near.length > 1 ? [allNear(near)] : [])];
}

/** Several pairs that are near to each other, as one note with the pairs in it. */
function allNear(near: readonly ClosePair[]): Diagnostic {
  const pairs = near.map(({ one, other }) => `${one.cup.name} and ${other.cup.name}`);
  return {
    code: 'colours-close',
    level: 'note',
    ...inPlan('cups', near[0]!.one.cup.id, 'recipe'),
    sentence: `Hard to tell apart where they touch: ${pairs.join('; ')}.`,
    mend: 'Choose colours further apart, in lightness first.'
  };
}

/** Two cups that touch and are near to each other. */
interface ClosePair {
  one: Judged;
  other: Judged;
  contrast: TouchingPair['contrast'];
}

/** What is said of one close pair, with the least changes that part it. */
function saidOf({ one, other, contrast }: ClosePair, nth: number, plan: ResolvedPlan): Diagnostic {
  const same = contrast.verdict === 'reads as one';
  return {
    code: same ? 'reads-as-one' : 'colours-close',
    level: same ? 'warn' : 'note',
    ...inPlan('cups', one.cup.id, 'recipe'),
    sentence: `${one.cup.name} and ${other.cup.name} ${same ? 'will look the same' : 'are hard to tell apart'} where they touch${contrast.byLightness ? '' : ': as light as each other'}.`,
    mend: 'Choose colours further apart, in lightness first.',
    fixes: nth < MENDED ? leastChanges(one, other, plan).slice(0, MOST_TRIED) : []
  };
}

/** Whether two cups are meant to be one colour: mixed by one recipe, as a top-up and a second batch are. */
function alike(one: Judged, other: Judged): boolean {
  const recipe = ({ cup, mix }: Judged) =>
    [mix.base.id, ...cup.recipe.map((l) => `${l.colourantId} ${l.percent} ${l.of}`).sort()].join('|');
  return recipe(one) === recipe(other);
}

/** A cup that is made from a mix whose base is known; a cup of cups has no recipe to change. */
const judged = (cup: ResolvedCup | undefined): Judged | undefined =>
  cup?.mix && !cup.parts.length ? { cup: cup.cup, mix: cup.mix } : undefined;

/** The closest pairs are mended one after the other; a mend of one often settles the next. */
const MENDED = 3;

/** How much a dose is changed by, in the order of how little it is. */
const FACTORS = [0.75, 1.33, 0.5, 2, 0.33, 3, 0.2, 5, 0.1, 0];
/** White let into the paler cup, percent of the material's basis, least first. */
const WHITES = [0.2, 0.4, 0.7, 1, 1.5, 2];

/** Changes tried of one pair: which of them really tells the cups apart is seen in the piece. */
const MOST_TRIED = 10;

/**
 * Changes of one recipe line (or of white added to the paler cup) after which the two cups are clear of each other
 * as they lie deep, inside all limits; the smallest first.
 */
function leastChanges(a: Judged, b: Judged, plan: ResolvedPlan): Fix[] {
  const [paler, darker] = labIn(a, plan).l >= labIn(b, plan).l ? [a, b] : [b, a];
  // The paler is changed first: a black that is made grey is no black any more.
  const doses = FACTORS.flatMap((f) => [
    ...otherDoses(paler, darker, f, plan),
    ...otherDoses(darker, paler, f, plan)
  ]);
  return [
    ...doses.slice(0, MOST_TRIED - 4),
    ...moreWhites(paler, darker, plan).slice(0, 2),
    ...otherPots(darker, paler, plan)
  ];
}

/** A cup's own colour, dry and deep. */
function labIn({ cup, mix }: Judged, { colourants }: ResolvedPlan) {
  const tint = tintOf(dosesOf(cup, colourants), mix.base, mix.formula);
  return finished(labOf(deepReflectance(mixtureOf(tint))), tint.base.kind, 'dry', isInk(tint.doses)).lab;
}

const clear = (x: Judged, y: Judged, plan: ResolvedPlan) =>
  contrastOf(labIn(x, plan), labIn(y, plan)).deltaE >= CLOSE;

/** Lines of a cup that, dosed so many times as much, set it clear of the other. */
function otherDoses(one: Judged, other: Judged, factor: number, plan: ResolvedPlan): Fix[] {
  return one.cup.recipe.flatMap((line): Fix[] => {
    const colourant = plan.colourants.get(line.colourantId);
    const percent = Number((line.percent * factor).toPrecision(3));
    if (!colourant || percent > limitOf(colourant, one.mix.base.kind).limit) return [];
    const recipe = one.cup.recipe.map((l) => (l === line ? { ...l, percent } : l));
    if (!clear({ ...one, cup: { ...one.cup, recipe } }, other, plan)) return [];
    // None of it is a line less, not a line to weigh nothing of.
    const path = ['cups', one.cup.id, 'recipe', line.id];
    return percent > 0
      ? [
          {
            edit: { path: [...path, 'percent'], value: percent },
            words: `${one.cup.name}: ${percent} % ${colourant.name} instead of ${line.percent} %`
          }
        ]
      : [{ edit: { path, value: undefined }, words: `${one.cup.name}: no ${colourant.name}` }];
  });
}

/** Pots that are tried in the place of a cup's own, and how much of one, percent. */
const POTS = 2;
const USUAL = 1;

/** One of the two coloured with another pot, the one that is furthest from the other in lightness. */
function otherPots(one: Judged, other: Judged, plan: ResolvedPlan): Fix[] {
  const { l } = labIn(other, plan);
  const { kind } = one.mix.base;
  const [line] = one.cup.recipe;
  return [...plan.colourants.values()]
    .filter((c) => compatibilityOf(c.form, kind).verdict === 'good' && c.id !== line?.colourantId)
    .map((c) => {
      const percent = Math.min(USUAL, limitOf(c, kind).limit);
      const recipe = [
        { id: line?.id ?? freshId(plan.plan, 'colour'), colourantId: c.id, percent, of: 'supplied' as const }
      ];
      const made = { ...one, cup: { ...one.cup, recipe } };
      return { c, percent, recipe, made, apart: Math.abs(labIn(made, plan).l - l) };
    })
    .filter(({ made }) => clear(made, other, plan))
    .sort((a, b) => b.apart - a.apart)
    .slice(0, POTS)
    .map(({ c, percent, recipe }) => ({
      words: `${one.cup.name}: ${percent} % ${c.name} instead`,
      edit: { path: ['cups', one.cup.id, 'recipe'], value: recipe }
    }));
}

/** White let into the paler cup, the least first, that sets it clear of the other. */
function moreWhites(paler: Judged, other: Judged, plan: ResolvedPlan): Fix[] {
  const { base } = paler.mix;
  const white = whiteFor(plan, base);
  if (!white) return [];
  const most = limitOf(white, base.kind).limit;
  const id = freshId(plan.plan, 'white');
  return WHITES.filter((percent) => percent <= most).flatMap((percent): Fix[] => {
    const line = { id, colourantId: white.id, percent, of: 'supplied' as const };
    const recipe = [...paler.cup.recipe, line];
    if (!clear({ ...paler, cup: { ...paler.cup, recipe } }, other, plan)) return [];
    return [
      {
        edit: { path: ['cups', paler.cup.id, 'recipe', line.id], value: line },
        words: `${percent} % ${white.name} into ${paler.cup.name}`
      }
    ];
  });
}

/** The palest colourant on the shelf that belongs in the material. */
function whiteFor({ colourants }: ResolvedPlan, base: Base): Colourant | undefined {
  return [...colourants.values()]
    .filter(
      (c) =>
        c.form !== 'interference pearl' &&
        compatibilityOf(c.form, base.kind).verdict !== 'avoid' &&
        isWhite(c)
    )
    .sort((x, y) => paleness(y) - paleness(x))[0];
}
