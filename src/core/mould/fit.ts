import type { Shape } from './shape';

/** A shape grown or shrunk in all directions so that its volume becomes `ratio` times what it was, ratio > 0. */
export function fitted(shape: Shape, ratio: number): Shape {
  const k = Math.cbrt(ratio);
  const by = (mm: number) => Math.round(mm * k * 100) / 100;
  switch (shape.kind) {
    case 'prism':
      return {
        ...shape,
        outline: shape.outline.map(([x, y]): [number, number] => [by(x), by(y)]),
        depth: by(shape.depth)
      };
    case 'table':
      return {
        ...shape,
        rows: shape.rows.map((r) => ({ depth: by(r.depth), ml: Math.round(r.ml * ratio * 100) / 100 })),
        ...(shape.width === undefined ? {} : { width: by(shape.width) })
      };
    default:
      return Object.fromEntries(
        Object.entries(shape).map(([key, value]) => [key, typeof value === 'number' ? by(value) : value])
      ) as Shape;
  }
}
