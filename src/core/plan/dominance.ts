import type { Problem } from '../problem';
import type { ComputedCup } from './compute';
import type { Plan } from './document';
import type { ComputedGroup } from './piece';

/** Lightness from which a cup counts as white, L*. */
const WHITE = 82;
/** Share of the face from which white has taken over, and the share that its mend aims at. */
const TOO_MUCH = 0.5;
const FAIR = 0.4;
/** Seen this many times its share of the pour, it is no longer what was meant. */
const BEYOND = 1.8;

/**
 * Opaque white in a swirl shows more than it is of the pour. A skin as thin as its hiding thickness is seen as white,
 * so a share v of a pour d mm deep can cover v·d/h of the face; laid at random it covers 1 − exp(−v·d/h).
 * Warns past half the face, with less of its pigment as the mend: hiding goes with the amount of it.
 */
export function dominanceProblems(
  plan: Plan,
  cups: readonly ComputedCup[],
  groups: readonly ComputedGroup[]
): Problem[] {
  const poured = cups.filter((c) => c.shareOfPour > 0);
  if (plan.mixing !== 'split' || poured.length < 3) return [];
  return poured.flatMap((cup): Problem[] => {
    const own = groups.filter((g) => g.layers.some((l) => l.cupId === cup.cupId));
    const depth = Math.max(0, ...own.map((g) => g.depth));
    if (cup.hides === null || cup.looks.own.lab.l < WHITE) return [];
    // A piped or poured top lies where it is put: it covers no more than its place.
    const inSwirl = own.some((g) => g.layers.at(-1)?.cupId !== cup.cupId);
    const seen = 1 - Math.exp((-cup.shareOfPour * depth) / cup.hides);
    if (!inSwirl || seen < TOO_MUCH || seen < BEYOND * cup.shareOfPour) return [];
    const index = plan.cups.findIndex((c) => c.id === cup.cupId);
    const line = plan.cups[index]!.recipe[0];
    const hides = (cup.shareOfPour * depth) / -Math.log(1 - FAIR);
    const percent = line ? Number((line.percent * (cup.hides / hides)).toPrecision(2)) : 0;
    return [
      {
        code: 'white-takes-over',
        level: 'warn',
        path: `plan/cups/${index}`,
        sentence: `${cup.name} will take over: ${(cup.shareOfPour * 100).toFixed(0)} % of the pour, but it hides at ${cup.hides.toFixed(1)} mm, so about ${(seen * 100).toFixed(0)} % of the face.`,
        mend: line ? `Try ${percent} % of its white instead of ${line.percent} %` : 'Pour less of it.',
        ...(line ? { edit: { path: ['cups', index, 'recipe', 0, 'percent'], value: percent } } : {})
      }
    ];
  });
}
