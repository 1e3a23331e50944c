import type { ComputedGroup } from '$core/plan';

type Drawn = Pick<ComputedGroup, 'footprint' | 'profile'> | undefined;

/** Half of a cavity's rim, mm, as its open face is drawn: to the right, and away. A disc of 40 mm where there is none. */
export function extentOf(group: Drawn): { width: number; length: number } {
  if (!group) return { width: 20, length: 20 };
  const widest = Math.max(1, ...group.profile.map(([, w]) => w));
  const { footprint } = group;
  if (footprint.kind === 'rectangle') return { width: widest, length: widest * footprint.aspect };
  if (footprint.kind !== 'outline') return { width: widest, length: widest };
  const { x, y } = boundsOf(footprint.points);
  return { width: Math.max(1, (x[1] - x[0]) / 2), length: Math.max(1, (y[1] - y[0]) / 2) };
}

const boundsOf = (points: readonly (readonly [number, number])[]) => {
  const range = (values: number[]) => [Math.min(...values), Math.max(...values)] as const;
  return { x: range(points.map(([x]) => x)), y: range(points.map(([, y]) => y)) };
};

/** The rim as a path about its middle, so many pixels a millimetre. */
export function footprintOutline(group: Drawn, scale: number): string {
  const extent = extentOf(group);
  const [w, l] = [extent.width * scale, extent.length * scale];
  const footprint = group?.footprint;
  if (footprint?.kind === 'rectangle') return `M${-w} ${-l}H${w}V${l}H${-w}Z`;
  if (footprint?.kind === 'outline') {
    const { x, y } = boundsOf(footprint.points);
    const [cx, cy] = [(x[0] + x[1]) / 2, (y[0] + y[1]) / 2];
    return `M${footprint.points.map(([px, py]) => `${(px - cx) * scale} ${(py - cy) * scale}`).join('L')}Z`;
  }
  const disc = (rx: number, ry: number) => `M${-rx} 0A${rx} ${ry} 0 1 0 ${rx} 0A${rx} ${ry} 0 1 0 ${-rx} 0Z`;
  return footprint?.kind === 'ring'
    ? disc(w, l) + disc(w * footprint.inner, l * footprint.inner)
    : disc(w, l);
}
