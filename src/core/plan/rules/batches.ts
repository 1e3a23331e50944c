import { type About, inPlan, type Fix } from '../../problem';
import type { Cup } from '../../document';
import type { ResolvedMix, ResolvedPlan } from '../resolve';
import type { CommonMix, CupMix, AllMixes } from '../weighing/weighed';

/** One vessel full of mixed material: a cup mixed on its own, a portion, or the pot that portions come from. */
export interface Batch {
  about: About;
  name: string;
  mix: ResolvedMix;
  /** The cups that it is poured from. */
  cups: readonly Cup[];
  /** In all its turns, or mixes, the largest and the smallest of them, g. */
  largest: CupMix | CommonMix;
  smallest: CupMix | CommonMix;
  turns: number;
  /** Where its turns are asked for; a portion takes those of its pot. */
  splitMix: boolean;
  portion: boolean;
}

/** Every such batch of a plan: the pots first. */
export function batchesOf(plan: ResolvedPlan, { cups, common }: AllMixes): Batch[] {
  const own = cups.flatMap(({ cup, resolved, mixes }): Batch[] => {
    const poured = mixes.filter((m) => m.balance.pouredMl > 0);
    if (!resolved.mix || resolved.parts.length || !poured.length) return [];
    const portion = resolved.mix.mix.feeds === 'split';
    return [
      {
        about: inPlan('cups', cup.id),
        name: cup.name,
        mix: resolved.mix,
        cups: [cup],
        splitMix: false,
        portion,
        ...extremes(poured)
      }
    ];
  });
  const splitMixes = [...plan.mixes.values()].flatMap((mix): Batch[] => {
    const turns = common.filter((m) => m.of === mix.mix.id && m.balance.mixed > 0);
    if (!turns.length) return [];
    const from = plan.cups
      .filter((c) => 'mix' in c.cup.from && c.cup.from.mix === mix.mix.id)
      .map((c) => c.cup);
    return [
      {
        about: inPlan('mixes', mix.mix.id),
        name: 'The mix',
        mix,
        cups: from,
        splitMix: true,
        portion: false,
        ...extremes(turns)
      }
    ];
  });
  return [...splitMixes, ...own];
}

function extremes<M extends CupMix | CommonMix>(mixes: readonly M[]) {
  const by = (better: (a: M, b: M) => boolean) => mixes.reduce((a, b) => (better(b, a) ? b : a));
  return {
    largest: by((a, b) => a.balance.mixed > b.balance.mixed),
    smallest: by((a, b) => a.balance.mixed < b.balance.mixed),
    turns: mixes.length
  };
}

/** Made in so many turns, or one or two more: what clings is lost in each. */
export function moreTurns(b: Batch, n: number): Fix[] {
  return [n, n + 1, n + 2]
    .filter((turns) => turns > b.turns && turns <= 60)
    .map((turns) => ({
      words: `Make it in ${turns} mixes`,
      edit: { path: ['mixes', b.mix.mix.id, 'turns'], value: turns }
    }));
}

/** Grams, ml or degrees, without decimals. */
