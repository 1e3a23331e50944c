import { isWhite } from '../../colour';
import { inPlan, type Diagnostic, type Fix } from '../../problem';
import type { ComputedCup } from '../computed';
import type { ComputedGroup, ComputedLayer } from '../draw';
import type { PouredLayer } from '../fill';
import type { ResolvedPlan } from '../resolve';
import { wetRuns, WHITE_LIGHTNESS } from './swirl';
import { figure } from '../../quantity';

/** Share of its swirl's face from which white has taken over. */
const TOO_MUCH = 0.5;
/** Seen this many times its share of the pour, it is no longer what was meant. */
const BEYOND = 1.8;
/** How much of its white is left, the least change first. */
const LESS = [0.8, 0.65, 0.5, 0.4, 0.3, 0.2, 0.1];

/** A white in a swirl as others may ask for it. */
export interface WhiteShare {
  cupId: string;
  /** Share of the swirl's face that it can cover, and of what is poured there. */
  face: number;
  pour: number;
}

/** Whether a white covers so much of its swirl’s face, and so much more than was poured of it, that it takes over. */
export const takesOver = ({ face, pour }: Pick<WhiteShare, 'face' | 'pour'>): boolean =>
  face >= TOO_MUCH && face >= BEYOND * pour;

/** What is asked of a cup and of cavities, planned now or kept by a run. */
type SwirlCup = Pick<ComputedCup, 'cupId' | 'hides' | 'looks' | 'name'>;
type SwirlLayer = PouredLayer & Pick<ComputedLayer, 'gated' | 'shows'>;
interface SwirlGroup {
  layers: readonly SwirlLayer[];
}

/** Whites of some cavities, each with its share of the face and of the pour of every swirl it is in. */
export const whitesIn = (cups: readonly SwirlCup[], groups: readonly SwirlGroup[]): WhiteShare[] =>
  cups
    .filter((cup) => cup.hides !== null && cup.looks.own.lab.l >= WHITE_LIGHTNESS)
    .flatMap((cup) => groups.flatMap((g) => inSwirls(cup, g)))
    .map(({ cup, face, pour }) => ({ cupId: cup.cupId, face, pour }));

/** A white in a swirl, with the shares of the swirl's face and volume that are its. */
interface White {
  cup: SwirlCup;
  face: number;
  pour: number;
}

/**
 * Whites that cover more of the face than of the pour, among layers that are fluid together: by the very shares that
 * are drawn on the face. Less of its pigment may mend it, since hiding goes with the amount of it.
 */
export function dominanceProblems(
  plan: ResolvedPlan,
  cups: readonly ComputedCup[],
  groups: readonly ComputedGroup[]
): Diagnostic[] {
  return cups.flatMap((cup): Diagnostic[] => {
    if (cup.hides === null || cup.looks.own.lab.l < WHITE_LIGHTNESS) return [];
    const whites = groups.flatMap((group) => inSwirls(cup, group));
    const worst = whites.sort((a, b) => b.face - a.face)[0];
    return worst && takesOver(worst) ? [saidOf(plan, worst)] : [];
  });
}

/** What a cup is of each swirl of a group that it is in. */
function inSwirls(cup: SwirlCup, group: SwirlGroup): White[] {
  return wetRuns(group.layers, (l) => l.gated).flatMap((run): White[] => {
    const own = run.filter((l) => l.cupId === cup.cupId);
    const sum = (layers: readonly SwirlLayer[], of: (l: SwirlLayer) => number) =>
      layers.reduce((s, l) => s + of(l), 0);
    const face = sum(run, (l) => l.shows.mouldFace);
    const ml = sum(run, (l) => l.each);
    if (!own.length || own.length === run.length || face <= 0 || ml <= 0) return [];
    return [{ cup, face: sum(own, (l) => l.shows.mouldFace) / face, pour: sum(own, (l) => l.each) / ml }];
  });
}

function saidOf(plan: ResolvedPlan, { cup, face, pour }: White): Diagnostic {
  const percent = (x: number) => `${(x * 100).toFixed(0)} %`;
  return {
    code: 'white-takes-over',
    level: 'warn',
    ...inPlan('cups', cup.cupId),
    sentence: `The ${cup.name} is ${percent(pour)} of the swirl, but its white is strong enough (opaque from ${figure(cup.hides!, 'mm', 1)}) to cover ${percent(face)} of the face.`,
    mend: 'Pour less of it, or wait before it.',
    fixes: lessWhite(plan, cup)
  };
}

/** Less of each line of the cup that is white. */
function lessWhite({ cupOf, colourants }: ResolvedPlan, { cupId }: SwirlCup): Fix[] {
  const lines = cupOf.get(cupId)!.cup.recipe.flatMap((line) => {
    const colourant = colourants.get(line.colourantId);
    return colourant && isWhite(colourant) ? [line] : [];
  });
  return LESS.flatMap((factor) =>
    lines.map((line): Fix => {
      const value = Number((line.percent * factor).toPrecision(2));
      return {
        words: `Try ${value} % of its white instead of ${line.percent} %`,
        edit: { path: ['cups', cupId, 'recipe', line.id, 'percent'], value }
      };
    })
  );
}
