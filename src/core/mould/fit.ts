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
        Object.entries(shape).map(([key, value]) => [
          key,
          typeof value === 'number' && key !== 'sides' ? by(value) : value
        ])
      ) as Shape;
  }
}

/** What of a shape is no width. */
const HEIGHTS: ReadonlySet<string> = new Set(['depth', 'crown', 'sides']);

/**
 * A shape made wider or narrower, as deep as it was, so that its volume becomes `ratio` times what it was, ratio > 0.
 * Nothing where its depth follows from its width (a hemisphere) or widths are not told (a table of depths).
 */
export function widened(shape: Shape, ratio: number): Shape | undefined {
  if (shape.kind === 'hemisphere' || shape.kind === 'ball' || shape.kind === 'table' || shape.kind === 'cap')
    return undefined;
  const k = Math.sqrt(ratio);
  const by = (mm: number) => Math.round(mm * k * 100) / 100;
  if (shape.kind === 'prism')
    return { ...shape, outline: shape.outline.map(([x, y]): [number, number] => [by(x), by(y)]) };
  return Object.fromEntries(
    Object.entries(shape).map(([key, value]) => [
      key,
      typeof value === 'number' && !HEIGHTS.has(key) ? by(value) : value
    ])
  ) as Shape;
}
