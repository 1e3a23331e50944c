import { regular, widestArea, type Cavity, type CavityKind, type Shape } from '../../mould';
import { annulus, disc, polygon, rectangle, type Section } from './section';
import { Prism } from './prism';

/** The rim of a cavity as the pattern engine takes it; a cavity known by a table alone is drawn round. */
export function rimOf(shape: Shape, area: number): Section {
  switch (shape.kind) {
    case 'box':
      return rectangle(shape.length / 2, shape.width / 2);
    case 'taper':
      return rectangle(shape.rimLength / 2, shape.rimWidth / 2);
    case 'gem':
      return polygon(regular(shape.sides, shape.radius));
    case 'prism':
      return polygon(shape.outline);
    case 'ring':
      return annulus(shape.innerRadius, shape.outerRadius);
    default:
      return disc(Math.sqrt(area / Math.PI));
  }
}

/** A cavity laid out as a prism on its rim, a closed one on its widest section. */
export function prismOf(kind: CavityKind, cavity: Cavity): Prism {
  const { geometry, depth, capacity } = cavity;
  const { widest = depth } = geometry;
  const rim = { area: widestArea(geometry), half: geometry.halfWidthAt(widest) };
  const past = (level: number) => ((level - depth) * rim.area) / 1000;
  return new Prism({
    section: rimOf(kind.shape, rim.area),
    depth,
    ...(geometry.widest === undefined ? {} : { widest }),
    volumeAt: (level) => (level <= depth ? cavity.volumeAt(level) : capacity + past(level)),
    levelAt: (ml) => (ml <= capacity ? cavity.levelAt(ml) : depth + ((ml - capacity) * 1000) / rim.area),
    scaleAt: (level) => {
      if (level >= depth && widest === depth) return [1, 1];
      const across = geometry.halfWidthAt(level) / rim.half;
      return [across, across > 0 ? geometry.areaAt(level) / rim.area / across : 0];
    }
  });
}
