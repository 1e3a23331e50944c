import { geometryOf, profileOf, type CavityKind } from '$core/mould';

/** What the drawing of a cavity needs of it: half its width at heights from its floor, mm. */
export interface CavitySection {
  name: string;
  depth: number;
  profile: [height: number, halfWidth: number][];
}

const STEPS = 40;

/** The section of a kind of cavity. */
export function sectionOf({ name, shape }: Pick<CavityKind, 'name' | 'shape'>): CavitySection {
  const geometry = geometryOf(shape);
  return { name, depth: geometry.depth, profile: profileOf(geometry, STEPS) };
}
