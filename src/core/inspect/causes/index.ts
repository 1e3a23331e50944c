import type { Plan } from '../../plan';
import type { Shelf } from '../../document';
import type { Defect } from '../piece';
import type { Case } from './case';
import { noted, type Cause, type Pointed } from './cause';
import { coarseGrit } from './coarse-grit';
import { coldRoom } from './cold-room';
import { colourOverItsLimit } from './colour-over-its-limit';
import { coverThin } from './cover-thin';
import { cupPouredLate } from './cup-poured-late';
import { cupTooHot } from './cup-too-hot';
import { dampInside } from './damp-inside';
import { demouldedEarly } from './demoulded-early';
import { demouldedLate } from './demoulded-late';
import { doseOff } from './dose-off';
import { embedDrifts } from './embed-drifts';
import { fewTaps } from './few-taps';
import { flameOnInk } from './flame-on-ink';
import { heavyColourStood } from './heavy-colour-stood';
import { heavyOnLight } from './heavy-on-light';
import { layerBeforeTheGel } from './layer-before-the-gel';
import { layerTooLate } from './layer-too-late';
import { lowContrast } from './low-contrast';
import { matteMould } from './matte-mould';
import { milledEarly } from './milled-early';
import { milledThrough } from './milled-through';
import { mouldColdPlastisol } from './mould-cold-plastisol';
import { mouldNotClean } from './mould-not-clean';
import { movedWhileFluid } from './moved-while-fluid';
import { noPressure } from './no-pressure';
import { noSpray } from './no-spray';
import { noTorch } from './no-torch';
import { notAired } from './not-aired';
import { notLevel } from './not-level';
import { notSealed } from './not-sealed';
import { notWeighed } from './not-weighed';
import { oldLot } from './old-lot';
import { pouredFromHigh } from './poured-from-high';
import { pouredOver } from './poured-over';
import { pouredUnder } from './poured-under';
import { puddlesWaited } from './puddles-waited';
import { quickFragrance } from './quick-fragrance';
import { ratioOff } from './ratio-off';
import { releaseNotLookedAt } from './release-not-looked-at';
import { rewetted } from './rewetted';
import { sealedEarly } from './sealed-early';
import { showsThrough } from './shows-through';
import { soapSugars } from './soap-sugars';
import { spilledCup } from './spilled-cup';
import { sprueNotTopped } from './sprue-not-topped';
import { stirredHard } from './stirred-hard';
import { stirredShort } from './stirred-short';
import { stoodPastProbe } from './stood-past-probe';
import { strewnOnFresh } from './strewn-on-fresh';
import { strokesOverPlan } from './strokes-over-plan';
import { sumsToGrey } from './sums-to-grey';
import { thinSection } from './thin-section';
import { tooDeep } from './too-deep';
import { tooHotPlastisol } from './too-hot-plastisol';
import { topUpPouredLate } from './top-up-poured-late';
import { undercut } from './undercut';
import { wentInDry } from './went-in-dry';
import { whiteTooStrong } from './white-too-strong';
import { whiteTooWeak } from './white-too-weak';
import { wipedBetween } from './wiped-between';
import { wornMould } from './worn-mould';
import { wrongColourantForIt } from './wrong-colourant-for-it';
import { wrongPot } from './wrong-pot';

export { caseOf, type Beside, type Case } from './case';
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
  embedDrifts,
  fewTaps,
  flameOnInk,
  heavyColourStood,
  heavyOnLight,
  layerBeforeTheGel,
  layerTooLate,
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
  pouredFromHigh,
  pouredOver,
  pouredUnder,
  puddlesWaited,
  quickFragrance,
  ratioOff,
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
  tooDeep,
  tooHotPlastisol,
  topUpPouredLate,
  undercut,
  wentInDry,
  whiteTooStrong,
  whiteTooWeak,
  wipedBetween,
  wornMould,
  wrongColourantForIt,
  wrongPot
];

/** A likely cause with its fact. */
export interface Likely extends Pointed {
  id: string;
}

/** What the log says of one defect: likely causes, the strongest first, and what it cannot tell. */
export interface Found {
  defect: Defect;
  likely: Likely[];
  /** What to note next time, where a fact was never logged. */
  unlogged: string[];
}

/** Looks through a case for what made a defect. Nothing is named without a fact. */
export function causesOf(c: Case, defect: Defect): Found {
  const likely: Likely[] = [];
  const unlogged: string[] = [];
  for (const cause of CAUSES) {
    const seen = cause.defects.includes(defect) ? cause.looks(c) : undefined;
    if (!seen) continue;
    if ('note' in seen) unlogged.push(seen.note);
    else likely.push({ id: cause.id, ...seen });
  }
  return {
    defect,
    likely: likely.sort((a, b) => b.strength - a.strength || (a.id < b.id ? -1 : 1)),
    unlogged: [...new Set(unlogged)]
  };
}

/** A plan with the change that a cause asks for: made where a plan can hold it, else written into its notes. */
export function changed(plan: Plan, likely: Likely, shelf: Shelf): Plan {
  const after = likely.apply?.(plan, shelf) ?? plan;
  return after === plan || JSON.stringify(after) === JSON.stringify(plan)
    ? noted(likely.change)(plan)
    : after;
}
