import type { Base } from '../material';
import { cureOf, RESIN_STATES, type Body, type Cure, type ResinState } from './resin';

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
  pourUntil(cupGrams: number, room: number): number;
  /** When that cup can no longer be used at all. */
  goneBy(cupGrams: number, room: number): number;
  /** When a layer so many mm deep reaches a state; infinite for a state it does not know. */
  layerReaches(state: string, mm: number, room: number): number;
  /** When a cup of so many grams reaches a state, from its zero; infinite for a state it does not know. */
  cupReaches(state: string, cupGrams: number, room: number): number;
  /** When a cup or a layer has warmed itself to a temperature; infinite where it never does, or where nothing is known. */
  warmsTo(celsius: number, body: Body, room: number): number;
  /** How hot a cup of so many grams gets by itself, °C; the room's temperature where it does not. */
  cupPeak(cupGrams: number, room: number): number;
  /** When that layer may be handled. */
  layerFirm(mm: number, room: number): number;
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
const slower = (room: number) => 2 ** ((23 - room) / 10);

/** When a resin's state begins; infinite for a word that is no state of it. */
const begin = ({ begins }: Cure, state: string): number =>
  RESIN_STATES.some((s) => s.state === state) ? begins[state as ResinState] : Infinity;

/** Share of the open time after which a card-timed material begins to close. */
const CLOSES = 0.6;

/**
 * The behaviour of a base. Resin follows its cure model; the others their card's windows, scaled by the room's
 * temperature (melted bases cool much the same in any room and are not scaled). A report always overrides it.
 */
export function behaviourOf(base: Base): Behaviour {
  if (base.kind === 'resin') {
    const cup = (grams: number, room: number) => cureOf(base.openMinutes, { cup: Math.max(1, grams) }, room);
    const layer = (mm: number, room: number) => cureOf(base.openMinutes, { layer: Math.max(0.05, mm) }, room);
    return {
      states: RESIN_STATES.map(({ state }) => ({ state, tell: TELLS[state]! })),
      pourUntil: (grams, room) => cup(grams, room).begins['holds a line'],
      goneBy: (grams, room) => cup(grams, room).begins.gelled,
      layerReaches: (state, mm, room) => begin(layer(mm, room), state),
      cupReaches: (state, grams, room) => begin(cup(grams, room), state),
      warmsTo: (celsius, body, room) => cureOf(base.openMinutes, body, room).reaches(celsius),
      cupPeak: (grams, room) => cup(grams, room).peakCelsius,
      layerFirm: (mm, room) => layer(mm, room).begins.firm
    };
  }
  const states = CARD_STATES[base.kind];
  const melted = base.kind === 'melt and pour' || base.kind === 'plastisol';
  const scale = (room: number) => (melted ? 1 : slower(room));
  const after = [0, CLOSES * base.openMinutes, base.setMinutes];
  const reaches = (state: string, room: number) => {
    const i = states.findIndex((s) => s.state === state);
    return i < 0 ? Infinity : after[i]! * scale(room);
  };
  return {
    states,
    pourUntil: (_, room) => base.openMinutes * scale(room),
    goneBy: (_, room) => Math.max(base.openMinutes, base.setMinutes) * scale(room),
    layerReaches: (state, _, room) => reaches(state, room),
    cupReaches: (state, _, room) => reaches(state, room),
    warmsTo: () => Infinity,
    cupPeak: (_, room) => room,
    layerFirm: (_, room) => base.setMinutes * scale(room)
  };
}

/** The state at which a base carries the next layer. */
export const layerState = (base: Base): string =>
  base.kind === 'resin' ? 'gelled' : CARD_STATES[base.kind][2].state;
