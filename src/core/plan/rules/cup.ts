import { chipsByVolume, MOST_CHIPS, mostChips, type WeighedCup, type Weighing } from '../../batch';
import { decimalsOf, figure } from '../../quantity';
import { COLOUR_TOLERANCE, PART_TOLERANCE, proposedLetDowns, type Scale } from '../../dosing';
import { materials, RATIO_TOLERANCE, type Base, type Formula } from '../../material';
import { type About, inPlan, type Diagnostic, type Fix } from '../../problem';
import type { Cup } from '../../document';
import { eachByItself, splitAll } from '../../document/mixing';

import type { ResolvedPlan } from '../resolve';
import { reserveAfterColour } from './reserve-after-colour';
import { gramsIn, type CommonMix, type CupMix, type CupInMixes, type AllMixes } from '../weighing/weighed';

/** A cup of a plan as its rules see it. */
interface OfCup {
  cup: Cup;
  about: About;
  base: Base;
  formula: Formula;
  scales: readonly Scale[];
  plan: ResolvedPlan;
  /** A portion of a mix that several cups share. */
  split: boolean;
}

/** Everything that is wrong with a cup in all its mixes: said once, of the mix it is worst in. */
export function cupProblems(allMixes: CupInMixes, plan: ResolvedPlan): Diagnostic[] {
  const { scales } = plan;
  const [first] = allMixes.mixes;
  const { mix, parts } = allMixes.resolved;
  if (!mix || parts.length || !first || !scales.length || first.balance.pouredMl <= 0) return [];
  const of: OfCup = {
    cup: allMixes.cup,
    about: inPlan('cups', allMixes.cup.id),
    base: mix.base,
    formula: mix.formula,
    scales,
    plan,
    split: mix.mix.feeds === 'split'
  };
  const smallest = allMixes.mixes.reduce((a, b) => (b.balance.mixed < a.balance.mixed ? b : a), first);
  return [...weighingProblems(of, smallest), ...splitProblems(of, first), ...bodyProblems(of, first)];
}

/** What is wrong with the mixes that cups are split from: said of the first turn of each. */
export const splitMixProblems = (allMixes: AllMixes, plan: ResolvedPlan): Diagnostic[] =>
  allMixes.common
    .filter((m) => m.turn === 1)
    .flatMap((m) => commonProblems(m, plan.mixes.get(m.of)!.base, plan));

/** Carriers in a cup split from a common mix: off the ratio further than its material bears. */
function splitProblems({ cup, base, plan }: OfCup, out: WeighedCup): Diagnostic[] {
  return out.offRatio.flatMap((off): Diagnostic[] => {
    const ends = portionEnd(base, off);
    return ends === undefined
      ? []
      : [
          {
            code: 'split-off-ratio',
            by: off.share,
            level: 'warn',
            ...inPlan('cups', cup.id, 'recipe'),
            sentence: `${cup.name}, divided from one mix, ${ends}.`,
            mend: 'Mix this cup on its own, or use a drier form.',
            fixes: [
              {
                words: 'Mix each colour on its own',
                edit: { path: [], value: eachByItself(plan.plan, base.id) }
              }
            ]
          }
        ];
  });
}

/** How a portion ends that its colour brings more of a part; undefined within what the material bears. */
function portionEnd(base: Base, off: WeighedCup['offRatio'][number]): string | undefined {
  const { portionOff } = materials.of(base);
  if (portionOff) return portionOff(base, off.share)?.words;
  return off.share <= RATIO_TOLERANCE
    ? undefined
    : `ends ${(off.share * 100).toFixed(1)} % too rich in ${off.name}, past ${RATIO_TOLERANCE * 100} %`;
}

/** Chips past what the body can fill between, and a reserve that colour has already met. */
function bodyProblems({ cup, formula }: OfCup, out: WeighedCup): Diagnostic[] {
  const problems: Diagnostic[] = [];
  const fillers = cup.fillers ?? [];
  const mass = fillers.reduce((s, f) => s + f.percent / 100, 0);
  const volume = chipsByVolume(fillers, out.density);
  if (mass >= 1 || volume > MOST_CHIPS)
    problems.push({
      code: 'chips-too-many',
      level: 'warn',
      ...inPlan('cups', cup.id, 'fillers'),
      sentence: `${cup.name} is ${(volume * 100).toFixed(0)} % chips by volume; past ${MOST_CHIPS * 100} % the body cannot fill between them.`,
      mend: 'Use fewer chips, or smaller ones among the large.',
      fixes: [fewerChips(cup, formula.density)]
    });
  return [...problems, ...reserveAfterColour(cup, formula)];
}

/** As many chips as the body fills between, each sort in the same measure less; `body` is its density, g/ml. */
function fewerChips({ id, fillers = [] }: Cup, body: number): Fix {
  const whole = fillers.reduce((s, f) => s + f.percent, 0);
  const most = mostChips(fillers, body);
  return {
    words: `Use ${most} % chips`,
    edit: {
      path: ['cups', id, 'fillers'],
      value: fillers.map((f) => ({ ...f, percent: Math.floor((10 * most * f.percent) / whole) / 10 }))
    }
  };
}

/** A common mix that its scale cannot hold, that rounding moves off its ratio, or with a part too small to weigh. */
function commonProblems(mix: CommonMix, base: Base, plan: ResolvedPlan): Diagnostic[] {
  const about = inPlan('mixes', mix.of);
  const small = mix.weighings.filter((w) => w.kind === 'part' && !w.weighable);
  return [
    ...overloaded('The mix', mix, { about, plan }),
    ...roundedProblems('The mix', about, mix.held, { base, plan }),
    ...small.map((w) => tooLittle('The mix', w, { about, plan, fixes: finerScales(plan) })),
    ...ratioOff('The mix', mix, { about, plan, fixes: finerScales(plan) })
  ];
}

/** Where a weighing problem stands, and what may mend it. */
interface Said {
  about: About;
  plan: ResolvedPlan;
  fixes?: Fix[];
}

/** More in one vessel than the largest scale of the plan holds. */
function overloaded(name: string, { balance }: CommonMix | CupMix, { about, plan }: Said): Diagnostic[] {
  const largest = [...plan.scales].sort((a, b) => b.capacity - a.capacity)[0]!;
  if (balance.mixed <= largest.capacity) return [];
  return [
    {
      code: 'scale-overloaded',
      by: balance.mixed,
      level: 'stop',
      ...about,
      sentence: `${name} weighs ${figure(balance.mixed, 'g', 0)}; ${largest.name} ends at ${figure(largest.capacity, 'g')}.`,
      mend: 'Choose a larger scale for this plan.',
      fixes: largerScales(plan, balance.mixed)
    }
  ];
}

/** Scales of the shelf that hold so much, the finest first, beside the plan's own. */
function largerScales({ plan, allScales }: ResolvedPlan, grams: number): Fix[] {
  return [...allScales.values()]
    .filter((s) => s.capacity >= grams && !plan.bench.scaleIds.includes(s.id))
    .sort((a, b) => a.division - b.division)
    .map((s) => ({
      words: `Weigh it on the ${s.name}`,
      edit: { path: ['bench', 'scaleIds'], value: [...plan.bench.scaleIds, s.id].slice(-8) }
    }));
}

/** Rounded to its scale, the parts are further off their ratio than the material bears. */
const ratioOff = (name: string, { ratioError }: CommonMix | CupMix, { about, fixes }: Said): Diagnostic[] =>
  ratioError <= RATIO_TOLERANCE
    ? []
    : [
        {
          code: 'ratio-off',
          by: ratioError,
          level: 'warn',
          ...about,
          sentence:
            ratioError < 1
              ? `${name}: rounded to this scale, the ratio is ${(ratioError * 100).toFixed(1)} % off.`
              : `${name}: a part of it is less than this scale can show, so its ratio would be lost.`,
          mend: 'Use a finer scale, or mix a bigger batch.',
          fixes: fixes ?? []
        }
      ];

/** One batch of a cup's base for all cups of it: what is too little for a scale is weighed once. */
const oneBatch = ({ plan }: ResolvedPlan, base: Base): Fix[] => [
  { words: 'Mix one batch, then divide and colour it', edit: { path: [], value: splitAll(plan, base.id) } }
];

/** Weighings the scales cannot do, mixes too small to be sensible, and cups the scales cannot hold. */
function weighingProblems(of: OfCup, out: CupMix): Diagnostic[] {
  const { cup, about, base, split, plan } = of;
  const problems = out.weighings
    .filter((w) => !w.weighable && w.kind !== 'reserve')
    .map((w) => notWeighable(of, w, out.balance.mixed));
  const drowned = out.weighings.find((w) => w.kind === 'part' && w.exact < 0);
  if (drowned)
    problems.push({
      code: 'carrier-exceeds-part',
      level: 'stop',
      ...inPlan('cups', cup.id, 'recipe'),
      sentence: `${cup.name}: its colourants bring more ${drowned.name} than the whole cup holds.`,
      mend: 'Thin it less, or take a drier form.'
    });
  if (!split) problems.push(...roundedProblems(cup.name, about, out.held, { base, plan }));
  const fixes = [...finerScales(plan), ...(split ? [] : oneBatch(plan, base))];
  return [
    ...problems,
    ...overloaded(cup.name, out, { about, plan }),
    ...ratioOff(cup.name, out, { about, plan, fixes })
  ];
}

function notWeighable(
  { cup, about, base, formula, scales, plan, split }: OfCup,
  w: Weighing,
  mixed: number
): Diagnostic {
  const line = cup.recipe.find((r) => r.id === w.key);
  const scale = scales.find((s) => s.id === w.scaleId) ?? scales[0]!;
  const wanted = line && !w.letDown && !w.counted ? proposedLetDowns(w.exact, scale) : [];
  const letDowns = wanted.map(({ parts, dose }) => ({
    words: `Stir 1 part into ${parts} of the mix, and weigh ${figure(dose, 'g', decimalsOf(scale.division))} of that`,
    edit: { path: ['cups', cup.id, 'recipe', w.key, 'letDown'], value: parts }
  }));
  return tooLittle(cup.name, w, {
    about: w.kind === 'colourant' ? inPlan('cups', cup.id, 'recipe', w.key) : about,
    plan,
    fixes: [
      ...letDowns,
      ...finerScales(plan),
      ...(w.kind === 'part' && !split ? oneBatch(plan, base) : []),
      ...(w.counted ? [] : bigger(cup, enoughFor(w, formula, mixed)))
    ]
  });
}

/** Grams of a mix of which that weighing is weighable; a little more, so that rounding does not fall short of it again. */
function enoughFor(w: Weighing, formula: Formula, mixed: number): number {
  const part = formula.parts.find((p) => p.key === w.key);
  const tolerance = w.kind === 'part' ? (part?.tolerance ?? PART_TOLERANCE) : COLOUR_TOLERANCE;
  return Math.ceil(((mixed * w.spread) / tolerance) * 1.02);
}

/** Leftovers of a cup past which nobody mixes more to weigh better, g. */
const MOST_LEFT = 300;

const bigger = (cup: Cup, grams: number): Fix[] =>
  grams > MOST_LEFT
    ? []
    : [
        {
          words: `Mix ${figure(grams, 'g')} of it and keep what is left`,
          edit: { path: ['cups', cup.id, 'atLeast'], value: grams }
        }
      ];

/** Less than its scale can weigh, or than can be counted. */
function tooLittle(name: string, w: Weighing, { about, fixes }: Said): Diagnostic {
  const spread = `± ${(w.spread * 100).toFixed(0)} %`;
  return {
    code: 'not-weighable',
    by: w.spread,
    level: 'warn',
    ...about,
    sentence: w.counted
      ? `${name}: ${w.counted} of ${w.name} is a guess (${spread}).`
      : `${name}: ${figure(Number(w.exact.toPrecision(2)), 'g')} ${w.name} is not weighable on this scale (${spread}).`,
    mend: 'Use a finer scale, or mix a bigger batch.',
    fixes: fixes ?? []
  };
}

/** Scales of the shelf that read finer than the plan's own: beside it for what is small, or in its place. */
function finerScales({ plan, scales, allScales }: ResolvedPlan): Fix[] {
  const ids = plan.bench.scaleIds;
  const finer = [...allScales.values()].filter((s) => s.division < scales[0]!.division);
  return finer
    .sort((a, b) => a.division - b.division)
    .flatMap((s) => [
      { words: `Weigh it on the ${s.name}`, value: [...ids.filter((id) => id !== s.id), s.id] },
      { words: `Weigh on the ${s.name}`, value: [s.id, ...ids.filter((id) => id !== s.id)] }
    ])
    .map(({ words, value }) => ({ words, edit: { path: ['bench', 'scaleIds'], value } }));
}

/** What rounding has moved beyond what the material bears: a superfat off by more than a point, or none left. */
function roundedProblems(
  name: string,
  about: About,
  held: WeighedCup['held'],
  { base, plan }: { base: Base; plan: ResolvedPlan }
): Diagnostic[] {
  const off = materials.of(base).roundedOff?.(base, gramsIn(held));
  if (!off) return [];
  return [
    {
      code: 'superfat-moves',
      level: off.level,
      ...about,
      sentence: `${name}: rounded to this scale ${off.words}.`,
      mend: 'Use a finer scale, or make a bigger batch and split it.',
      fixes: [
        ...finerScales(plan),
        { words: 'Split one batch instead', edit: { path: [], value: splitAll(plan.plan, base.id) } }
      ]
    }
  ];
}
