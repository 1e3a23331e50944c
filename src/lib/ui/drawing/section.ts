/** Half the width of a section at a level, mm, between the points of a computed profile. */
export function halfWidthAt(profile: readonly [number, number][], level: number): number {
  const next = profile.findIndex(([z]) => z >= level);
  if (next <= 0) return profile[next === 0 ? 0 : profile.length - 1]?.[1] ?? 0;
  const [z0, w0] = profile[next - 1]!;
  const [z1, w1] = profile[next]!;
  return z1 > z0 ? w0 + ((w1 - w0) * (level - z0)) / (z1 - z0) : w1;
}

/** Places millimetres of a section on the page: across, and up. */
export interface OnPage {
  x: (mm: number) => number;
  y: (mm: number) => number;
}

/** Outline of the section between two levels, mm, as an SVG path. */
export function slicePath(
  profile: readonly [number, number][],
  [from, to]: readonly [number, number],
  { x, y }: OnPage
): string {
  const levels = [from, ...profile.map(([z]) => z).filter((z) => z > from && z < to), to];
  const side = levels.map((z) => [halfWidthAt(profile, z), z] as const);
  const right = side.map(([w, z]) => `${x(w).toFixed(2)} ${y(z).toFixed(2)}`);
  const left = side.toReversed().map(([w, z]) => `${x(-w).toFixed(2)} ${y(z).toFixed(2)}`);
  return `M${[...right, ...left].join('L')}Z`;
}
