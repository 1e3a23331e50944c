import type { Allotment } from '../batch';
import type { Behaviour } from '../cure';
import { shotsFor, type Base } from '../material';
import { busyMinutes, cavitiesInHand, COLOUR_STIR_MINUTES, RESERVE, WEIGHING_MINUTES } from '../schedule';
import { HEADROOM, vesselFor, type Vessel } from '../shelf/vessel';
import type { Plan } from './document';

/** A cup that peaks above this, °C, is too much resin in one cup: it smokes, cracks and warps its vessel. */
const EXOTHERM_LIMIT = 110;
/** More mixes than this are not a plan any more. */
const MOST = 60;

/** What decides how many mixes a cup (or a common mix) needs. */
export interface MixingCase {
  plan: Plan;
  base: Base;
  behaviour: Behaviour;
  vessels: readonly Vessel[];
  /** Whole of it, in one: grams and ml. */
  grams: number;
  ml: number;
  /** Its pours in order, and how many of its weighings come after the clock starts. */
  pours: readonly Allotment[];
  weighingsAfter: number;
  /** Cups coloured from it, where it is a common mix. */
  cups: number;
  /** ml of one cavity's shot, for an injector. */
  shotMl: number;
  wanted?: number | undefined;
}

/** How many mixes, why, and what the hands can do with one. */
export interface MixCount {
  n: number;
  why?: string;
  /** Cavities one mix serves inside its window less the reserve, and that window, minutes. */
  inHand: number;
  window: number;
}

/**
 * The least number of mixes with which each one fits its vessel with room to stir, stays under the heat that is
 * safe in a cup, fills the injector no more than once, and can be poured inside its window by one pair of hands.
 */
export function mixesFor(c: MixingCase): MixCount {
  const cavities = c.pours.reduce((s, p) => s + p.count, 0);
  const most = Math.max(1, Math.min(MOST, cavities));
  const minutesOf = (share: number) => handMinutes(c, share);
  const window = (n: number) => c.behaviour.pourUntil(Math.max(1, c.grams / n), c.plan.roomCelsius);
  const reasons: { n: number; why: string }[] = [];
  const add = (n: number, why: string) => n > 1 && reasons.push({ n: Math.min(n, most), why });

  const largest = Math.max(0, ...c.vessels.map((v) => v.ml * (1 - HEADROOM)));
  if (c.vessels.length && !vesselFor(c.ml, c.vessels))
    add(
      Math.ceil(c.ml / largest - 1e-9),
      `${c.ml.toFixed(0)} ml is more than the largest vessel stirs (${largest.toFixed(0)} ml)`
    );
  if (c.base.kind === 'resin') {
    const safe = c.base.safeMass;
    if (safe !== undefined)
      add(Math.ceil(c.grams / safe - 1e-9), `the card allows ${safe} g of mixed resin in one cup`);
    else {
      let n = 1;
      while (n < most && c.behaviour.cupPeak(Math.max(1, c.grams / n), c.plan.roomCelsius) > EXOTHERM_LIMIT)
        n++;
      add(n, `${c.grams.toFixed(0)} g in one cup would pass ${EXOTHERM_LIMIT} °C by itself`);
    }
  }
  if (c.base.kind === 'plastisol' && c.base.injector && c.shotMl > 0) {
    const shots = shotsFor(c.base.injector, c.shotMl, cavities);
    if (Number.isFinite(shots.fillings))
      add(shots.fillings, `the injector holds ${shots.perFilling} shots of ${shots.each.toFixed(1)} ml`);
  }
  const fits = (n: number) => minutesOf(1 / n) <= window(n) * (1 - RESERVE) + 1e-9;
  if (!fits(1) && fits(most)) {
    let n = 2;
    while (n < most && !fits(n)) n++;
    add(n, `one mix has to be poured within ${(window(n) * (1 - RESERVE)).toFixed(0)} min`);
  }

  const needed = reasons.sort((a, b) => b.n - a.n)[0];
  const n = Math.min(most, c.wanted ?? needed?.n ?? 1);
  const each = perCavity(c);
  return {
    n,
    ...(c.wanted !== undefined && c.wanted > 1
      ? { why: 'as you asked' }
      : needed && needed.n > 1
        ? { why: needed.why }
        : {}),
    inHand: Math.min(
      cavities,
      cavitiesInHand(window(n), c.base.stirMinutes, colouring(c), Math.max(1e-6, each))
    ),
    window: window(n)
  };
}

const colouring = (c: MixingCase) =>
  c.weighingsAfter * WEIGHING_MINUTES + (c.plan.mixing === 'split' ? c.cups * COLOUR_STIR_MINUTES : 0);

const minutesEach = (c: MixingCase, stepId: string) => {
  const step = c.plan.steps.find((s) => s.id === stepId);
  return step?.act === 'lay' ? step.minutesEach : 0;
};

function perCavity(c: MixingCase): number {
  const segments = segmentsOf(c);
  return Math.max(0, ...segments.map((pours) => Math.max(0, ...pours.map((p) => minutesEach(c, p.stepId)))));
}

/** Minutes from the meeting of the parts to the last pour before a gate, for a share of the cavities. */
function handMinutes(c: MixingCase, share: number): number {
  const longest = Math.max(
    0,
    ...segmentsOf(c).map((pours) =>
      pours.reduce((s, p) => s + Math.ceil(p.count * share - 1e-9) * minutesEach(c, p.stepId), 0)
    )
  );
  return busyMinutes(c.base.stirMinutes, colouring(c), 1, longest);
}

/** Pours between gates: what lies beyond a gate is another wait, and is judged by the score. */
function segmentsOf(c: MixingCase): Allotment[][] {
  const segments: Allotment[][] = [[]];
  for (const step of c.plan.steps) {
    if (step.act === 'gate') segments.push([]);
    const pour = c.pours.find((p) => p.stepId === step.id);
    if (pour) segments.at(-1)!.push(pour);
  }
  return segments.filter((s) => s.length);
}
