import type { Indexed, Score } from '../schedule';
import { grouped } from '../grouped';

/**
 * The sitting that each pour belongs to, from 1, for mixes that are poured in more than one: between two of them the hands wait
 * longer than the mix stays open, so that it has to be made again. Empty where every mix is poured in one.
 */
export function sittingsOf({ blocks, windows }: Score, timing: Indexed): Map<string, number> {
  const pours = blocks.filter((b) => b.act === 'pour' && b.mixId !== undefined);
  const sittings = new Map<string, number>();
  for (const [made, own] of grouped(pours, (b) => madeFor(b.mixId!, timing))) {
    const isOf = (mixId: string) => madeFor(mixId, timing).includes(made);
    const open = Math.min(
      ...windows.filter((w) => isOf(w.mixId)).map((w) => Math.max(w.to, w.gels) - w.zero)
    );
    for (const [stepId, sitting] of stepsInSittings(own, open))
      for (const p of timing.poursOf(stepId))
        if (timing.mixesFor(p.pourId).some((m) => isOf(m.mixId)))
          sittings.set(p.pourId, Math.max(sitting, sittings.get(p.pourId) ?? 1));
  }
  return sittings;
}

/** The one joining of parts that a mix is poured from: a turn of its pot, or its own; a cup filled from several has none. */
function madeFor(mixId: string, timing: Indexed): string[] {
  const mix = timing.mixes.get(mixId);
  const pot = mix && timing.splitMixOf(mix);
  if (pot) return [pot.mixId];
  return mix && !mix.filledFrom ? [mix.mixId] : [];
}

/** Steps of one mix by the sitting they are poured in; none where all are poured in one. */
function stepsInSittings(pours: readonly Score['blocks'][number][], open: number): Map<string, number> {
  const steps = new Map<string, number>();
  let [sitting, until] = [1, -Infinity];
  for (const b of [...pours].sort((x, y) => x.from - y.from)) {
    if (until > -Infinity && b.from - until > open) sitting++;
    until = Math.max(until, b.to);
    steps.set(b.stepId!, Math.max(sitting, steps.get(b.stepId!) ?? 1));
  }
  return sitting > 1 ? steps : new Map<string, number>();
}
