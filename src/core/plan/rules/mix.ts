import type { Found, Mend } from '../../problem';
import { HEADROOM, vesselFor, type Vessel } from '../../shelf/vessel';
import type { Cup } from '../document';
import type { FilledStrand } from '../fill';
import { safeGrams, tooHot } from '../heat';
import { inEqualLayers } from '../layering';
import { eachByItself } from '../mixing';
import type { ResolvedMix, ResolvedPlan } from '../resolve';
import type { CommonMix, CupMix, WorkedCups } from '../worked';
import { roomIn } from '../room';

/** One vessel full of mixed material: a cup mixed on its own, a portion, or the pot that portions come from. */
interface Batch {
  path: string;
  name: string;
  mix: ResolvedMix;
  /** The cups that it is poured from. */
  cups: readonly Cup[];
  /** In all its turns, or mixes, the largest and the smallest of them, g. */
  largest: CupMix | CommonMix;
  smallest: CupMix | CommonMix;
  turns: number;
  /** Where its turns are asked for; a portion takes those of its pot. */
  pot: boolean;
  portion: boolean;
}

/** What is wrong with a whole mix, whatever it is poured into: its heat, its vessel, its least size. */
export function mixProblems(
  plan: ResolvedPlan,
  worked: WorkedCups,
  filled: readonly FilledStrand[]
): Found[] {
  if (!plan.scales.length) return [];
  return batchesOf(plan, worked).flatMap((b) => [
    ...overheats(plan, b, filled),
    ...vesselTooSmall(plan, b),
    ...tooSmall(plan, b, worked)
  ]);
}

function batchesOf(plan: ResolvedPlan, { cups, common }: WorkedCups): Batch[] {
  const own = cups.flatMap(({ cup, resolved, mixes }): Batch[] => {
    const poured = mixes.filter((m) => m.balance.pouredMl > 0);
    if (!resolved.mix || resolved.parts.length || !poured.length) return [];
    const portion = resolved.mix.mix.feeds === 'split';
    return [
      {
        path: `plan/cups/${cup.id}`,
        name: cup.name,
        mix: resolved.mix,
        cups: [cup],
        pot: false,
        portion,
        ...extremes(poured)
      }
    ];
  });
  const pots = [...plan.mixes.values()].flatMap((mix): Batch[] => {
    const turns = common.filter((m) => m.of === mix.mix.id && m.balance.mixed > 0);
    if (!turns.length) return [];
    const from = plan.cups
      .filter((c) => 'mix' in c.cup.from && c.cup.from.mix === mix.mix.id)
      .map((c) => c.cup);
    return [
      {
        path: `plan/mixes/${mix.mix.id}`,
        name: 'The mix',
        mix,
        cups: from,
        pot: true,
        portion: false,
        ...extremes(turns)
      }
    ];
  });
  return [...pots, ...own];
}

function extremes<M extends CupMix | CommonMix>(mixes: readonly M[]) {
  const by = (better: (a: M, b: M) => boolean) => mixes.reduce((a, b) => (better(b, a) ? b : a));
  return {
    largest: by((a, b) => a.balance.mixed > b.balance.mixed),
    smallest: by((a, b) => a.balance.mixed < b.balance.mixed),
    turns: mixes.length
  };
}

const whole = (x: number) => x.toFixed(0);

/** More mixed resin in one vessel than stays cool. */
function overheats(plan: ResolvedPlan, b: Batch, filled: readonly FilledStrand[]): Found[] {
  const room = roomIn(plan.plan.bench);
  const { mixed } = b.largest.balance;
  // A cup that stays cool needs no search for what would.
  if (!tooHot(b.mix, mixed, room)) return [];
  const safe = safeGrams(b.mix, room);
  const peak = b.mix.behaviour.cupPeak(mixed, room);
  return [
    {
      code: 'cup-overheats',
      level: 'warn',
      path: b.path,
      sentence: `${b.name}: ${whole(mixed)} g of ${b.mix.base.name} in one cup heats itself to about ${whole(peak)} °C; up to ${whole(safe)} g is safe.`,
      mend: 'Mix less at once: in several mixes, or in layers with a gate between.',
      tries: [
        ...moreTurns(b, Math.ceil((mixed * b.turns) / safe)),
        ...moreLayers(plan, b, filled, mixed / safe)
      ]
    }
  ];
}

/** Made in so many turns, or one or two more: what clings is lost in each. */
function moreTurns(b: Batch, n: number): Mend[] {
  if (b.portion) return [];
  return [n, n + 1, n + 2]
    .filter((turns) => turns > b.turns && turns <= 60)
    .map((turns) => ({
      words: `Make it in ${turns} mixes`,
      edit: { path: ['mixes', b.mix.mix.id, 'turns'], value: turns }
    }));
}

/** Its deepest layer poured in several, each mixed for itself; a split mix made cup by cup first. */
function moreLayers(plan: ResolvedPlan, b: Batch, filled: readonly FilledStrand[], over: number): Mend[] {
  const cupIds = new Set(b.cups.map((c) => c.id));
  const laid = filled.flatMap((strand) =>
    strand.layers.filter((l) => cupIds.has(l.cupId)).map((layer) => ({ strand, layer }))
  );
  if (!laid.length) return [];
  const { strand, layer } = laid.reduce((x, y) => (y.layer.each > x.layer.each ? y : x));
  const step = plan.steps.find((s) => s.step.id === layer.stepId);
  if (!step) return [];
  const from = b.mix.mix.feeds === 'split' ? eachByItself(plan.plan, b.mix.base.id) : plan.plan;
  const counts = [0, 1, 2].map((more) => Math.ceil(over) + more);
  return counts.flatMap((n): Mend[] => {
    const value = n > 1 && inEqualLayers(from, { step, layer, strand, mix: b.mix }, n);
    if (!value) return [];
    const words = `Pour it in ${n} layers, each mixed for itself, a gate between`;
    return [{ words, edit: { path: [], value } }];
  });
}

/** A mix that no vessel at hand stirs, or more than the one that was chosen does. */
function vesselTooSmall(plan: ResolvedPlan, b: Batch): Found[] {
  const { vessel, ml } = b.largest;
  const largest = vessel ?? [...plan.vessels].sort((x, y) => y.ml - x.ml)[0];
  if (!largest || ml <= stirs(largest) + 1e-6) return [];
  return [
    {
      code: 'vessel-too-small',
      level: 'warn',
      path: b.path,
      sentence: `${b.name} is ${whole(ml)} ml; ${largest.name} stirs ${whole(stirs(largest))} ml, a third left free.`,
      mend: 'Use a larger vessel, or mix less at once.',
      tries: [...otherVessel(plan, b, ml), ...moreTurns(b, Math.ceil((ml * b.turns) / stirs(largest)))]
    }
  ];
}

const stirs = (v: Vessel) => v.ml * (1 - HEADROOM);

/** The smallest vessel of the shelf that holds it. */
function otherVessel({ plan, allVessels }: ResolvedPlan, b: Batch, ml: number): Mend[] {
  const fits = vesselFor(ml, [...allVessels.values()]);
  if (!fits) return [];
  const words = `Mix it in the ${fits.name}`;
  const path = b.pot ? ['mixes', b.mix.mix.id, 'vesselId'] : ['cups', b.cups[0]!.id, 'vesselId'];
  const atHand = [...new Set([...plan.bench.vesselIds, fits.id])];
  return [
    { words, edit: { path, value: fits.id } },
    { words: `${words}, at hand from now on`, edit: { path: ['bench', 'vesselIds'], value: atHand } }
  ];
}

/** A joining of reactive parts that is too little to measure and stir; a portion's parts were joined in its pot. */
function tooSmall(plan: ResolvedPlan, b: Batch, worked: WorkedCups): Found[] {
  const { mixed } = b.smallest.balance;
  const { base } = b.mix;
  if (b.portion || mixed >= base.leastMix - plan.scales[0]!.division / 2) return [];
  return [
    {
      code: 'mix-too-small',
      level: 'warn',
      path: b.path,
      sentence: `${b.name} is a mix of ${Number(mixed.toFixed(1))} g; under ${base.leastMix} g the ratio and the stirring suffer.`,
      mend: 'Cast more at once.',
      tries: atLeast(b, worked)
    }
  ];
}

/** Enough asked of it, and what is left kept: of a pot, in the cup that takes the most of it. */
function atLeast(b: Batch, { cups }: WorkedCups): Mend[] {
  const { leastMix } = b.mix.base;
  const words = `Mix ${leastMix} g and keep what is left`;
  const own = cups.filter((w) => b.cups.includes(w.cup));
  const sizeOf = (w: (typeof own)[number]) => w.mixes.reduce((s, m) => s + m.balance.mixed, 0);
  const cup = own.reduce((x, y) => (sizeOf(y) > sizeOf(x) ? y : x), own[0]!);
  const short = (leastMix - b.smallest.balance.mixed) * b.turns;
  // Whole grams, and a little more where rounding falls short of them again.
  return [leastMix * b.turns, Math.ceil(sizeOf(cup) + short), Math.ceil((sizeOf(cup) + short) * 1.02)].map(
    (grams) => ({
      words,
      edit: { path: ['cups', cup.cup.id, 'atLeast'], value: grams }
    })
  );
}
