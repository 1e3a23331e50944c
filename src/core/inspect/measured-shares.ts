import type { MeasuredFace } from '../photo';
import type { MeasuredShares, Piece } from './piece';

/** A face measured beside the same face as planned, by what each shows. */
export const plannedAndMeasured = (measured: MeasuredFace, planned: MeasuredFace): MeasuredShares['shares'] =>
  measured.shares.map(({ ids, share }) => ({
    cupIds: ids,
    planned: planned.shares.find((p) => p.ids.join() === ids.join())?.share ?? 0,
    measured: share
  }));

/** Pieces from which on a maker's own spread is known. */
const ENOUGH_PIECES = 5;
/** A share that differs by this many of a maker's own spreads is no chance of the hand. */
const SPREADS = 2;

/** How far one maker's pours of a technique vary from their plans: of how many measured pieces, 0..1. */
export interface ShareSpread {
  pieces: number;
  /** Root of the mean of squared differences of shares. */
  spread: number;
}

/** How far measured shares of pieces lie from their plans; nothing before there are enough of them. */
export function spreadOfShares(pieces: readonly Pick<Piece, 'faces'>[]): ShareSpread | undefined {
  const own = pieces.map((p) => p.faces.flatMap((f) => f.shows?.shares ?? [])).filter((s) => s.length);
  if (own.length < ENOUGH_PIECES) return undefined;
  const all = own.flat().map((s) => (s.measured - s.planned) ** 2);
  return { pieces: own.length, spread: Math.sqrt(all.reduce((s, v) => s + v, 0) / all.length) };
}

/** A piece that was measured, with what it is counted under: whose hands poured it, what was done to it. */
export interface MeasuredPiece extends Pick<Piece, 'faces'> {
  hands: readonly string[];
  acts: readonly string[];
}

/** How far the pours of some hands vary; of everybody's here until enough of theirs are measured. */
export function ownSpread(
  pieces: readonly MeasuredPiece[],
  hands: readonly string[]
): ShareSpread | undefined {
  const theirs = pieces.filter((p) => p.hands.some((h) => hands.includes(h)));
  return spreadOfShares(theirs) ?? spreadOfShares(pieces);
}

/** What was planned and what was measured of one colour of a piece, 0..1. */
export interface SharePoint {
  planned: number;
  measured: number;
}

/** Planned and measured shares of pieces by one thing they are counted under, with their spread once enough are measured. */
export interface SharesBy {
  name: string;
  points: SharePoint[];
  own?: ShareSpread;
}

/** Measured shares beside their plans, by maker or by what was done; those of whom most is known first. */
export function sharesBy(pieces: readonly MeasuredPiece[], key: 'hands' | 'acts'): SharesBy[] {
  const names = [...new Set(pieces.flatMap((p) => p[key]))];
  return names
    .map((name): SharesBy => {
      const theirs = pieces.filter((p) => p[key].includes(name));
      const own = spreadOfShares(theirs);
      const shares = theirs.flatMap((p) => p.faces.flatMap((f) => f.shows?.shares ?? []));
      const points = shares.map(({ planned, measured }) => ({ planned, measured }));
      return { name, points, ...(own ? { own } : {}) };
    })
    .filter((s) => s.points.length > 0)
    .sort((a, b) => b.points.length - a.points.length || (a.name < b.name ? -1 : 1));
}

/** A colour that shows more or less of a face than planned, by more than measuring and the hand's chance tell. */
export interface ShownOtherwise {
  face: Piece['faces'][number]['face'];
  cupIds: string[];
  planned: number;
  measured: number;
  /** What a difference has to be above to be one. */
  limit: number;
}

/**
 * Colours of a piece that show otherwise than planned: by more than measuring errs and, once that is known, by more than twice
 * how far this maker's pours vary.
 */
export const shownOtherwise = (piece: Pick<Piece, 'faces'>, own?: ShareSpread): ShownOtherwise[] =>
  piece.faces.flatMap(({ face, shows }) => {
    if (!shows) return [];
    const limit = Math.max(shows.within, SPREADS * (own?.spread ?? 0));
    return shows.shares
      .filter((s) => Math.abs(s.measured - s.planned) > limit)
      .map((s) => ({ face, ...s, limit }));
  });
