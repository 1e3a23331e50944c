import type { Use } from '../shelf/stock';

/** What the record knows that a plan may use: passed in, never looked up. */
export interface LearnedHistory {
  /** The day it is planned, ms since 1970. */
  today?: number;
  /** The share that clings of each base, by its id, as the median of past cups. */
  clings?: ReadonlyMap<string, { cling: number; cups: number }>;
  /** Hands' minutes a cavity of each kind of act, as the median of past runs, and of how many pours. */
  hands?: ReadonlyMap<string, { each: number; times: number }>;
  /** Pieces inspected of this plan (or this mould and base), and how many were rejects. */
  rejects?: { count: number; of: number };
  /** The last colour that was in each mould, by mould id. */
  lastColours?: ReadonlyMap<string, { colour: string; name: string; dye: boolean }>;
  /** What runs have taken from the shelf. */
  uses?: readonly Use[];
}
