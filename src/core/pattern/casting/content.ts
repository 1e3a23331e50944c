import type { Uneven } from '../shapes/body';
import type { Drop } from '../maps/drops';
import type { Unstirred, VeinPart } from '../veins/veins';

/** A place over the footprint, mm. */
export interface At {
  x: number;
  y: number;
}

/** A way over the footprint, mm. */
export type Way = readonly (readonly [number, number])[];

/** What a cup holds: its own matter, and what it is made of where it is not one colour. */
export interface Content {
  matter: number;
  parts: readonly VeinPart[];
  unstirred?: Unstirred;
}

/** How a puddle stands: from low as a bowl, from high down to the ground; and how uneven. */
export interface Fall {
  from: 'low' | 'high';
  uneven?: Uneven;
}

/** A drop before it is known how wide it lies: where, how much, of what. */
export type Falling = At & { mm3: number; matter: Drop['matter'] };
