import { type Message } from '../quantity';
import type { z } from 'zod';
import type { Amount } from '../document';
import type { Diagnostic } from '../problem';
import type { Casting } from '../pattern';
import type { Fields } from './fields';
import type { Poured } from './flowing';
import type { Measured } from './measured';
import type { CavityState } from './cavity-state';

/** The families in which a maker looks for an act. */
export type ActGroup = 'pour in' | 'move' | 'put in' | 'wait' | 'after';

/**
 * What rules and causes ask of an act: what it brings or does; `unmoulded` needs the piece out of its mould, `in turns` is done round
 * by round with its neighbours, `loosens` brings bubbles up, `clears` takes them off a face, `airs` dries a piece, `in a pot` keeps the one pressure pot, `shields` keeps
 * the air from a face, `bagged` is piped out of a bag, `refills`
 * fills what it mills out first, `falls` goes in from high, `strewn` lies loose on the open face.
 */
export type Trait =
  | 'flame'
  | 'alcohol'
  | 'water'
  | 'demoulds'
  | 'seals'
  | 'glues'
  | 'embeds'
  | 'dusts'
  | 'drags'
  | 'digs'
  | 'in turns'
  | 'cuts'
  | 'mills'
  | 'unmoulded'
  | 'loosens'
  | 'presses'
  | 'clears'
  | 'airs'
  | 'in a pot'
  | 'shields'
  | 'tops'
  | 'bagged'
  | 'refills'
  | 'levels'
  | 'falls'
  | 'strewn'
  | 'sands'
  | 'parts'
  | 'trims'
  | 'stains'
  | 'tops the sprue'
  | 'heats again';

/** What an act takes from a cup for each cavity, ml: all that the batch asks of it. */
export interface Draw {
  cupId: string;
  ml: number;
}

/** What is poured: from which cup, how much, and into which chamber. */
export interface Pouring {
  cupId: string;
  amount: Amount;
  chamberId?: string | undefined;
}

/** Minutes that need the hands, and minutes that only pass. */
export interface Minutes {
  attended: number;
  unattended: number;
}

/** The step an act belongs to: its place in the plan, the minutes the maker gave it, and what its cups weigh, g/ml. */
export interface ActStep {
  stepId: string;
  density(cupId: string): number;
  hands?: { each?: number | undefined; once?: number | undefined } | undefined;
  note?: string | undefined;
}

/** Names for the things an act speaks of. */
export interface Naming {
  cup(id: string): string;
  /** A chamber, a zone, an embed or a colourant by its name. */
  part(id: string): string;
  /** The cavities it is done in, e.g. “knobs 1–6”; empty at the bench. */
  cavities: string;
}

/** What is said of an act: once, used in the list, on the sheet and in the run. */
export interface ActWords {
  /** What is done, and with what: “pour a layer of heron”. */
  title: Message;
  /** Where and how, beyond the amount: “in the middle, from low”. */
  where?: Message;
  /** The verb and the rest of an instruction: “Pour”, “cup B heron into knobs 1–6”. */
  act: string;
  rest: string;
  hint: string;
  confirm: string;
}

/** A cavity after an act, and what was wrong with doing it. */
export interface Changed {
  stand: CavityState;
  problems: Diagnostic[];
}

/** The same with what the act took from its cups for it, ml a cavity; nothing where it cannot be done there. */
export interface Applied extends Changed {
  draws: Draw[];
}

/** What is lost by doing an act too early, and too late; usual practice, the data sheet wins. */
export interface Edges {
  early?: string;
  late?: string;
}

/**
 * Everything the program knows of one act. All that plans, draws, times, lists, runs and records acts asks here, so
 * a new act is one folder and one line in the registry.
 */
export interface ActDefinition<A extends { kind: string }> {
  kind: A['kind'];
  /** How it is called on the screens: “pour a layer”. */
  name: string;
  group: ActGroup;
  schema: z.ZodType<A>;
  /** What it asks for, by key: its form. Absent for an act that no form edits. */
  fields?: Fields;
  /** Other words a maker may look for it by. */
  also?: readonly string[];
  traits?(act: A): readonly Trait[];
  /** The act as it is first put into a plan, from a cup where it needs one. */
  fresh(cupId: string): A;
  /** Cups it names, whether or not anything is drawn from them. */
  cups(act: A): string[];
  /** The same act with another cup or another amount, where it has one: for variations and for repeats. */
  changed(act: A, change: { cup?: (id: string) => string; amount?: Amount }): A;
  /** The amount it lays, where it has one; absent for acts without. */
  amount?(act: A): Amount | undefined;
  /** The cavity afterwards, and what was drawn for it. */
  apply(act: A, stand: CavityState, step: ActStep): Applied;
  /** Minutes for so many cavities. */
  hands(act: A, step: Pick<ActStep, 'hands'>, count: number): Minutes;
  /** What it costs to be early or late with it. */
  edges?: Edges;
  /** What of the piece never comes twice by it, in words: “how the swirl turns”. */
  varies?: string;
  /** How long its cup can be used for it: while it levels by itself, which is usual, or until it sets. */
  lasts?(act: A): 'levels' | 'sets';
  /** What it does to where things lie in a casting: its maps, by which a point of the piece is traced back. */
  flow?(act: A, casting: Casting, poured: Poured): void;
  /** What is wrong with it on this stand beyond what `apply` says. */
  rules?(act: A, stand: CavityState, step: ActStep): Diagnostic[];
  /** What its pour comes to in a cavity, in figures: grams a round, length of a line. */
  measures?(act: A, of: Measured): string | undefined;
  words(act: A, names: Naming): ActWords;
}

/** Any act's definition, its own type of act forgotten. */
export type AnyDefinition = ActDefinition<{ kind: string }>;

/** An act as its own definition reads it. */
export interface KnownAct {
  definition: AnyDefinition;
  act: { kind: string };
}
