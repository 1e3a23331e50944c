import { z } from 'zod';
import { Ref, StoredId } from '../id';
import { Initials } from '../ways';

/** How a face came out: to be delivered, sold as a second, or rejected. */
export const GRADES = ['good', 'second', 'reject'] as const;
export type Grade = (typeof GRADES)[number];

/** Faces that are looked at on every piece; a cut face is added where one is cut. */
const FACES = ['mould face', 'open face', 'cut face'] as const;

/** Defects by name, in the order a maker meets them. */
export const DEFECTS = [
  'bubbles on the mould face',
  'bubbles on the open face',
  'bubbles at an edge',
  'muddy blend',
  'colours read as one',
  'colours run together',
  'sunken glitter',
  'floated or drowned embed',
  'colour dragged over an embed',
  'blotted lines',
  'sweat marks',
  'snapped or chipped on demould',
  'tacky or soft',
  'overheated',
  'ash bloom',
  'separated layers',
  'unmixed streaks or specks',
  'water marks',
  'short fill or ledge',
  'overfilled lip',
  'sunk sprue or dent',
  'yellowed',
  'washed-out stain',
  'sealed too early',
  'off-centre',
  'dye left from an earlier piece',
  'haze from a matte mould',
  'no cells',
  'white took over',
  'layer broke through',
  'too dark, too light or another hue',
  'ink faded or spread',
  'embed cut or uncovered',
  'unclear edges or numbers',
  'milled away or peeled out'
] as const;
export type Defect = (typeof DEFECTS)[number];

/** One face of a piece as inspected. */
const FaceReport = z.object({
  face: z.enum(FACES),
  grade: z.enum(GRADES),
  defects: z.array(z.enum(DEFECTS)).max(40).default([])
});

/** One casting from one cavity, as inspected. */
export const Piece = z.object({
  id: StoredId,
  groupId: Ref,
  /** Cavity number within its group, from 1. */
  number: z.number().int().positive(),
  faces: z.array(FaceReport).min(1).max(3),
  note: z.string().max(2000).default(''),
  /** Who inspected it, by their initials. */
  by: Initials.optional()
});
export type Piece = z.infer<typeof Piece>;

/** A piece is as good as its worst face. */
export function gradeOf(piece: Pick<Piece, 'faces'>): Grade {
  return GRADES[Math.max(...piece.faces.map((f) => GRADES.indexOf(f.grade)))] ?? 'good';
}
