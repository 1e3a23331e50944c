import type { Amount, AnyAct, Condition } from '../../document';
import { materials, type AnyMaterial, type MaterialTrait } from '../../material';
import { acts } from '../acts';
import type { Path, Place } from '../place';
import type { Look } from './looks';

/** A condition of a gate before it has ids: a zero may name an earlier step of the same technique by its key. */
export type Until =
  | { state: string; of?: string }
  | { minutes: number; after: string }
  | { minutes: number; demoulded: true }
  | { checked: string };

/** A step before it stands in a plan. */
export interface Draft {
  act: AnyAct;
  /** A name that a later step's gate counts from. */
  key?: string;
  until?: readonly Until[];
  /** Poured hours or days later, from a second batch: drafts of one name share theirs. */
  anew?: string;
  note?: string;
}

/** Where a technique is done: which cups, in which cavity, of what. */
export interface Setting {
  cups: readonly string[];
  /** The material's kind. */
  material: string;
  capacity: number;
  depth: number;
  /** Length over width as the open face is drawn. */
  aspect: number;
  chambers: readonly { id: string; share: number }[];
  zones: readonly { id: string }[];
  embeds: readonly { id: string; name: string }[];
  /** Pieces that one casting is cut into; 1 for none. */
  cutInto: number;
  /** The state that keeps the next layer apart from the one below. */
  apart: string;
  /** Minutes to its full cure; three days where its card does not say. */
  cures: number;
  /** Minutes out of its mould after which it is dry enough to seal; 0 where it holds no water. */
  dries: number;
}

/** What goes into a jug: cups by their places, their shares, and how far they are stirred together. */
export interface TechniqueComposite {
  of: readonly number[];
  shares?: readonly number[];
  mixing?: 'marbled' | 'speckled';
}

/** A way of pouring that fills real steps, which are the maker's to change. */
export interface Technique {
  id: string;
  name: string;
  /** What comes of it, in one line. */
  about: string;
  look: Look;
  /** What else makers call it. */
  also: readonly string[];
  /** What has to hold of a material it is done in; nothing where any will do. */
  suits: readonly MaterialTrait[];
  /** What its cups are, in the order they are used; as many more as the plan has serve where the last is `…`. */
  cups: readonly string[];
  /** Cups that are left clear, by their places: what lies behind them is to be seen. */
  clear?: readonly number[];
  /** Fewest cups it can be done with. */
  least: number;
  /** Cups that are poured into one jug first, by their places, in equal shares where none are said; none where each is poured by itself. */
  composite?: (count: number) => TechniqueComposite;
  /** Chips of the same material in its first cup, percent of the finished cup by weight; none where it has no chips. */
  chips?: number;
  /** All its cups stand open at once: what sets quickly is made as one mix and split. */
  together?: true;
  steps(of: Setting): Draft[];
  /** The face that comes to show, where it is not the one that touched the mould. */
  shows?: 'open face';
  /** Where its colours are seen best, in a picture of it: the usual side where it is not said. */
  pictured?: 'open face' | 'cut';
  /** What its run should note, because causes need it. */
  learn: readonly string[];
}

/** A technique as given: refuses what could not be filled in. Throws on a fault of the program, not of a plan. */
export function technique(definition: Technique): Technique {
  if (!definition.cups.length || definition.least < 1)
    throw new Error(`The technique “${definition.id}” has no cups.`);
  return definition;
}

/** Materials that a technique is done in, in the order of lists. */
export const materialsFor = ({ suits }: Pick<Technique, 'suits'>): AnyMaterial[] =>
  materials.all().filter((m) => suits.every((trait) => m.traits.includes(trait)));

/** An act as it is first put in, with what a technique says of it. Throws on an act that is not there. */
export function act(kind: string, more: Record<string, unknown> = {}, cupId = ''): AnyAct {
  const definition = acts.find(kind);
  if (!definition) throw new Error(`No act is called “${kind}”.`);
  return { ...definition.fresh(cupId), ...more };
}

/** Pours a cup by an act. */
export const pour = (
  kind: string,
  cupId: string,
  amount: Amount,
  more: Record<string, unknown> = {}
): AnyAct => act(kind, { amount, ...more }, cupId);

export const share = (of: number): Amount => ({ kind: 'share', of: Number(of.toFixed(4)) });
export const upTo = (of: number): Amount => ({ kind: 'to share', of: Number(of.toFixed(4)) });
export const RIM: Amount = { kind: 'rim' };

/** Until the layer below, or a cup, is so. */
export const until = (state: string, of?: string): Until => (of === undefined ? { state } : { state, of });
/** So many minutes after an earlier step of the technique. */
export const after = (key: string, minutes: number): Until => ({ minutes, after: key });
export const outOfMould = (minutes: number): Until => ({ minutes, demoulded: true });

export const HOUR = 60;
export const DAY = 24 * HOUR;

/** A straight way between two places. */
export const line = (from: Place, to: Place, more: Partial<Path> = {}): Path => ({
  points: [from, to],
  ...more
});

/** A ring round the middle at so much of the way out, as a many-sided path. */
export const ring = (out: number, sides = 16): Path => ({
  closed: true,
  points: Array.from({ length: sides }, (_, i) => ({
    x: tidy(out * Math.cos((2 * Math.PI * i) / sides)),
    y: tidy(out * Math.sin((2 * Math.PI * i) / sides))
  }))
});

/** One of so many patches side by side over the middle, of four in a row: outlines to be traced anew. */
export function patch(i: number, of: number): Path {
  const rows = Math.ceil(of / 4);
  const row = Math.floor(i / 4);
  const inRow = Math.min(4, of - row * 4);
  const wide = 0.62 / Math.max(inRow, rows);
  const at = { x: (2 * (i - row * 4) + 1) / inRow - 1, y: (2 * row + 1) / rows - 1 };
  return {
    closed: true,
    points: Array.from({ length: 8 }, (_, k) => ({
      x: tidy(0.68 * at.x + wide * (k % 2 ? 0.85 : 1) * Math.cos((Math.PI * k) / 4)),
      y: tidy(0.68 * at.y + wide * (k % 2 ? 0.85 : 1) * Math.sin((Math.PI * k) / 4))
    }))
  };
}

const tidy = (v: number) => Math.round(v * 1000) / 1000;

/** A condition as a plan holds it, once the ids are known. */
export function conditionOf(u: Until, ids: { step(key: string): string; group: string }): Condition {
  if ('state' in u)
    return { kind: 'state', state: u.state, of: u.of === undefined ? 'layer below' : { cup: u.of } };
  if ('checked' in u) return { kind: 'checked', words: u.checked };
  if ('after' in u) return { kind: 'since', zero: { stepDone: ids.step(u.after) }, minutes: u.minutes };
  return { kind: 'since', zero: { demoulded: ids.group }, minutes: u.minutes };
}

/** Loops across and back, so many, from the near side to the far one: over every border that runs away from you. */
export const zigzag = (turns: number): Place[] =>
  Array.from({ length: turns }, (_, i) => ({
    x: i % 2 ? -1 : 1,
    y: tidy(-0.85 + (1.7 * i) / (turns - 1))
  }));

/** A line that wanders from the left to the right about a height, a little otherwise each time. */
export const wander = (y: number, turn: number): Place[] =>
  Array.from({ length: 7 }, (_, i) => ({
    x: tidy(-0.85 + (1.7 * i) / 6),
    y: tidy(y + 0.26 * Math.sin(1.9 * i + 1.7 * turn) + 0.1 * Math.cos(3.1 * i + turn))
  }));

/** Side of a square as large as the open face, mm: what widths of tools and lines go by. */
export const faceSide = ({ capacity, depth }: Pick<Setting, 'capacity' | 'depth'>): number =>
  Math.sqrt((capacity * 1000) / depth);
export const wholeMm = (mm: number): number => Math.max(1, Math.round(mm));

/** The i-th of n places side by side across a cavity. */
export const at = (i: number, n: number): number => tidy(n > 1 ? 0.7 - (1.4 * i) / (n - 1) : 0);

/** An upside-down heart away from the middle, its point outward. */
export const HEART: readonly Place[] = [
  { x: 0, y: 0.82 },
  { x: -0.24, y: 0.62 },
  { x: -0.26, y: 0.44 },
  { x: -0.12, y: 0.36 },
  { x: 0, y: 0.46 },
  { x: 0.12, y: 0.36 },
  { x: 0.26, y: 0.44 },
  { x: 0.24, y: 0.62 }
];
