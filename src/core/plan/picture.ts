import { type Past, type Plan, type Shelf } from './document';
import { drawnFace, type DrawnFace, type Face } from './faces';
import { fill } from './fill';
import { paletteOf } from './looks';
import { resolve } from './resolve';
import { traced, type Traced } from './traced';

/** A piece of a plan ready to be looked at from any side. */
export interface Piece {
  traced: Traced;
  face(face: Face): DrawnFace;
}

/** Which piece of a plan: its strand of cavities, the seed of what is left to chance, and the last step that is done. */
export interface Asked {
  strandId: string;
  seed: string;
  until?: string | undefined;
}

/** Traces one piece of a plan; nothing where the plan has no such cavities. */
export function pieceOf(document: Plan, shelf: Shelf, past: Past, { strandId, seed, until }: Asked): Piece | undefined {
  const plan = resolve(document, shelf, past);
  const filled = fill(plan).filled.find((f) => f.strand.id === strandId);
  if (!filled) return undefined;
  const made = traced(plan, filled, seed, until);
  const poured = (id: string) =>
    filled.pours.filter((p) => p.cupId === id).reduce((s, p) => s + p.each * p.count, 0);
  const palette = paletteOf(plan, poured);
  return { traced: made, face: (face) => drawnFace(plan, made, palette, face) };
}
