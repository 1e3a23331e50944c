import type { WeighedCup, Weighing } from '../../batch';
import { proposeLetDown, type Scale } from '../../dosing';
import { superfatOf, type Base, type Formula } from '../../material';
import type { Problem } from '../../problem';
import { grams } from '../../quantity';
import type { Cup } from '../document';
import type { ResolvedPlan } from '../resolve';
import type { CommonMix, CupMix, WorkedCup, WorkedCups } from '../worked';

/** A cup of a plan as its rules see it. */
interface OfCup {
  cup: Cup;
  path: string;
  base: Base;
  formula: Formula;
  scales: readonly Scale[];
  /** A portion of a mix that several cups share. */
  split: boolean;
}

/** Everything that is wrong with a cup in all its mixes: said once, of the mix it is worst in. */
export function cupProblems(worked: WorkedCup, { scales }: ResolvedPlan): Problem[] {
  const [first] = worked.mixes;
  const { mix, parts } = worked.resolved;
  if (!mix || parts.length || !first || !scales.length || first.balance.pouredMl <= 0) return [];
  const of: OfCup = {
    cup: worked.cup,
    path: `plan/cups/${worked.cup.id}`,
    base: mix.base,
    formula: mix.formula,
    scales,
    split: mix.mix.feeds === 'split'
  };
  const smallest = worked.mixes.reduce((a, b) => (b.balance.mixed < a.balance.mixed ? b : a), first);
  return [...weighingProblems(of, smallest), ...splitProblems(of, first), ...bodyProblems(of, first)];
}

/** What is wrong with the mixes that cups are split from: said of the first turn of each. */
export const potProblems = (worked: WorkedCups, plan: ResolvedPlan): Problem[] =>
  worked.common
    .filter((m) => m.turn === 1)
    .flatMap((m) => commonProblems(m, plan.mixes.get(m.of)!.base, plan.scales));

/** Carriers in a cup split from a common mix: off the ratio past 2 % (resin), or a point of water to cement. */
function splitProblems({ cup, path, base }: OfCup, out: WeighedCup): Problem[] {
  return out.offRatio.flatMap((off): Problem[] => {
    const wc = base.kind === 'concrete' ? off.share * base.waterCement : undefined;
    if (wc === undefined ? off.share <= 0.02 : wc <= 0.01) return [];
    return [
      {
        code: 'split-off-ratio',
        level: 'warn',
        path: `${path}/recipe`,
        sentence:
          wc === undefined
            ? `${cup.name}, split from the common mix, ends with ${(off.share * 100).toFixed(2)} % more ${off.name}, past 2 %.`
            : `${cup.name}, split from the common mix, ends ${wc.toFixed(3)} higher in water/cement.`,
        mend: 'Mix this cup on its own, or use a drier form.'
      }
    ];
  });
}

/** Chips past what the body can fill between, and a reserve that colour has already met. */
function bodyProblems({ cup, path, formula }: OfCup, out: WeighedCup): Problem[] {
  const problems: Problem[] = [];
  const fillers = cup.fillers ?? [];
  const mass = fillers.reduce((s, f) => s + f.percent / 100, 0);
  const volume = fillers.reduce((s, f) => s + (f.percent / 100 / f.density) * out.density, 0);
  if (mass >= 1 || volume > MOST_CHIPS)
    problems.push({
      code: 'chips-too-many',
      level: 'warn',
      path: `${path}/fillers`,
      sentence: `${cup.name} is ${(volume * 100).toFixed(0)} % chips by volume; past ${MOST_CHIPS * 100} % the body cannot fill between them.`,
      mend: 'Use fewer chips, or smaller ones among the large.'
    });
  if (cup.reserve && formula.colourBefore)
    problems.push({
      code: 'reserve-after-colour',
      level: 'warn',
      path: `${path}/reserve`,
      sentence: `${cup.name}: colour goes into the dry powder here, so what is taken out later is coloured.`,
      mend: 'Mix the uncoloured part as a cup of its own.'
    });
  return problems;
}

/** Loose chips of mixed sizes pack to about six tenths by volume. */
const MOST_CHIPS = 0.6;

/** A common mix that its scale cannot hold, or too small to be sensible. */
function commonProblems(mix: CommonMix, base: Base, scales: readonly Scale[]): Problem[] {
  const largest = Math.max(...scales.map((s) => s.capacity));
  const problems: Problem[] = [];
  if (mix.balance.mixed > largest)
    problems.push(overloaded('The common mix', mix.balance.mixed, scales, `plan/mixes/${mix.of}`));
  if (base.kind === 'soap')
    problems.push(...superfatProblems('The mix', `plan/mixes/${mix.of}`, mix.weighings, base));
  return problems;
}

const overloaded = (name: string, mass: number, scales: readonly Scale[], path: string): Problem => {
  const largest = [...scales].sort((a, b) => b.capacity - a.capacity)[0]!;
  return {
    code: 'scale-overloaded',
    level: 'stop',
    path,
    sentence: `${name} weighs ${grams(mass, 1)} g; ${largest.name} ends at ${largest.capacity} g.`,
    mend: 'Choose a larger scale for this plan.'
  };
};

/** Weighings the scales cannot do, mixes too small to be sensible, and cups the scales cannot hold. */
function weighingProblems(of: OfCup, out: CupMix): Problem[] {
  const { cup, path, base, scales, split } = of;
  const problems = out.weighings
    .filter((w) => !w.weighable && w.kind !== 'reserve')
    .map((w) => notWeighable(of, w));
  const drowned = out.weighings.find((w) => w.kind === 'part' && w.exact < 0);
  if (drowned)
    problems.push({
      code: 'carrier-exceeds-part',
      level: 'stop',
      path: `${path}/recipe`,
      sentence: `${cup.name}: its colourants bring more ${drowned.name} than the whole cup holds.`,
      mend: 'Use a stronger let-down, or a drier form.'
    });
  if (base.kind === 'soap' && !split) problems.push(...superfatProblems(cup.name, path, out.weighings, base));
  const { mixed } = out.balance;
  if (!split && mixed < base.leastMix - scales[0]!.division / 2) problems.push(tooSmall(of, mixed));
  if (mixed > Math.max(...scales.map((s) => s.capacity)))
    problems.push(overloaded(cup.name, mixed, scales, path));
  if (out.ratioError > 0.02)
    problems.push({
      code: 'ratio-off',
      level: 'warn',
      path,
      sentence: `${cup.name}: rounded to this scale, the ratio is ${(out.ratioError * 100).toFixed(1)} % off.`,
      mend: 'Use a finer scale, or mix a bigger cup.'
    });
  return problems;
}

function notWeighable({ cup, path, scales }: OfCup, w: Weighing): Problem {
  const line = cup.recipe.find((r) => r.id === w.key);
  const scale = scales.find((s) => s.id === w.scaleId) ?? scales[0]!;
  const letDown = line && !w.letDown && !w.counted ? proposeLetDown(w.exact, 1, scale) : undefined;
  const spread = `± ${(w.spread * 100).toFixed(0)} %`;
  return {
    code: 'not-weighable',
    level: 'warn',
    path: w.kind === 'colourant' ? `${path}/recipe/${w.key}` : path,
    sentence: w.counted
      ? `${cup.name}: ${w.counted} of ${w.name} is a guess (${spread}).`
      : `${cup.name}: ${Number(w.exact.toPrecision(2))} g ${w.name} is not weighable on this scale (${spread}).`,
    mend: letDown
      ? `Weigh ${grams(letDown.dose, scale.division)} g of a 1 : ${letDown.parts} let-down`
      : 'Use a finer scale, or mix a bigger cup.',
    ...(letDown ? { edit: { path: ['cups', cup.id, 'recipe', w.key, 'letDown'], value: letDown.parts } } : {})
  };
}

const tooSmall = ({ cup, path, base, scales }: OfCup, mixed: number): Problem => ({
  code: 'mix-too-small',
  level: 'warn',
  path,
  sentence: `${cup.name} is a mix of ${grams(mixed, scales[0]!.division)} g; under ${base.leastMix} g the ratio and the stirring suffer.`,
  mend: `Mix ${base.leastMix} g and keep what is left`,
  edit: { path: ['cups', cup.id, 'atLeast'], value: base.leastMix }
});

/** Lye that rounding has moved: a superfat off by more than a point, or none left. */
function superfatProblems(
  name: string,
  path: string,
  weighings: WeighedCup['weighings'],
  base: Extract<Base, { kind: 'soap' }>
): Problem[] {
  const superfat = superfatOf(base, weighings);
  if (Math.abs(superfat - base.superfat) <= 0.01) return [];
  return [
    {
      code: 'superfat-moves',
      level: superfat < 0 ? 'stop' : 'warn',
      path,
      sentence: `${name}: rounded to this scale the superfat is ${(superfat * 100).toFixed(1)} %, not ${(base.superfat * 100).toFixed(1)} %.`,
      mend: 'Use a finer scale, or make a bigger batch and split it.'
    }
  ];
}
