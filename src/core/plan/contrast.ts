import {
  CLOSE,
  contrastOf,
  deepReflectance,
  finished,
  isInk,
  labOf,
  mixtureOf,
  type Contrast
} from '../colour';
import { compatibilityOf, limitOf, type Base, type Colourant, type Formula } from '../material';
import type { Edit, Problem } from '../problem';
import type { ComputedGroup } from './piece';
import type { Cup, Plan } from './document';
import { tintOf } from './looks';

/** Two cups that touch in a piece, and how they are told apart there. */
export interface TouchingPair {
  a: string;
  b: string;
  letters: string;
  contrast: Contrast;
}

/**
 * Every pair of cups that touch: neighbours in the section, chambers side by side, and, where one mix is split and
 * poured wet on wet, every pair of a group. Judged by the colours as they lie in the piece.
 */
export function touchingPairs(plan: Plan, groups: readonly ComputedGroup[]): TouchingPair[] {
  const found = new Map<string, TouchingPair>();
  for (const { layers } of groups) {
    layers.forEach((one, i) =>
      layers.slice(i + 1).forEach((other, j) => {
        const wet = plan.mixing === 'split' && !other.gated;
        const beside = one.chamber && other.chamber && Math.abs(one.from - other.from) < 1;
        if ((j > 0 && !wet && !beside) || one.cupId === other.cupId) return;
        const [x, y] = one.cupId < other.cupId ? [one, other] : [other, one];
        const key = `${x.cupId}|${y.cupId}`;
        const contrast = contrastOf(x.look.lab, y.look.lab);
        const before = found.get(key);
        if (!before || contrast.deltaE < before.contrast.deltaE)
          found.set(key, { a: x.cupId, b: y.cupId, letters: [x.letter, y.letter].sort().join(''), contrast });
      })
    );
  }
  return [...found.values()].sort((x, y) => x.contrast.deltaE - y.contrast.deltaE);
}

interface Knowing {
  plan: Plan;
  base: Base;
  formula: Formula;
  colourants: ReadonlyMap<string, Colourant>;
}

/** What pairs mean for the piece: said before the pour, with the least change of recipe that tells them apart. */
export function contrastProblems(pairs: readonly TouchingPair[], known: Knowing): Problem[] {
  return (
    pairs
      // Two cups left uncoloured are the same on purpose.
      .filter(
        (p) =>
          p.contrast.verdict !== 'clear' &&
          cupOf(known.plan, p.a).recipe.length + cupOf(known.plan, p.b).recipe.length > 0
      )
      .map((pair, nth): Problem => {
        const [a, b] = [cupOf(known.plan, pair.a), cupOf(known.plan, pair.b)];
        const one = pair.contrast.verdict === 'reads as one';
        const mend = nth < MENDED ? leastChange(a, b, known) : undefined;
        return {
          code: one ? 'reads-as-one' : 'colours-close',
          level: one ? 'warn' : 'note',
          path: `plan/cups/${known.plan.cups.indexOf(a)}/recipe`,
          sentence: `${a.name} and ${b.name} ${one ? 'will read as one' : 'are close'}: ΔE ${pair.contrast.deltaE.toFixed(1)} where they touch${pair.contrast.byLightness ? '' : ', much the same in lightness'}.`,
          mend: mend ? mend.words : 'Choose colours further apart, in lightness first.',
          ...(mend ? { edit: mend.edit } : {})
        };
      })
  );
}

/** The closest pairs are mended one after the other; a mend of one often settles the next. */
const MENDED = 3;

const cupOf = (plan: Plan, id: string): Cup => plan.cups.find((c) => c.id === id)!;

/** How much a dose is changed by, in the order of how little it is. */
const FACTORS = [0.75, 1.33, 0.5, 2, 0.33, 3, 0.2, 5, 0.1, 0];
/** White let into the paler cup, percent of the material's basis, least first. */
const WHITES = [0.2, 0.4, 0.7, 1, 1.5, 2];

/**
 * The smallest change of one recipe line (or of white added to the paler cup) after which the two cups are clear of
 * each other, inside all limits; undefined where no single change does it.
 */
function leastChange(a: Cup, b: Cup, known: Knowing): { edit: Edit; words: string } | undefined {
  const lab = (cup: Cup) => {
    const tint = tintOf(cup, known.base, known.formula, known.colourants);
    return finished(labOf(deepReflectance(mixtureOf(tint))), tint.base.kind, 'dry', isInk(tint.doses)).lab;
  };
  const clear = (x: Cup, y: Cup) => contrastOf(lab(x), lab(y)).deltaE >= CLOSE;
  const at = (cup: Cup) => known.plan.cups.indexOf(cup);
  for (const factor of FACTORS) {
    for (const [cup, other] of [
      [a, b],
      [b, a]
    ] as const) {
      for (const [i, line] of cup.recipe.entries()) {
        const colourant = known.colourants.get(line.colourantId);
        const percent = Number((line.percent * factor).toPrecision(3));
        if (!colourant || percent > limitOf(colourant, known.base.kind).limit) continue;
        const changed = { ...cup, recipe: cup.recipe.map((l, k) => (k === i ? { ...l, percent } : l)) };
        if (!clear(changed, other)) continue;
        return {
          edit: { path: ['cups', at(cup), 'recipe', i, 'percent'], value: percent },
          words: `${cup.name}: ${percent} % ${colourant.name} instead of ${line.percent} %`
        };
      }
    }
  }
  const paler = lab(a).l >= lab(b).l ? a : b;
  const other = paler === a ? b : a;
  const white = whiteFor(known);
  for (const percent of white ? WHITES : []) {
    if (percent > limitOf(white!, known.base.kind).limit) break;
    const line = {
      id: `white-${paler.id}`.slice(0, 60),
      colourantId: white!.id,
      percent,
      of: 'supplied' as const
    };
    if (!clear({ ...paler, recipe: [...paler.recipe, line] }, other)) continue;
    return {
      edit: { path: ['cups', at(paler), 'recipe', paler.recipe.length], value: line },
      words: `${percent} % ${white!.name} into ${paler.name}`
    };
  }
  return undefined;
}

/** The palest colourant on the shelf that belongs in the material. */
function whiteFor({ colourants, base }: Knowing): Colourant | undefined {
  return [...colourants.values()]
    .filter((c) => c.form !== 'interference pearl' && compatibilityOf(c.form, base.kind).verdict !== 'avoid')
    .map((c) => ({
      c,
      light: labOf(deepReflectance(mixtureOf({ base: PLAIN, doses: [{ colourant: c, percent: 3 }] }))).l
    }))
    .filter((x) => x.light > 88)
    .sort((x, y) => y.light - x.light)[0]?.c;
}
const PLAIN = { kind: 'resin' as const, colour: '#f1ede0', density: 1.1 };
