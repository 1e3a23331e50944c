import { z } from 'zod';
import { PlacedOnPhoto } from '../document';
import { Ref, StoredId } from '../id';
import { Initials } from '../preferences';

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
  'milled away or peeled out',
  'oily, streaked or crumbly',
  'lost lines or bare patches',
  'mica or glitter where none should be'
] as const;
export type Defect = (typeof DEFECTS)[number];

/** Where a piece goes: to its order, sold as a second, melted again, or broken to chips. */
export const DESTINATIONS = ['order', 'seconds', 'remelt', 'chips'] as const;
export type Destination = (typeof DESTINATIONS)[number];

const share = z.number().min(0).max(1);

/** A defect at its place on a face, shares of the face’s picture from its left upper corner. */
const DefectMark = z.object({ defect: z.enum(DEFECTS), x: share, y: share });

/**
 * How much of a face each colour really shows, by a photo: cups that a photo cannot tell apart stand together. `within` is
 * how far a share may be off by measuring alone; all as shares of what was measured.
 */
export const MeasuredShares = PlacedOnPhoto.extend({
  photo: StoredId,
  quality: z.enum(['fair', 'poor']),
  within: share,
  shares: z
    .array(z.object({ cupIds: z.array(Ref).min(1).max(26), planned: share, measured: share }))
    .min(1)
    .max(26)
});
export type MeasuredShares = z.infer<typeof MeasuredShares>;

/** One face of a piece as inspected. */
const FaceReport = z.object({
  face: z.enum(FACES),
  /** How good it came out; absent until somebody says so. */
  grade: z.enum(GRADES).optional(),
  defects: z.array(z.enum(DEFECTS)).max(40).default([]),
  /** Where they lie, of those that were placed. */
  marks: z.array(DefectMark).max(60).optional(),
  /** What each colour shows of it, by a photo. */
  shows: MeasuredShares.optional(),
  /** What the maker takes for a feature of this piece, not a fault: it asks for no cause. */
  features: z.array(z.enum(DEFECTS)).max(40).optional()
});

/** The colour of a cup on the piece, as it was measured: from a photo with a white reference, or typed. */
const Measured = z.object({
  cupId: Ref,
  colour: z.string().regex(/^#[0-9a-f]{6}$/i, 'must be a colour such as #4a6b7c'),
  as: z.enum(['as poured', 'as finished'])
});

/** One casting from one cavity, as inspected. */
export const Piece = z.object({
  id: StoredId,
  groupId: Ref,
  /** Cavity number within its group, from 1. */
  number: z.number().int().positive(),
  faces: z.array(FaceReport).min(1).max(3),
  note: z.string().max(2000).default(''),
  destination: z.enum(DESTINATIONS).optional(),
  measured: z.array(Measured).max(52).optional(),
  /** Who inspected it, by their initials. */
  by: Initials.optional()
});
export type Piece = z.infer<typeof Piece>;

/** Where a piece of a grade goes unless its maker says otherwise; nowhere until it is graded. */
export const usualDestination = (grade: Grade | undefined): Destination | undefined =>
  grade && ({ good: 'order', second: 'seconds', reject: 'chips' } as const)[grade];

/** A piece that nobody has graded yet, where its grade is written down. */
export const UNGRADED = 'ungraded';

/** The faults of a piece: its defects without what its maker takes for a feature. */
export const faultsOf = (piece: Pick<Piece, 'faces'>): Defect[] => [
  ...new Set(piece.faces.flatMap((f) => f.defects.filter((d) => !f.features?.includes(d))))
];

/**
 * A piece is as good as its worst face. One of which a fault is noted and no grade is ungraded, and so is one of which nothing is
 * said; a face that is a reject makes it a reject whatever the others are.
 */
export function gradeOf(piece: Pick<Piece, 'faces'>): Grade | undefined {
  const worst = GRADES[Math.max(...piece.faces.map((f) => (f.grade ? GRADES.indexOf(f.grade) : -1)))];
  const isOpen = piece.faces.some((f) => !f.grade && faultsOf({ faces: [f] }).length > 0);
  return isOpen && worst !== 'reject' ? undefined : worst;
}
