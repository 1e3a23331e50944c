/** The faces a piece can be judged by: as it lay on the mould, as it was poured, where it is cut, or its outer wall. */
export const SHOW_FACES = ['mould face', 'open face', 'cut', 'wall'] as const;
export type ShowFace = (typeof SHOW_FACES)[number];

/** Whether a face takes on the mould's own surface. */
export const isOfMould = (face: ShowFace): boolean => face === 'mould face' || face === 'wall';

/** Whether a piece is high enough for its wall to be looked at: half as high as it is wide. Half extents and depth in mm. */
export const hasWall = ({ width, length }: { width: number; length: number }, depth: number): boolean =>
  depth >= Math.min(width, length);

/** So many times as long as wide, a piece is a bar: its cut goes across. */
const BAR = 1.8;

/** Where a piece is cut unless its maker says: a bar across, anything else from side to side. Degrees from the right; half extents in mm. */
export const usualHeading = ({ width, length }: { width: number; length: number }): number =>
  width > BAR * length ? 90 : 0;
