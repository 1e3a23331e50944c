import { cureOf, RESIN_STATES, type Body, type CureCurve, type ResinState } from './resin';
import { celsiusAt, doneAfter, type Room } from './room';

/** A state a hand can tell, and how it tells. */
export interface HandState {
  state: string;
  tell: string;
}

/** How a material passes through its states, whatever stands behind the figures. Minutes and °C. */
export interface Behaviour {
  /** In the order they are passed. */
  states: readonly HandState[];
  /** Until when a cup of so many grams pours and levels, from its zero. */
  pourUntil(cupGrams: number, room: Room): number;
  /** When that cup can no longer be used at all. */
  goneBy(cupGrams: number, room: Room): number;
  /** When a layer so many mm deep reaches a state; infinite for a state it does not know. */
  layerReaches(state: string, mm: number, room: Room): number;
  /** When a cup of so many grams reaches a state, from its zero; infinite for a state it does not know. */
  cupReaches(state: string, cupGrams: number, room: Room): number;
  /** When a cup or a layer has warmed itself to a temperature; infinite where it never does, or where nothing is known. */
  warmsTo(celsius: number, body: Body, room: Room): number;
  /** How hot a cup of so many grams gets by itself, °C; the room's temperature where it does not. */
  cupPeak(cupGrams: number, room: Room): number;
  /** When that layer may be handled. */
  layerFirm(mm: number, room: Room): number;
  /** The course of its cure by the model; nothing for what has windows alone. */
  course?(body: Body, room: Room): CureCurve;
}

const TELLS: Record<string, string> = {
  fresh: 'runs off the stick like syrup',
  stringy: 'draws a thread from the stick',
  'holds a line': 'a drawn line stays for a breath',
  paste: 'stands up, no longer levels',
  gelled: 'a fingertip leaves a mark and comes away clean',
  firm: 'a fingernail leaves no mark'
};

/** Rates double every 10 °C: the usual rule where a card gives one figure at 23 °C. */
const slower = (celsius: number) => 2 ** ((23 - celsius) / 10);

/** When a resin's state begins; infinite for a word that is no state of it. */
const begin = ({ begins }: CureCurve, state: string): number =>
  RESIN_STATES.some((s) => s.state === state) ? begins[state as ResinState] : Infinity;

/** Share of the open time after which a card-timed material begins to close. */
const CLOSES = 0.6;

/**
 * The behaviour of what follows the cure model. A report always overrides it.
 * @param open the card's open time, minutes: of 100 g at 23 °C
 * @param joinedAt °C of the parts when they are joined; the room's when undefined. It counts in the cup: what is laid into a
 * mould soon has the room's.
 * @example byCureModel(40, undefined).states.map((s) => s.state) // ['fresh','stringy','holds a line','paste','gelled','firm']
 */
export function byCureModel(open: number, joinedAt: number | undefined): Behaviour {
  const cup = (grams: number, room: Room) => cureOf(open, { cup: Math.max(1, grams) }, room, joinedAt);
  const layer = (mm: number, room: Room) => cureOf(open, { layer: Math.max(0.05, mm) }, room);
  return {
    states: RESIN_STATES.map(({ state }) => ({ state, tell: TELLS[state]! })),
    pourUntil: (grams, room) => cup(grams, room).begins['holds a line'],
    goneBy: (grams, room) => cup(grams, room).begins.gelled,
    layerReaches: (state, mm, room) => begin(layer(mm, room), state),
    cupReaches: (state, grams, room) => begin(cup(grams, room), state),
    warmsTo: (celsius, body, room) =>
      cureOf(open, body, room, 'cup' in body ? joinedAt : undefined).reaches(celsius),
    cupPeak: (grams, room) => cup(grams, room).peakCelsius,
    layerFirm: (mm, room) => layer(mm, room).begins.firm,
    course: (body, room) => cureOf(open, body, room, 'cup' in body ? joinedAt : undefined)
  };
}

/** What a card says of the times of a material that has windows and no cure model, minutes at 23 °C. */
export interface CardTimes {
  openMinutes: number;
  setMinutes: number;
}

/** Three states: fluid, then closing, then able to carry the next layer. */
export type CardStates = readonly [HandState, HandState, HandState];

/**
 * The behaviour of what follows its card's windows, scaled by temperature, but for what cools: that does so much the same in
 * any room. A report always overrides it.
 * @param joinedAt °C of the parts when they are joined; the room's when undefined
 * @example byCardTimes({ openMinutes: 8, setMinutes: 25 }, [['stiff', 'open'], ['set', 'set']], undefined).states.length // 2
 */
export function byCardTimes(
  { openMinutes, setMinutes }: CardTimes,
  states: CardStates,
  joinedAt: number | undefined,
  cools = false
): Behaviour {
  const after = [0, CLOSES * openMinutes, setMinutes];
  const passed = (minutes: number, room: Room) => (cools ? minutes : doneAfter(minutes, room, slower));
  const inCup = (room: Room) => joinedAt ?? room;
  const reaches = (state: string, room: Room) => {
    const i = states.findIndex((s) => s.state === state);
    return i < 0 ? Infinity : passed(after[i]!, room);
  };
  return {
    states,
    pourUntil: (_, room) => passed(openMinutes, inCup(room)),
    goneBy: (_, room) => passed(Math.max(openMinutes, setMinutes), inCup(room)),
    layerReaches: (state, _, room) => reaches(state, room),
    cupReaches: (state, _, room) => reaches(state, inCup(room)),
    warmsTo: () => Infinity,
    cupPeak: (_, room) => Math.max(celsiusAt(room), joinedAt ?? -Infinity),
    layerFirm: (_, room) => passed(setMinutes, room)
  };
}
