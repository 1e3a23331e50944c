import type { Base } from '../material';
import { cureOf, RESIN_STATES, type Body, type Cure, type ResinState } from './resin';
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
}

const TELLS: Record<string, string> = {
  fresh: 'runs off the stick like syrup',
  stringy: 'draws a thread from the stick',
  'holds a line': 'a drawn line stays for a breath',
  paste: 'stands up, no longer levels',
  gelled: 'a fingertip leaves a mark and comes away clean',
  firm: 'a fingernail leaves no mark'
};

/** States of the materials that follow their card: fluid, then closing, then able to carry the next layer. */
const CARD_STATES: Record<Exclude<Base['kind'], 'resin'>, readonly [HandState, HandState, HandState]> = {
  gypsum: [
    { state: 'creamy', tell: 'pours like cream' },
    { state: 'stiffening', tell: 'drops hold for a moment' },
    { state: 'set', tell: 'the sheen is gone; a fingertip leaves no mark' }
  ],
  concrete: [
    { state: 'fluid', tell: 'levels when tapped' },
    { state: 'stiffening', tell: 'slumps, no longer levels' },
    { state: 'set', tell: 'carries a fingertip' }
  ],
  soap: [
    { state: 'light trace', tell: 'a drizzle sinks back' },
    { state: 'medium trace', tell: 'a drizzle stays on top' },
    { state: 'thick trace', tell: 'stands like pudding; carries a layer' }
  ],
  'melt and pour': [
    { state: 'fluid', tell: 'hot and thin' },
    { state: 'skinning', tell: 'a skin begins at the edge' },
    { state: 'skinned', tell: 'a skin all over carries a spray and the next layer' }
  ],
  plastisol: [
    { state: 'hot', tell: 'thin and glossy' },
    { state: 'thickening', tell: 'draws threads' },
    { state: 'set', tell: 'no longer dents' }
  ],
  rubber: [
    { state: 'fluid', tell: 'pours in a thin string' },
    { state: 'thickening', tell: 'the string breaks and lumps' },
    { state: 'set', tell: 'a gloved finger leaves no mark and does not stick' }
  ]
};

/** Rates double every 10 °C: the usual rule where a card gives one figure at 23 °C. */
const slower = (celsius: number) => 2 ** ((23 - celsius) / 10);

/** When a resin's state begins; infinite for a word that is no state of it. */
const begin = ({ begins }: Cure, state: string): number =>
  RESIN_STATES.some((s) => s.state === state) ? begins[state as ResinState] : Infinity;

/** Share of the open time after which a card-timed material begins to close. */
const CLOSES = 0.6;

/**
 * The behaviour of a base. Resin follows its cure model; the others their card's windows, scaled by temperature (melted
 * bases cool much the same in any room and are not scaled). A report always overrides it.
 * @param joinedAt °C of the parts when they are joined; the room's when undefined. It counts in the cup: what is laid into a
 * mould soon has the room's.
 */
export const behaviourOf = (base: Base, joinedAt?: number): Behaviour =>
  base.kind === 'resin' ? resinBehaviour(base.openMinutes, joinedAt) : cardBehaviour(base, joinedAt);

function resinBehaviour(open: number, joinedAt: number | undefined): Behaviour {
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
    layerFirm: (mm, room) => layer(mm, room).begins.firm
  };
}

function cardBehaviour(base: Exclude<Base, { kind: 'resin' }>, joinedAt: number | undefined): Behaviour {
  const states = CARD_STATES[base.kind];
  const melted = base.kind === 'melt and pour' || base.kind === 'plastisol';
  const after = [0, CLOSES * base.openMinutes, base.setMinutes];
  const passed = (minutes: number, room: Room) => (melted ? minutes : doneAfter(minutes, room, slower));
  const inCup = (room: Room) => joinedAt ?? room;
  const reaches = (state: string, room: Room) => {
    const i = states.findIndex((s) => s.state === state);
    return i < 0 ? Infinity : passed(after[i]!, room);
  };
  return {
    states,
    pourUntil: (_, room) => passed(base.openMinutes, inCup(room)),
    goneBy: (_, room) => passed(Math.max(base.openMinutes, base.setMinutes), inCup(room)),
    layerReaches: (state, _, room) => reaches(state, room),
    cupReaches: (state, _, room) => reaches(state, inCup(room)),
    warmsTo: () => Infinity,
    cupPeak: (_, room) => Math.max(celsiusAt(room), joinedAt ?? -Infinity),
    layerFirm: (_, room) => passed(base.setMinutes, room)
  };
}

/** The state at which a base carries the next layer. */
export const layerState = (base: Base): string =>
  base.kind === 'resin' ? 'gelled' : CARD_STATES[base.kind][2].state;
