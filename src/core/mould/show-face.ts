/** The faces a piece can be judged by: as it lay on the mould, as it was poured, or where it is cut. */
export const SHOW_FACES = ['mould face', 'open face', 'cut'] as const;
export type ShowFace = (typeof SHOW_FACES)[number];

/** So many times as long as wide, a piece is a bar: its cut goes across. */
const BAR = 1.8;

/** Where a piece is cut unless its maker says: a bar across, anything else from side to side. Degrees from the right; half extents in mm. */
export const usualHeading = ({ width, length }: { width: number; length: number }): number =>
  width > BAR * length ? 90 : 0;
