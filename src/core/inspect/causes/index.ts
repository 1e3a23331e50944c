import type { Plan } from '../../plan';
import type { Shelf } from '../../shelf';
import type { Defect } from '../piece';
import type { Case } from './case';
import { planDifferences, type PlanDifference } from '../plan-differences';
import type { Cause, Pointed } from './cause';
import { coarseGrit } from './finish/coarse-grit';
import { coldRoom } from './cure/cold-room';
import { colourOverItsLimit } from './batch/colour-over-its-limit';
import { coverThin } from './pour/cover-thin';
import { cupPouredLate } from './pour/cup-poured-late';
import { cupTooHot } from './cure/cup-too-hot';
import { dampInside } from './pour/damp-inside';
import { demouldedEarly } from './cure/demoulded-early';
import { demouldedLate } from './cure/demoulded-late';
import { doseOff } from './batch/dose-off';
import { embedDrifted } from './pour/embed-drifts';
import { fewTaps } from './pour/few-taps';
import { flameOnInk } from './pour/flame-on-ink';
import { heavyColourStood } from './batch/heavy-colour-stood';
import { heavyOnLight } from './pour/heavy-on-light';
import { layerBeforeTheGel } from './pour/layer-before-the-gel';
import { layerTooLate } from './pour/layer-too-late';
import { lowContrast } from './look/low-contrast';
import { matteMould } from './mould/matte-mould';
import { milledEarly } from './finish/milled-early';
import { milledThrough } from './finish/milled-through';
import { mouldColdPlastisol } from './mould/mould-cold';
import { mouldNotClean } from './mould/mould-not-clean';
import { movedWhileFluid } from './pour/moved-while-fluid';
import { noPressure } from './pour/no-pressure';
import { noSpray } from './finish/no-spray';
import { noTorch } from './pour/no-torch';
import { notAired } from './finish/not-aired';
import { notLevel } from './pour/not-level';
import { notSealed } from './finish/not-sealed';
import { notWeighed } from './batch/not-weighed';
import { oldLot } from './batch/old-lot';
import { pouredFromHigh } from './pour/poured-from-high';
import { pouredOver } from './pour/poured-over';
import { pouredUnder } from './pour/poured-under';
import { puddlesWaited } from './pour/puddles-waited';
import { quickFragrance } from './batch/quick-fragrance';
import { ratioOff } from './batch/ratio-off';
import { releaseNotLookedAt } from './mould/release-not-looked-at';
import { rewetted } from './batch/rewetted';
import { sealedEarly } from './finish/sealed-early';
import { showsThrough } from './look/shows-through';
import { soapSugars } from './batch/soap-sugars';
import { spilledCup } from './batch/spilled-cup';
import { sprueNotTopped } from './pour/sprue-not-topped';
import { stirredHard } from './batch/stirred-hard';
import { stirredShort } from './batch/stirred-short';
import { stoodPastProbe } from './pour/stood-past-probe';
import { strewnOnFresh } from './pour/strewn-on-fresh';
import { strokesOverPlan } from './pour/strokes-over-plan';
import { sumsToGrey } from './batch/sums-to-grey';
import { thinSection } from './look/thin-section';
import { layerTooDeepForIt } from './cure/too-deep';
import { tooHotPlastisol } from './cure/heated-too-far';
import { topUpPouredLate } from './pour/top-up-poured-late';
import { undercut } from './mould/undercut';
import { wentInDry } from './batch/went-in-dry';
import { whiteTooStrong } from './look/white-too-strong';
import { whiteTooWeak } from './look/white-too-weak';
import { wipedBetween } from './pour/wiped-between';
import { fatOver } from './batch/fat-over';
import { fatSet } from './batch/fat-set';
import { LEFT_OUTS } from './pour/left-out';
import { lineOverrun } from './pour/line-overrun';
import { onePourOver, onePourUnder } from './pour/one-pour-off';
import { WARNINGS_PASSED } from './plan/warning-passed';
import { workedWet } from './finish/worked-wet';
import { wornMould } from './mould/worn-mould';
import { wrongColourantForIt } from './batch/wrong-colourant';
import { wrongPot } from './batch/wrong-mix';

export { caseOf, type RecordFacts, type Case } from './case';
export type { Pointed } from './cause';

/** Every cause there is. */
export const CAUSES: readonly Cause[] = [
  coarseGrit,
  coldRoom,
  colourOverItsLimit,
  coverThin,
  cupPouredLate,
  cupTooHot,
  dampInside,
  demouldedEarly,
  demouldedLate,
  doseOff,
  embedDrifted,
  fatSet,
  fewTaps,
  flameOnInk,
  heavyColourStood,
  heavyOnLight,
  layerBeforeTheGel,
  layerTooLate,
  ...LEFT_OUTS,
  lineOverrun,
  lowContrast,
  matteMould,
  milledEarly,
  milledThrough,
  mouldColdPlastisol,
  mouldNotClean,
  movedWhileFluid,
  noPressure,
  noSpray,
  noTorch,
  notAired,
  notLevel,
  notSealed,
  notWeighed,
  oldLot,
  onePourOver,
  onePourUnder,
  pouredFromHigh,
  pouredOver,
  pouredUnder,
  puddlesWaited,
  quickFragrance,
  ratioOff,
  fatOver,
  releaseNotLookedAt,
  rewetted,
  sealedEarly,
  showsThrough,
  soapSugars,
  spilledCup,
  sprueNotTopped,
  stirredHard,
  stirredShort,
  stoodPastProbe,
  strewnOnFresh,
  strokesOverPlan,
  sumsToGrey,
  thinSection,
  layerTooDeepForIt,
  tooHotPlastisol,
  topUpPouredLate,
  undercut,
  wentInDry,
  whiteTooStrong,
  whiteTooWeak,
  ...WARNINGS_PASSED,
  wipedBetween,
  workedWet,
  wornMould,
  wrongColourantForIt,
  wrongPot
];

/** A likely cause with its fact. */
export interface Likely extends Pointed {
  id: string;
}

/** What the log says of one defect: likely causes, the strongest first, and what it cannot tell. */
export interface CausesFound {
  defect: Defect;
  likely: Likely[];
  /** What to note next time, where a fact was never logged. */
  unlogged: string[];
}

/** Looks through a case for what made a defect. Nothing is named without a fact. */
export function causesOf(c: Case, defect: Defect): CausesFound {
  const likely: Likely[] = [];
  const unlogged: string[] = [];
  for (const cause of CAUSES) {
    const seen = cause.defects.includes(defect) ? cause.evidence(c) : undefined;
    if (!seen) continue;
    if ('note' in seen) unlogged.push(seen.note);
    else if (isTold(seen)) likely.push({ id: cause.id, ...seen });
  }
  return {
    defect,
    likely: likely.sort((a, b) => b.strength - a.strength || (a.id < b.id ? -1 : 1)),
    unlogged: [...new Set(unlogged)]
  };
}

/** Whether a fact can be told: one that rests on a figure that is no number is not said. */
const isTold = ({ fact, strength }: Pointed): boolean =>
  Number.isFinite(strength) && !/NaN|Infinity|undefined/.test(fact);

/** What a cause asks for next time: a change of the plan as it stands, one that is made already, or what no plan can hold. */
export type NextTime =
  { kind: 'change'; plan: Plan; differences: PlanDifference[] } | { kind: 'made' } | { kind: 'lesson' };

/** What becomes of a likely cause in a plan as it stands now. */
export function nextTime(plan: Plan, likely: Likely, shelf: Shelf): NextTime {
  if (!likely.apply) return { kind: 'lesson' };
  const after = likely.apply(plan, shelf);
  if (JSON.stringify(after) === JSON.stringify(plan)) return { kind: 'made' };
  return { kind: 'change', plan: after, differences: planDifferences(plan, after, shelf) };
}
