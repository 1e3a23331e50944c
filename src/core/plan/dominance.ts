import type { Problem } from '../problem';
import type { ComputedCup } from './computed';
import type { ComputedGroup } from './piece';
import type { ResolvedPlan } from './resolve';

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
  plan: ResolvedPlan,
  cups: readonly ComputedCup[],
  groups: readonly ComputedGroup[]
): Problem[] {
  return cups.flatMap((cup): Problem[] => {
    const mix = plan.cupOf.get(cup.cupId)?.mix?.mix;
    const beside = cups.filter((c) => c.shareOfPour > 0 && plan.cupOf.get(c.cupId)?.mix?.mix === mix);
    if (mix?.feeds !== 'split' || beside.length < 3 || !beside.includes(cup)) return [];
    const seen = coverOf(cup, groups);
    return seen === undefined ? [] : [takesOver(plan, cup, seen)];
  });
}

/** How much of the face a white in a swirl covers, and how deep the piece is; undefined where it stays in its bounds. */
function coverOf(
  cup: ComputedCup,
  groups: readonly ComputedGroup[]
): { share: number; depth: number; hides: number } | undefined {
  const own = groups.filter((g) => g.layers.some((l) => l.cupId === cup.cupId));
  const depth = Math.max(0, ...own.map((g) => g.depth));
  if (cup.hides === null || cup.looks.own.lab.l < WHITE) return undefined;
  // A piped or poured top lies where it is put: it covers no more than its place.
  const inSwirl = own.some((g) => g.layers.at(-1)?.cupId !== cup.cupId);
  const share = 1 - Math.exp((-cup.shareOfPour * depth) / cup.hides);
  if (!inSwirl || share < TOO_MUCH || share < BEYOND * cup.shareOfPour) return undefined;
  return { share, depth, hides: cup.hides };
}

function takesOver(
  plan: ResolvedPlan,
  cup: ComputedCup,
  { share, depth, hides }: { share: number; depth: number; hides: number }
): Problem {
  const line = plan.cupOf.get(cup.cupId)!.cup.recipe[0];
  const wanted = (cup.shareOfPour * depth) / -Math.log(1 - FAIR);
  const percent = line ? Number((line.percent * (hides / wanted)).toPrecision(2)) : 0;
  return {
    code: 'white-takes-over',
    level: 'warn',
    path: `plan/cups/${cup.cupId}`,
    sentence: `${cup.name} will take over: ${(cup.shareOfPour * 100).toFixed(0)} % of the pour, but it hides at ${hides.toFixed(1)} mm, so about ${(share * 100).toFixed(0)} % of the face.`,
    mend: line ? `Try ${percent} % of its white instead of ${line.percent} %` : 'Pour less of it.',
    ...(line ? { edit: { path: ['cups', cup.cupId, 'recipe', line.id, 'percent'], value: percent } } : {})
  };
}
