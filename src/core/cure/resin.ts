import { LRUCache } from 'lru-cache';
import { celsiusAt, roomKey, toChange, type Room } from './room';

/**
 * Resin as a small physical model, so that windows follow mass, depth and today's temperature rather
 * than the label's one number: dα/dt = k(T)(α+0.02)^0.3(1−α)², with Arrhenius k and Newton cooling.
 * Constants are typical of amine-cured epoxies; k₀ is fitted to the card's own open time.
 */
const ACTIVATION = 50_000; // J/mol
const GAS = 8.314; // J/mol·K
const REFERENCE = 296.15; // K, 23 °C
const HEAT = 300; // J/g released from α = 0 to 1
const CAPACITY = 1.9; // J/g·K
const COOLING = 12; // W/m²·K
const DENSITY = 1.1; // g/ml, for outer area only
const START = 1e-4;
/** A body that warms slower than this, K/min, has come to its room's temperature. */
const SETTLED = 1e-4;

/** States a hand can tell, by the degree of cure at which each begins. */
export const RESIN_STATES = [
  { state: 'fresh', from: 0 },
  { state: 'stringy', from: 0.1 },
  { state: 'holds a line', from: 0.25 },
  { state: 'paste', from: 0.45 },
  { state: 'gelled', from: 0.55 },
  { state: 'firm', from: 0.8 }
] as const;
export type ResinState = (typeof RESIN_STATES)[number]['state'];

/** Where the resin stands: so many grams in a cup, or a layer so many millimetres deep. */
export type Body = { cup: number } | { layer: number };

/** A body at one moment of its cure. */
export interface CureMoment {
  minute: number;
  celsius: number;
  /** Degree of cure, 0..1. */
  cured: number;
}

/** When each state begins, minutes from the joining of the parts, and how hot the body gets. */
export interface CureCurve {
  begins: Record<ResinState, number>;
  peakCelsius: number;
  peakMinute: number;
  /** Its course: temperature and degree of cure, minute by minute as they change. */
  course: readonly CureMoment[];
  /** First minute at which the body reaches a temperature, or infinity. */
  reaches(celsius: number): number;
}

/** Outer area per gram, m²/g: a cup as a full cylinder as high as wide; a layer by its two faces. */
function areaPerGram(body: Body): number {
  if ('layer' in body) return 2 / (DENSITY * 1e6 * (body.layer / 1000));
  const volume = body.cup / DENSITY / 1e6;
  const diameter = Math.cbrt((4 * volume) / Math.PI);
  return (1.5 * Math.PI * diameter ** 2) / body.cup;
}

const HORIZON = 7 * 24 * 60;

/** What is integrated: how fast, which body, in which room, and how warm its parts were. */
interface Integrated {
  k0: number;
  body: Body;
  around: Room;
  joinedAt: number;
}

/** A body's cure to its end. Its course is written down only for who asks for it: most want to know when a state begins. */
function integrate(k0: number, body: Body, around: Room, joinedAt = celsiusAt(around)): CureCurve {
  const of = { k0, body, around, joinedAt };
  let course: CureMoment[] | undefined;
  const written = () => {
    if (!course) played(of, (course = [{ minute: 0, celsius: joinedAt, cured: START }]));
    return course;
  };
  return {
    ...played(of),
    get course() {
      return written();
    },
    reaches: (celsius) => crossing(written(), celsius)
  };
}

/** @param course where its moments are written down */
function played(
  { k0, body, around, joinedAt }: Integrated,
  course?: CureMoment[]
): Pick<CureCurve, 'begins' | 'peakCelsius' | 'peakMinute'> {
  const loss = (60 * COOLING * areaPerGram(body)) / CAPACITY;
  const rate = (alpha: number, kelvin: number) =>
    k0 *
    Math.exp((-ACTIVATION / GAS) * (1 / kelvin - 1 / REFERENCE)) *
    (alpha + 0.02) ** 0.3 *
    (1 - alpha) ** 2;

  let alpha = START;
  let kelvin = joinedAt + 273.15;
  let minute = 0;
  let [peakKelvin, peakMinute] = [kelvin, 0];
  const begins = Object.fromEntries(
    RESIN_STATES.map(({ state }) => [state, Infinity])
  ) as CureCurve['begins'];
  begins.fresh = 0;
  // The first state that has not begun.
  let coming = 1;

  // A big body is still heating when it is firm: go on to the peak.
  let rising = true;
  while (minute < HORIZON && (alpha < 0.8 || rising)) {
    const speed = rate(alpha, kelvin);
    const room = celsiusAt(around, minute) + 273.15;
    const warming = (HEAT / CAPACITY) * speed - loss * (kelvin - room);
    // Steps small enough that neither the cure nor the temperature moves far within one.
    // None runs on past nightfall or dawn, where the room changes at once.
    const step = Math.min(
      4,
      0.004 / speed,
      0.35 / loss,
      0.5 / Math.max(1e-6, Math.abs(warming)),
      toChange(around, minute)
    );
    const midAlpha = alpha + (speed * step) / 2;
    const midKelvin = kelvin + (warming * step) / 2;
    const midSpeed = rate(midAlpha, midKelvin);
    const next = alpha + midSpeed * step;
    const nextKelvin = kelvin + ((HEAT / CAPACITY) * midSpeed - loss * (midKelvin - room)) * step;
    for (; coming < RESIN_STATES.length && next >= RESIN_STATES[coming]!.from; coming++) {
      const { state, from } = RESIN_STATES[coming]!;
      begins[state] = minute + (step * (from - alpha)) / (next - alpha);
    }
    rising = nextKelvin > kelvin + SETTLED * step;
    minute += step;
    alpha = next;
    kelvin = nextKelvin;
    course?.push({ minute, celsius: kelvin - 273.15, cured: alpha });
    if (kelvin > peakKelvin) [peakKelvin, peakMinute] = [kelvin, minute];
  }
  return { begins, peakCelsius: peakKelvin - 273.15, peakMinute };
}

/** When a course first reaches a temperature, between two of its moments by their line; infinity where it never does. */
function crossing(course: readonly CureMoment[], celsius: number): number {
  const at = course.findIndex((m) => m.celsius >= celsius);
  const [before, after] = [course[at - 1], course[at]];
  if (!after) return Infinity;
  if (!before || after.celsius <= before.celsius) return after.minute;
  const share = (celsius - before.celsius) / (after.celsius - before.celsius);
  return before.minute + share * (after.minute - before.minute);
}

const fitted = new LRUCache<number, number>({ max: 500 });

/**
 * The rate constant, 1/min, with which 100 g in a cup at 23 °C gels at the card's open time (minutes).
 * @example rateFor(40) // 0.0094778
 */
export function rateFor(openMinutes: number): number {
  const known = fitted.get(openMinutes);
  if (known) return known;
  let low = 1e-7;
  let high = 10;
  for (let round = 0; round < 40; round++) {
    const middle = Math.sqrt(low * high);
    if (integrate(middle, { cup: 100 }, 23).begins.gelled > openMinutes) low = middle;
    else high = middle;
  }
  const rate = Math.sqrt(low * high);
  fitted.set(openMinutes, rate);
  return rate;
}

const known = new LRUCache<string, CureCurve>({ max: 500 });

/**
 * How a body of this resin cures at a room temperature.
 * @param openMinutes the card's open time, 1..1440 min, for 100 g at 23 °C
 * @param body grams in a cup, or a layer's depth in mm; both > 0
 * @param room 0..45 °C, by day and by night
 * @param joinedAt °C of its parts when they are joined; the room's when undefined
 * @example Math.round(cureOf(40, { cup: 100 }, 23).begins.gelled) // 40
 */
export function cureOf(openMinutes: number, body: Body, room: Room, joinedAt?: number): CureCurve {
  // By the body itself: a rounded one would answer with whichever of its neighbours was asked for first.
  const key = `${openMinutes}|${'cup' in body ? `c${body.cup}` : `l${body.layer}`}|${roomKey(room)}|${joinedAt ?? ''}`;
  const before = known.get(key);
  if (before) return before;
  const cure = integrate(rateFor(openMinutes), body, room, joinedAt);
  known.set(key, cure);
  return cure;
}
