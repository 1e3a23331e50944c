/**
 * What a material is like, in words that rules, techniques and causes ask for, so that none of them asks which material it
 * is. A new material says what holds of it, and every technique, rule and cause that goes by that is there for it.
 */
export type MaterialTrait =
  /** So thin that heavy pigment sinks in it, colours run into skins and lace, and puddles spread. */
  | 'runs thin'
  /** Draws a thread, then holds a line, before it sets: for piping, petals and drags. */
  | 'holds a line'
  /** Cures clear enough to show what lies in it. */
  | 'cures clear'
  /** The mould's own finish shows on it as gloss or haze. */
  | 'takes the gloss'
  /** Stays fluid long enough to be poured from one jug in several colours. */
  | 'swirls fluid'
  /** Poured over a standing post, it runs out in even rings. */
  | 'flows round a post'
  /** Thickens as it is stirred, by trace. */
  | 'goes by trace'
  /** Thick enough that drops of colour stay as veins. */
  | 'marbles thick'
  /** Sets within the hour, or is split by trace, so that thin bands can follow one another. */
  | 'sets in bands'
  /** Soft enough when it leaves its mould to be cut in bars. */
  | 'is cut in bars'
  /** Hard enough to be ground: chips in it can be sanded flush. */
  | 'sands hard'
  /** Mineral: takes a stain, is brittle where it is thin. */
  | 'mineral'
  /** Shot hot into a closed mould by an injector. */
  | 'injected hot'
  /** Melts again when heated. */
  | 'melts again'
  /** Every heating spoils it a little, and is counted. */
  | 'counts its heats'
  /** Sets by cooling alone: the room's temperature changes little. */
  | 'sets by cooling'
  /** Shrinks as it sets, and draws the sprue in. */
  | 'draws in the sprue'
  /** A skin forms on it in minutes, which the next layer grips only where alcohol has wetted it. */
  | 'skins over'
  /** Cures by itself and heats up where it stands deep. */
  | 'heats itself'
  /** A short flame takes its bubbles. */
  | 'may be flamed'
  /** A flame skins, scorches or makes it spit. */
  | 'no flame'
  /** Dry powder stays in specks unless it is wetted first. */
  | 'wants wet colour'
  /** Wet when it leaves the mould: wants air on all sides. */
  | 'dries in air'
  /** Whitens at its face where air reaches it early. */
  | 'ashes'
  /** Holds on to its mould, or sweats, when it stays there too long. */
  | 'grips when late'
  /** Yellows a little with time, and shrinks. */
  | 'yellows and shrinks'
  /** Small pores and clouds are in its nature. */
  | 'has pores'
  /** What moulds are made of. */
  | 'makes moulds';
