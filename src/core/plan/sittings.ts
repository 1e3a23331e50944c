import type { Indexed, Score } from '../schedule';
import { grouped } from '../grouped';

/**
 * The sitting that each pour belongs to, from 1, for mixes that are poured in more than one: between two of them the hands wait
 * longer than the mix stays open, so that it has to be made again. Empty where every mix is poured in one.
 */
export function sittingsOf({ blocks, windows }: Score, timing: Indexed): Map<string, number> {
  const keyOf = (mixId: string): string | undefined => {
    const mix = timing.mixes.get(mixId);
    const pot = mix && timing.splitMixOf(mix);
    // A cup that is filled from cups mixed by themselves goes by the first filling.
    return pot?.cupId ?? (mix?.filledFrom ? undefined : mix?.cupId);
  };
  const pours = blocks.filter((b) => b.act === 'pour' && b.mixId !== undefined);
  const byMix = grouped(pours, (b) => [keyOf(b.mixId!) ?? ''].filter(Boolean));
  const sittings = new Map<string, number>();
  for (const [key, own] of byMix) {
    const open = Math.min(
      ...windows.filter((w) => keyOf(w.mixId) === key).map((w) => Math.max(w.to, w.gels) - w.zero)
    );
    for (const [stepId, sitting] of stepsInSittings(own, open))
      for (const p of timing.poursOf(stepId))
        if (timing.mixesFor(p.pourId).some((m) => keyOf(m.mixId) === key)) sittings.set(p.pourId, sitting);
  }
  return sittings;
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
