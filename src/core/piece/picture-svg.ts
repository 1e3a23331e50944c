import { contours } from 'd3-contour';
import { drawing } from '../pattern';
import type { Face } from './faces';
import type { DrawnPiece } from './picture';

/** What a drawing is for: to be kept as a picture, or laid under a mould and traced, as its face is looked into. */
export type Purpose = 'picture' | 'template';

/** Pixels of the raster whose borders are traced, along the longer side. */
const FINE = 480;
/** Width of a traced line, mm. */
const LINE = 0.25;

/**
 * A face as a drawing in true size, mm: each cup's parts as closed paths. A template is mirrored against the finished
 * face, since it lies under the mould, and holds lines alone.
 */
export function svgOf(
  piece: DrawnPiece,
  face: Face,
  purpose: Purpose,
  nameOf: (cupId: string) => string
): string {
  const drawn = piece.face(face);
  const scale = FINE / Math.max(drawn.width, drawn.height);
  const [w, h] = [Math.round(drawn.width * scale), Math.round(drawn.height * scale)];
  const codes = codesOf(w, h, drawn.sample);
  const parts = new Map<number, { name: string; colour: string; cells: Float64Array; count: number }>();
  codes.forEach((code, i) => {
    if (code < 0) return;
    const front = drawn.paint.fronts[code]!;
    const matter = piece.traced.matters[front];
    const part = parts.get(front) ?? {
      name: matter?.kind === 'cup' ? nameOf(matter.cupId) : 'set in',
      colour: drawn.paint.colours[code]!,
      cells: new Float64Array(w * h),
      count: 0
    };
    part.cells[i] = 1;
    part.count++;
    parts.set(front, part);
  });
  const flip = purpose === 'template' ? ` transform="translate(${mm(drawn.width)} 0) scale(-1 1)"` : '';
  const largestFirst = [...parts.values()].sort((a, b) => b.count - a.count);
  const paths = largestFirst.map(({ name, colour, cells }) => {
    const d = pathOf(cells, { w, h, scale });
    const look =
      purpose === 'template'
        ? `fill="none" stroke="#000" stroke-width="${LINE}"`
        : `fill="${colour}" stroke="${colour}" stroke-width="0.12"`;
    return `<path d="${d}" ${look}><title>${escaped(name)}</title></path>`;
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(drawn.width)}mm" height="${mm(drawn.height)}mm" viewBox="0 0 ${mm(drawn.width)} ${mm(drawn.height)}">`,
    `<g fill-rule="evenodd"${flip}>`,
    ...paths,
    '</g>',
    '</svg>'
  ].join('\n');
}

function codesOf(w: number, h: number, sample: (x: number, y: number) => number): Int32Array {
  const steps = drawing(w, h, sample);
  for (;;) {
    const { value, done } = steps.next();
    if (done) return value.codes;
  }
}

/** The border of what is marked, as one path in mm. */
function pathOf(cells: Float64Array, { w, h, scale }: { w: number; h: number; scale: number }): string {
  const [shape] = contours().size([w, h]).smooth(true).thresholds([0.5])(Array.from(cells));
  return (shape?.coordinates ?? [])
    .flat()
    .map((ring) => `M${ring.map(([x, y]) => `${mm(x! / scale)} ${mm(y! / scale)}`).join('L')}Z`)
    .join('');
}

const mm = (v: number) => String(Math.round(v * 100) / 100);
const escaped = (text: string) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/"/g, '&quot;');
