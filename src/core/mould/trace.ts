import { fail, ok, type Result } from '../problem';
import { isSimple, polygonArea, type Point } from './polygon';

/**
 * Turns corners tapped on a photo into an outline in millimetres. Two points a known length apart give the scale;
 * the outline starts at 0, 0 and y runs away from the maker, as in a plan.
 * @param ruler two points in picture pixels, `mm` apart
 */
export function tracedOutline(
  ruler: readonly [Point, Point],
  mm: number,
  corners: readonly Point[]
): Result<Point[]> {
  const pixels = Math.hypot(ruler[1][0] - ruler[0][0], ruler[1][1] - ruler[0][1]);
  if (!(pixels > 4 && mm > 0))
    return fail({
      code: 'trace-scale',
      path: 'outline',
      sentence: 'The known length is too short on the picture to measure by.',
      mend: 'Tap two points far apart, such as the ends of a ruler, and type the length between them.'
    });
  if (corners.length < 3)
    return fail({
      code: 'trace-corners',
      path: 'outline',
      sentence: `${corners.length} corners are not an outline.`,
      mend: 'Tap the corners of the cavity in order, at least three.'
    });
  const scale = mm / pixels;
  const left = Math.min(...corners.map(([x]) => x));
  const bottom = Math.max(...corners.map(([, y]) => y));
  const round = (v: number) => Math.round(v * 100) / 100;
  const outline = corners.map(([x, y]): Point => [round((x - left) * scale), round((bottom - y) * scale)]);
  if (!isSimple(outline) || polygonArea(outline) < 1)
    return fail({
      code: 'trace-crosses',
      path: 'outline',
      sentence: 'The outline crosses itself.',
      mend: 'Tap the corners in order round the cavity; take the last one back and go on.'
    });
  return ok(outline);
}
