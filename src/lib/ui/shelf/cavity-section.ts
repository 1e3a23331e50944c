import { geometryOf, type CavityKind } from '$core/mould';

/** What the drawing of a cavity needs of it: half its width at heights from its floor, mm. */
export interface CavitySection {
  name: string;
  depth: number;
  profile: [height: number, halfWidth: number][];
}

const STEPS = 40;

/** The section of a kind of cavity. Heights lie closer together near the floor, where a dome is roundest. */
export function sectionOf({ name, shape }: Pick<CavityKind, 'name' | 'shape'>): CavitySection {
  const geometry = geometryOf(shape);
  const profile = Array.from({ length: STEPS + 1 }, (_, i): [number, number] => {
    const z = geometry.depth * (i / STEPS) ** 2;
    return [z, geometry.halfWidthAt(z)];
  });
  return { name, depth: geometry.depth, profile };
}
