import type { Allotment } from '../../batch';
import type { Room } from '../../cure';
import { grouped } from '../../grouped';
import { EXOTHERM_LIMIT, materials } from '../../material';
import { busyMinutes, cavitiesInHand, COLOUR_STIR_MINUTES, RESERVE, WEIGHING_MINUTES } from '../../schedule';
import { HEADROOM, vesselFor, type Vessel } from '../../shelf/vessel';
import type { Pour } from '../fill';
import { cardsSafeMass, tooHot } from './safe-mass';
import type { ResolvedMix } from '../resolve';
import { figure } from '../../quantity';

/** More turns than this are not a plan any more. */
const MOST_MIXES = 60;

/** What decides in how many turns a mix is made. */
export interface MixCountCase {
  room: Room;
  mix: ResolvedMix;
  vessels: readonly Vessel[];
  /** Whole of it, in one: grams and ml. */
  grams: number;
  ml: number;
  /** Its pours in order, and how many of its weighings come after the clock starts. */
  pours: readonly Allotment[];
  pourOf: ReadonlyMap<string, Pour>;
  /** In which stretch between two waits each step is done. */
  stretchOf: ReadonlyMap<string, number>;
  weighingsAfter: number;
  /** Cups coloured from it, where it is split. */
  cups: number;
  /** ml of one cavity's shot, for an injector. */
  shotMl: number;
  wanted?: number | undefined;
}

/** How many turns, why, and what the hands can do with one. */
export interface MixCount {
  n: number;
  why?: string;
  /** Castings one mix serves inside its window less the reserve, of how many, and that window, minutes. */
  inHand: number;
  castings: number;
  window: number;
  /** Hands' minutes of one mix: stirring, what comes after the clock starts, and each cavity between two gates. */
  hands: { mixing: number; colouring: number; each: number };
}

interface Reason {
  n: number;
  why: string;
}

/**
 * The least number of turns with which each one fits its vessel with room to stir, stays under the heat that is
 * safe in a cup, fills the injector no more than once, and can be poured inside its window by one pair of hands.
 */
export function mixCountFor(c: MixCountCase): MixCount {
  const cavities = c.pours.reduce((s, p) => s + p.count, 0);
  const most = Math.max(1, Math.min(MOST_MIXES, cavities));
  const needed = [
    ...vesselReason(c),
    ...heatReason(c, most),
    ...injectorReason(c, cavities),
    ...handsReason(c, most)
  ]
    .filter((r) => r.n > 1)
    .map((r) => ({ ...r, n: Math.min(r.n, most) }))
    .sort((a, b) => b.n - a.n)[0];
  const n = Math.min(most, c.wanted ?? needed?.n ?? 1);
  const window = windowOf(c, n);
  const castings = castingsOf(c);
  const asked = c.wanted !== undefined && c.wanted > 1;
  const why = asked
    ? 'as you asked'
    : c.wanted === undefined && needed && needed.n > 1
      ? needed.why
      : undefined;
  return {
    n,
    ...(why === undefined ? {} : { why }),
    castings,
    inHand: Math.min(
      castings,
      cavitiesInHand(window, c.mix.base.stirMinutes, colouring(c), Math.max(1e-6, perCavity(c)))
    ),
    window,
    hands: { mixing: c.mix.base.stirMinutes, colouring: colouring(c), each: perCavity(c) }
  };
}

const windowOf = (c: MixCountCase, n: number) => c.mix.behaviour.pourUntil(Math.max(1, c.grams / n), c.room);

function vesselReason(c: MixCountCase): Reason[] {
  if (!c.vessels.length || vesselFor(c.ml, c.vessels)) return [];
  const largest = Math.max(0, ...c.vessels.map((v) => v.ml * (1 - HEADROOM)));
  return [
    {
      n: Math.ceil(c.ml / largest - 1e-9),
      why: `${figure(c.ml, 'ml', 0)} is more than the largest vessel stirs (${figure(largest, 'ml', 0)})`
    }
  ];
}

function heatReason(c: MixCountCase, most: number): Reason[] {
  const { base } = c.mix;
  if (!tooHot(c.mix, c.grams, c.room)) return [];
  let n = 2;
  while (n < most && tooHot(c.mix, c.grams / n, c.room)) n++;
  const safe = cardsSafeMass(base);
  const why =
    safe !== undefined
      ? `the card allows ${figure(safe, 'g')} of mixed ${materials.of(base).spoken} in one cup`
      : `${figure(c.grams, 'g', 0)} in one cup would pass ${figure(EXOTHERM_LIMIT, '°C')} by itself`;
  return [{ n: Math.min(n, most), why }];
}

function injectorReason(c: MixCountCase, cavities: number): Reason[] {
  const { base } = c.mix;
  const shots = c.shotMl > 0 ? materials.of(base).shots?.(base, c.shotMl, cavities) : undefined;
  if (!shots || !Number.isFinite(shots.fillings)) return [];
  return [
    {
      n: shots.fillings,
      why: `the injector holds ${shots.perFilling} shots of ${figure(shots.each, 'ml', 1)}`
    }
  ];
}

function handsReason(c: MixCountCase, most: number): Reason[] {
  const fits = (n: number) => handMinutes(c, 1 / n) <= windowOf(c, n) * (1 - RESERVE) + 1e-9;
  if (fits(1) || !fits(most)) return [];
  let n = 2;
  while (n < most && !fits(n)) n++;
  return [{ n, why: `one mix has to be poured within ${(windowOf(c, n) * (1 - RESERVE)).toFixed(0)} min` }];
}

const colouring = (c: MixCountCase) =>
  c.weighingsAfter * WEIGHING_MINUTES + (c.mix.mix.feeds === 'split' ? c.cups * COLOUR_STIR_MINUTES : 0);

/** Hands' minutes of one pour into so many cavities. */
function attended(c: MixCountCase, pourId: string, count: number): number {
  const act = c.pourOf.get(pourId)?.act;
  return act ? act.definition.hands(act.act, act.step, count).attended : 0;
}

/** Pours of each kind of cavity. */
const byCavitySet = (c: MixCountCase, pours: readonly Allotment[]) => [
  ...grouped(pours, (p) => [c.pourOf.get(p.pourId)?.cavitySetId ?? '']).values()
];

/** How many castings it pours into: a cavity that it is poured into twice is one. */
const castingsOf = (c: MixCountCase): number =>
  byCavitySet(c, c.pours).reduce((s, pours) => s + Math.max(...pours.map((p) => p.count)), 0);

/** Hands' minutes of one cavity between two gates, in the kind that takes longest: all its pours. */
const perCavity = (c: MixCountCase): number =>
  Math.max(
    0,
    ...segmentsOf(c).flatMap((pours) =>
      byCavitySet(c, pours).map((own) => own.reduce((s, p) => s + attended(c, p.pourId, 1), 0))
    )
  );

/** Minutes from the meeting of the parts to the last pour before a gate, for a share of the cavities. */
function handMinutes(c: MixCountCase, share: number): number {
  const longest = Math.max(
    0,
    ...segmentsOf(c).map((pours) =>
      pours.reduce((s, p) => s + attended(c, p.pourId, Math.ceil(p.count * share - 1e-9)), 0)
    )
  );
  return busyMinutes(c.mix.base.stirMinutes, colouring(c), 1, longest);
}

/** Pours between gates: what lies beyond a gate is another wait, and is judged by the score. */
const segmentsOf = (c: MixCountCase): Allotment[][] => [
  ...grouped(c.pours, (p) => [`${c.stretchOf.get(c.pourOf.get(p.pourId)?.stepId ?? '')}`]).values()
];
