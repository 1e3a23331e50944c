import type { Diagnostic } from '../problem';
import type { PourWindow, Score, Sitting } from './score';
import type { Indexed, MixMaterial } from './timing';

/** What is known of a cavity set of cavities as the score goes on. */
export interface CavitySetTime {
  /** When the first casting of it was poured up, as far as this step. */
  first: number;
  /** When each step was first poured in it. */
  steps: ReadonlyMap<string, number>;
  at: number;
  depth: number;
  material: MixMaterial;
  /** When everything in it may be handled, and the earliest late edge of what is in it. */
  firm: number;
  late: number;
  cured?: number;
  /** When it left its mould: what is poured onto the piece later changes no more when it may. */
  out?: Pick<CavitySetTime, 'at' | 'firm' | 'late'>;
}

/** A score while it is played: where the hands are, and what has happened. */
export interface Playing {
  timing: Indexed;
  score: Score;
  problems: Diagnostic[];
  now: number;
  windows: Map<string, PourWindow>;
  /** The latest mix of each cup, its mass, and when it was coloured. */
  cups: Map<string, { window: PourWindow; mass: number; coloured: number; material: MixMaterial }>;
  /** When the parts of each mix met, and its mass: for portions of it. */
  splitMixes: Map<string, { zero: number; mixed: number }>;
  cavitySets: Map<string, CavitySetTime>;
  /** When each step was last done. */
  steps: Map<string, number>;
  late: Set<string>;
  /** When the pieces of each group left their mould. */
  demoulded: Map<string, number>;
  /** Stretches of work so far, and whether anything is mixed or poured in each. */
  stretches: (Sitting & { mixes: boolean })[];
  /** Whether the last pour has been made. */
  allPoured: boolean;
  /** When the hands were done pouring: what comes after is days. */
  poured?: number;
}
