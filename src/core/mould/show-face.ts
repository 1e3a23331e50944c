/** The faces a piece can be judged by: as it lay on the mould, as it was poured, where it is cut, or its outer wall. */
export const SHOW_FACES = ['mould face', 'open face', 'cut', 'wall'] as const;
export type ShowFace = (typeof SHOW_FACES)[number];

/** Whether a face takes on the mould's own surface. */
export const isOfMould = (face: ShowFace): boolean => face === 'mould face' || face === 'wall';

/** Of its widest section, what the foot of a piece has at least whose wall is no part of its mould side: a dome's has none. */
const FOOT = 0.5;

/**
 * Whether a piece has a wall to be looked at: half as high as it is wide, and standing on a foot.
 *
 * @param half extents, mm
 * @param profile half its width over its height from the foot up, mm
 */
export function hasWall(
  half: { width: number; length: number },
  profile: readonly (readonly [number, number])[]
): boolean {
  const widest = Math.max(...profile.map(([, w]) => w));
  return profile.at(-1)![0] >= Math.min(half.width, half.length) && profile[0]![1] >= FOOT * widest;
}

/** So many times as long as wide, a piece is a bar: its cut goes across. */
const BAR = 1.8;

/** Where a piece is cut unless its maker says: a bar across, anything else from side to side. Degrees from the right; half extents in mm. */
export const usualHeading = ({ width, length }: { width: number; length: number }): number =>
  width > BAR * length ? 90 : 0;
