import type { z } from 'zod';
import type { Behaviour, Pace } from '../cure';
import type { About, Level, Problem, Result } from '../problem';
import type { CommonCard } from './card';
import type { Form } from './colourant';
import type { Compatibilities } from './compatibility';
import type { Composition, Formula, Making } from './formula';
import type { Shots } from './melted';
import type { MaterialTrait } from './traits';

/** The most of a colourant, percent as supplied of the material's own basis, and what goes wrong above it. */
export interface Limit {
  limit: number;
  reason: string;
}

/** How a look moves from the dry piece: lightness and chroma as multiples, and what is added to b*: yellowing. */
export interface Shift {
  light: number;
  chroma: number;
  yellow: number;
}

/** How a fragrance behaves in what it is stirred into: it speeds it up, much, not at all, or thins it. */
export type ScentIs = 'calm' | 'quick' | 'floral' | 'thins';

/** What a material knows of its fragrance when that is weighed cup by cup. */
export interface Scented<C> {
  /** Its card with no fragrance in the whole mix. */
  without(card: C): C;
  /** How much its card wants, of its own basis, and how that behaves. */
  usual(card: C): { share: number; is: ScentIs };
  /** So much of the basis as a share of a cup that is finished with it, by weight. */
  shareIn(card: C, share: number): number;
  /** g/ml. */
  density: number;
  pace(share: number, is: ScentIs): Pace[];
}

/** What light does in the uncoloured material, and how its piece looks wet, sealed and aged. */
export interface MaterialOptics {
  /** How much it scatters uncoloured, 1/mm. */
  scatters: number;
  shifts: Readonly<Partial<Record<'wet' | 'sealed' | 'aged', Shift>>>;
}

/** A figure of the craft that a maker looks for beside the grams. */
export interface CraftFact {
  label: string;
  value: string;
}

/** What is wrong with figures of the craft, and whether splitting one batch instead would mend it. */
export interface CraftProblem extends Problem {
  orSplit?: string;
}

/** What one cup, or a mix that is split, comes to. */
export interface Joining {
  about: About;
  name: string;
  /** A mix that cups are split from, a cup split from it, or a cup of its own. */
  is: 'split mix' | 'portion' | 'own';
  /** On the scale, g of a part. */
  weighed(key: string): number;
  /** Really in it, carriers and let-downs counted, g of a part. */
  held(key: string): number;
}

/** All that a plan makes of one card of a material. */
export interface CraftCase {
  roomCelsius: number;
  joinings: readonly Joining[];
  /** Mixes with how often each was heated before, and how often the plan warms a cup of it again. */
  mixes: readonly { id: string; reheats: number; warmedAgain: number }[];
  /** Cups that are mixed each by itself. */
  alone: number;
  castings: readonly {
    name: string;
    count: number;
    /** Of the layers in one cavity, ml. */
    layersMl: readonly number[];
    mouldMaterial: string;
  }[];
}

/** How a mix ends when its plan's weights stay though one came out otherwise, and whether that does harm. */
export interface Outcome {
  words: string;
  harms: boolean;
  /** It harms nobody and is felt in the piece all the same. */
  felt?: boolean;
}

/** A mix of a run as it would end: grams of a part, and how far off its ratio that is, a share. */
export interface Ending {
  grams(key: string): number;
  off: number;
  formula: Formula;
}

/** One field of a card that is a figure: its key, its label, and the unit it is typed in (none for a plain number). */
export type CardField = readonly [key: string, label: string, unit: string];

/**
 * A material: everything that the program knows of it, in one definition. Nothing else asks which material a card is of;
 * what holds of several is asked by trait. C is its card.
 */
export interface MaterialDefinition<C extends CommonCard = CommonCard> {
  kind: C['kind'];
  /** What a maker calls it, for lists. */
  name: string;
  /** Over what belongs to it: “soap, cold process”. */
  heading: string;
  /** Within a sentence: “acrylic gypsum”. */
  spoken: string;
  schema: z.ZodType<C>;
  /** The figures of its card beside what every card carries, for its form. */
  fields(card: C): readonly CardField[];
  traits: readonly MaterialTrait[];
  /** Parts by weight, density, and what percentages are of; or why the card does not say. */
  formula(card: C): Result<Composition>;
  /** In which order its parts are weighed and meet. */
  making(card: C): Making;
  /** How it passes through its states. `joinedAt` is the temperature of its parts, °C; the room's when undefined. */
  behaviour(card: C, joinedAt?: number): Behaviour;
  /** The state at which it carries the next layer. */
  carriesLayer: string;
  /** What is lost by demoulding early and late; usual practice, the data sheet wins. */
  demould: { early: string; late: string };
  /** Usual limits of forms of colourant, those not named by `rest`; and of all colour in a cup. */
  limits: Readonly<Partial<Record<Form, Limit>> & { rest: Limit; cup: Limit }>;
  compatibility: Compatibilities;
  cautions(card: C): readonly string[];
  /**
   * What thinning moves: its liquid against its solid, g, in words; the share by which that may change, and what is said
   * within it and past it.
   */
  thinning?(
    card: C,
    grams: (key: string) => number
  ): { liquid: number; solid: number; words: string; most: number; within: string; past: string };
  /** Parts that may be stirred in to thin it, by key; none where nothing thins it. */
  thinners: readonly string[];
  /** How a mix ends whose weights stay as planned although one came out otherwise. */
  overshoot(card: C, ending: Ending): Outcome;
  optics: MaterialOptics;
  /** How a mould has to be before it goes in. */
  mould: string;
  /** What a buyer has to know; never a promise beyond what local rules and a test allow. */
  care: readonly string[];
  /** The card and the block that its three lessons are taught on; none where it is not taught. */
  lesson: { baseId: string; block: { length: number; width: number; depth: number } } | undefined;
  /**
   * What becomes of its leftovers: chips of a terrazzo (the middle of the usual 35 to 55 % by weight), or melted again with
   * fresh base; and the share of a new piece they make. None where they are waste. Usual practice of the trade.
   */
  leftovers: { become: 'chips' | 'remelt'; share: number } | undefined;
  /** Generic cards to begin with. */
  starting: readonly C[];

  // What only some materials know.
  /** The deepest layer that its card allows, mm. */
  depthLimit?(card: C): number;
  /** The most that may stand mixed in one cup, g, where its card says. */
  safeMass?(card: C): number | undefined;
  /** What it is melted to, which its mould must bear, and what it must never pass, °C. */
  heat?(card: C): { to: number; neverPast: number };
  /** A fragrance that drives it: how it is known, and its share of the oils. */
  fragrance?(card: C): { known: string; share: number } | undefined;
  /** Fragrance that may go into the cups after a split instead of into the whole mix. */
  scent?: Scented<C>;
  /** Sugars in it, which warm it by themselves: their share of the oils, and what they are. */
  sugars?(card: C): { share: number; names: string[] };
  /** A fat of it that sets under so many °C and passes for trace, where it is colder than that. */
  setsIn?(card: C, celsius: number): { name: string; melts: number } | undefined;
  /** Minutes that it dries before it may be sealed, from its demoulding: usual practice of the trade. */
  sealAfter?: number;
  /** Hours until it is cured through, where its card says. */
  fullCureHours?(card: C): number;
  /** What is lost of it by how it is poured: the share that clings, and grams in each vessel. */
  losses?(card: C): { cling: number; vessel: number } | undefined;
  /** Shots of its injector for cavities of so many ml, where it has one. */
  shots?(card: C, cavityMl: number, cavities: number): Shots | undefined;
  /** What makes a whole mix run ahead or behind, and what a share of white does to a cup, percent of its basis. */
  paces?(card: C, mix: { blender?: number | undefined }): Pace[];
  whitePaces?(white: number): Pace[];
  /** Figures of the craft, and what is wrong with them. */
  craft?(card: C, of: CraftCase): { facts: CraftFact[]; problems: CraftProblem[] };
  /** What rounding to a scale has moved beyond what it bears. */
  roundedOff?(card: C, held: (key: string) => number): { level: Level; words: string } | undefined;
  /** How a portion whose colour brings so much more of a part (a share of it) ends; nothing within what it bears. */
  portionOff?(card: C, share: number): { words: string } | undefined;
}
