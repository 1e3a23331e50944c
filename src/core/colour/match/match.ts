import { BANDS, WEIGHTS } from '../spectrum/bands';
import { lineWeighed, type Candidate, type LineWeighed, type WeighedOn } from './candidates';
import { descend } from './descend';
import { deltaE } from '../spectrum/difference';
import { hidingThickness } from '../pigment/hiding';
import { reflectanceDeep, reflectanceOver } from '../pigment/kubelka-munk';
import { opticsOfBase, opticsOfColourant, STATED_AT, type BaseLook } from '../pigment/optics';
import { mixtureOf } from '../pigment/pigment';
import { labOfXyz, lookOf, type Lab, type Look } from '../spectrum/spectrum';
import { reflectanceOfHex } from '../spectrum/upsample';

/** What is wanted: a colour in a base, deep or as a film over a backing (sRGB hex), from some colourants. */
export interface MatchOrder {
  target: Lab;
  base: BaseLook;
  film?: { mm: number; backing: string } | undefined;
  candidates: readonly Candidate[];
  /** Most colourant in all, g to 100 g of base. */
  mostInAll: number;
  /** How many colourants at most, 1..4. */
  colourants: number;
  /** A colour to see through is wanted; otherwise a deep answer has to hide in less than a piece is thick. */
  clear?: boolean | undefined;
}

/** One way to the colour: g as supplied to 100 g of base, and how far off it is. */
export interface MatchAnswer {
  lines: { colourantId: string; percent: number }[];
  deltaE: number;
  look: Look;
  /** Thickness from which it hides what is behind it, mm; null where it never does. */
  hides: number | null;
}

/** Differences of ΔE00 that count as equal: then fewer colourants win. */
const EQUAL = 0.3;
/** A deep colour that needs more than this to hide is another colour in any piece, mm. */
const A_PIECE = 50;
/** A line that nobody sees to be missing is no part of a recipe, ΔE00. */
const UNSEEN = 0.5;
/** Least amount of a colourant, as a share of its most. */
const SPECK = 1e-4;
/** How many of the best pairs and triples are taken further, and how many answers are given. */
const BEAM = [0, 0, 36, 24];
const ANSWERS = 5;

type Predict = (percents: readonly number[]) => Lab;

/** Predicts a recipe's colour fast: curves laid out once for the colourants at hand. */
function predictor(order: MatchOrder, chosen: readonly number[], prepared: Prepared): Predict {
  const { base, curves, backing } = prepared;
  const own = chosen.map((i) => curves[i]!);
  const mm = order.film?.mm;
  return (percents) => {
    let x = 0;
    let y = 0;
    let z = 0;
    for (let band = 0; band < BANDS; band++) {
      let k = base.k[band]!;
      let s = base.s[band]!;
      for (let j = 0; j < own.length; j++) {
        k += percents[j]! * own[j]!.k[band]!;
        s += percents[j]! * own[j]!.s[band]!;
      }
      const r = mm === undefined ? reflectanceDeep(k, s) : reflectanceOver(k, s, mm, backing![band]!);
      const w = WEIGHTS[band]!;
      x += w[0] * r;
      y += w[1] * r;
      z += w[2] * r;
    }
    return labOfXyz([x, y, z]);
  };
}

interface Prepared {
  base: { k: Float64Array; s: Float64Array };
  curves: { k: Float64Array; s: Float64Array }[];
  backing?: Float64Array;
}

function prepare(order: MatchOrder): Prepared {
  const crowd = order.base.density / STATED_AT;
  return {
    base: opticsOfBase(order.base),
    curves: order.candidates.map(({ colourant }) => {
      const o = opticsOfColourant(colourant);
      return { k: o.k.map((v) => v * crowd), s: o.s.map((v) => v * crowd) };
    }),
    ...(order.film ? { backing: reflectanceOfHex(order.film.backing) } : {})
  };
}

/** The target's own axes: lightness, chroma and hue, each in steps that ΔE00 counts as one near it. */
function metricAt(target: Lab): (lab: Lab) => [number, number, number] {
  const c = Math.hypot(target.a, target.b);
  const [ca, sa] = c > 1e-6 ? [target.a / c, target.b / c] : [1, 0];
  const sl = 1 + (0.015 * (target.l - 50) ** 2) / Math.sqrt(20 + (target.l - 50) ** 2);
  const sc = 1 + 0.045 * c;
  const sh = 1 + 0.015 * c;
  return ({ l, a, b }) => {
    const da = a - target.a;
    const db = b - target.b;
    return [(l - target.l) / sl, (da * ca + db * sa) / sc, (db * ca - da * sa) / sh];
  };
}

interface Fit {
  chosen: number[];
  percents: number[];
  error: number;
}

/**
 * Fits the amounts of some colourants from a start: damped Gauss–Newton on their logarithms, inside their limits.
 * The sum over its limit counts as error, so that a fit comes back inside.
 */
function fit(order: MatchOrder, chosen: number[], start: readonly number[], predict: Predict): Fit {
  const metric = metricAt(order.target);
  const most = chosen.map((i) => Math.log(order.candidates[i]!.most));
  const least = chosen.map((i, j) => {
    const { least: weighable } = order.candidates[i]!;
    return weighable ? Math.min(most[j]!, Math.log(weighable)) : most[j]! + Math.log(SPECK);
  });
  const residual = (u: readonly number[]): number[] => {
    const percents = u.map(Math.exp);
    const over = percents.reduce((s, p) => s + p, 0) / order.mostInAll - 1;
    return [...metric(predict(percents)), over > 0 ? 60 * over : 0];
  };
  const { at, error } = descend(
    start.map((p) => Math.log(Math.max(1e-9, p))),
    residual,
    { inside: (v, j) => Math.min(most[j]!, Math.max(least[j]!, v)), step: 1.5, rounds: 24, near: 1e-4 }
  );
  return { chosen, percents: at.map(Math.exp), error };
}

/** Amounts tried before the fitting begins, as shares of the most. */
const STARTS = [1, 0.3, 0.08, 0.02, 0.004];

function best(
  order: MatchOrder,
  chosen: number[],
  starts: readonly (readonly number[])[],
  prepared: Prepared
): Fit {
  const predict = predictor(order, chosen, prepared);
  const metric = metricAt(order.target);
  const rough = starts
    .map((s) => ({ s, e: metric(predict(s)).reduce((sum, v) => sum + v * v, 0) }))
    .sort((x, y) => x.e - y.e);
  return rough
    .slice(0, chosen.length > 1 ? 2 : 1)
    .map(({ s }) => fit(order, chosen, s, predict))
    .reduce((x, y) => (y.error < x.error ? y : x));
}

/**
 * Finds the few best recipes for a colour. A generator, so that whoever runs it can show how far it is (yields
 * 0..1) and stop it: singles and pairs all, then the best pairs and triples taken further.
 */
export function* matching(order: MatchOrder): Generator<number, MatchAnswer[]> {
  const n = order.candidates.length;
  const prepared = prepare(order);
  const most = (i: number) => order.candidates[i]!.most;
  const found: Fit[] = [];
  const tiers = Math.max(1, Math.min(4, order.colourants));
  for (let i = 0; i < n; i++)
    found.push(
      best(
        order,
        [i],
        STARTS.map((s) => [s * most(i)]),
        prepared
      )
    );
  yield 1 / (8 * tiers);
  let tier = [...found];
  for (let size = 2; size <= tiers && size <= n; size++) {
    const before = size === 2 ? tier : [...tier].sort((x, y) => x.error - y.error).slice(0, BEAM[size - 1]);
    const seen = new Set<string>();
    tier = [];
    for (const [at, parent] of before.entries()) {
      for (let i = 0; i < n; i++) {
        if (parent.chosen.includes(i)) continue;
        const chosen = [...parent.chosen, i].sort((a, b) => a - b);
        const key = chosen.join();
        if (seen.has(key)) continue;
        seen.add(key);
        const starts =
          size === 2
            ? STARTS.flatMap((a) => STARTS.map((b) => [a * most(chosen[0]!), b * most(chosen[1]!)]))
            : [0.3, 0.03, 0.003].map((s) =>
                chosen.map((c) => (c === i ? s * most(i) : parent.percents[parent.chosen.indexOf(c)]!))
              );
        tier.push(best(order, chosen, starts, prepared));
      }
      yield (size - 1 + (at + 1) / before.length) / tiers;
    }
    found.push(...tier);
  }
  return answers(order, found, prepared);
}

/**
 * The best few: among equals the fewest colourants, then the smallest difference; each set of colourants once, lines
 * that nobody sees to be missing left out, and nothing that a piece is too thin for.
 */
function answers(order: MatchOrder, found: readonly Fit[], prepared: Prepared): MatchAnswer[] {
  const inside = found.filter((f) => f.percents.reduce((s, p) => s + p, 0) <= order.mostInAll * 1.0001);
  const shortlist = [...inside].sort((x, y) => x.error - y.error).slice(0, 80);
  const singles = inside
    .filter((f) => f.chosen.length === 1)
    .sort((x, y) => x.error - y.error)
    .slice(0, 2);
  const sets = new Map<string, Fit>();
  for (const f of [...shortlist, ...singles]) {
    const plain = withoutSpecks(order, f, prepared);
    const key = plain.chosen.join();
    const before = sets.get(key);
    if (!before || plain.error < before.error) sets.set(key, plain);
  }
  const all = [...sets.values()].map((f): MatchAnswer => {
    const lab = predictor(order, f.chosen, prepared)(f.percents);
    return {
      lines: f.chosen
        .map((i, j) => ({ colourantId: order.candidates[i]!.colourant.id, percent: f.percents[j]! }))
        .sort((x, y) => y.percent - x.percent),
      deltaE: deltaE(lab, order.target),
      look: lookOf(lab),
      hides: hidesAt(order, f)
    };
  });
  const fit = order.film || order.clear ? all : all.filter((a) => a.hides !== null && a.hides <= A_PIECE);
  const sorted = fit.sort(
    (x, y) =>
      Math.floor(x.deltaE / EQUAL) - Math.floor(y.deltaE / EQUAL) ||
      x.lines.length - y.lines.length ||
      // A deep colour that hides soon is one in every piece; one that never does needs a deep cup.
      (order.film ? 0 : (x.hides ?? 1e6) - (y.hides ?? 1e6)) ||
      x.deltaE - y.deltaE
  );
  return withoutEchoes(sorted).slice(0, ANSWERS);
}

/** A recipe without the lines that nobody sees to be missing, the least seen first; one line always stays. */
function withoutSpecks(order: MatchOrder, f: Fit, prepared: Prepared): Fit {
  const lab = predictor(order, f.chosen, prepared)(f.percents);
  let kept = f;
  while (kept.chosen.length > 1) {
    const fewer = kept.chosen.map((_, j): Fit => {
      const chosen = kept.chosen.toSpliced(j, 1);
      const percents = kept.percents.toSpliced(j, 1);
      const seen = predictor(order, chosen, prepared)(percents);
      return { chosen, percents, error: deltaE(seen, lab) };
    });
    const least = fewer.reduce((x, y) => (y.error < x.error ? y : x));
    if (least.error > UNSEEN) break;
    kept = least;
  }
  if (kept === f) return f;
  const size = metricAt(order.target)(predictor(order, kept.chosen, prepared)(kept.percents));
  return { ...kept, error: size.reduce((s, v) => s + v * v, 0) };
}

/** Without answers that are one before them with something added, and no nearer for it. */
const withoutEchoes = (sorted: readonly MatchAnswer[]): MatchAnswer[] =>
  sorted.filter(
    (answer, i) =>
      !sorted
        .slice(0, i)
        .some(
          (before) =>
            before.deltaE <= answer.deltaE + UNSEEN &&
            before.lines.every((l) => answer.lines.some((own) => own.colourantId === l.colourantId))
        )
  );

function hidesAt(order: MatchOrder, f: Fit): number | null {
  const doses = f.chosen.map((i, j) => ({
    colourant: order.candidates[i]!.colourant,
    percent: f.percents[j]!
  }));
  const mm = hidingThickness(mixtureOf({ base: order.base, doses }));
  return Number.isFinite(mm) ? mm : null;
}

/**
 * Runs a match to its end.
 * @example matchColour({ target: labOfHex('#1f4a78'), base: PLAIN_BASE, ...candidatesFor(base('clear-quick'), formula('clear-quick'), [colourant('blue-paste')]), colourants: 1, clear: false })[0].lines[0].colourantId // 'blue-paste'
 */
export function matchColour(order: MatchOrder): MatchAnswer[] {
  const steps = matching(order);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/**
 * Predicts recipes of some of an order's candidates (by their places) fast: the same reckoning the search uses.
 * @example predictorFor({ target: labOfHex('#5b7d95'), base: PLAIN_BASE, ...candidatesFor(base('clear-quick'), formula('clear-quick'), [colourant('blue-paste')]), colourants: 1, clear: false }, [0])([0]).l // 93.733
 */
export const predictorFor = (
  order: MatchOrder,
  chosen: readonly number[]
): ((percents: readonly number[]) => Lab) => predictor(order, chosen, prepare(order));

/**
 * A recipe as a scale can weigh it for a batch, every line within tolerance: grams of each as it is or as its let-down,
 * and the difference that leaves.
 */
export function asWeighed(
  answer: MatchAnswer,
  order: MatchOrder,
  batch: number,
  scale: WeighedOn
): { grams: (LineWeighed & { colourantId: string })[]; deltaE: number } {
  const grams = answer.lines.map((l) => ({
    colourantId: l.colourantId,
    ...lineWeighed((l.percent * batch) / 100, scale)
  }));
  const chosen = grams.map((g) => order.candidates.findIndex((c) => c.colourant.id === g.colourantId));
  const lab = predictorFor(order, chosen)(grams.map((g) => (g.delivers / batch) * 100));
  return { grams, deltaE: deltaE(lab, order.target) };
}
