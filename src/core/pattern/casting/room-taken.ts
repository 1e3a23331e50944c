import { ellipsoid, Parted, raised, straight, type Solid, type Standing } from '../maps/parted';
import { fittedStar } from '../shapes/body';
import type { Section } from '../shapes/section';
import type { Embedded } from '../shapes/solids';
import { nodesOf, Star } from '../shapes/star';
import { lengthOf } from '../strokes';
import { viewAt } from './view';

/** So many solids are gone round one by one; of more, each is a speck that only takes room. */
const ONE_BY_ONE = 24;

type Apart = Exclude<Embedded, { kind: 'line' }>;

/** What takes room of a footprint. */
const takes = (e: Embedded): boolean => e.kind !== 'ball' || !e.loose;

/** What all that is set in takes of a footprint, and at which heights. */
export const standingOf = (embeds: readonly Embedded[]): Standing[] => embeds.filter(takes).map(standing);

function standing(e: Embedded): Standing {
  if (e.kind === 'body') return { area: e.area, upright: raised(e.upright, e.low) };
  if (e.kind === 'line') return { area: 2 * e.radius * lengthOf(e.way), upright: straight(e.low, e.high) };
  return { area: Math.PI * e.radius ** 2, upright: ellipsoid(e.z, e.tall ?? e.radius) };
}

/** How fluid lies round what is set in; undefined where nothing is. */
export function partedBy(section: Section, embeds: readonly Embedded[]): Parted | undefined {
  const all = embeds.filter(takes);
  if (!all.length) return undefined;
  // A barrier line is too thin to be gone round: it stands between two pours already.
  const lines = all.filter((e) => e.kind === 'line').map(standing);
  const bodies = all.filter((e) => e.kind !== 'line');
  if (bodies.length > ONE_BY_ONE) return new Parted(all.map(standing), section.area);
  // From the last to the first: each lies where those after it leave it once they are taken out.
  let solids: Solid[] = [];
  for (const e of bodies.reverse()) {
    const spot = { x: e.x, y: e.y, z: middleOf(e) };
    new Parted(solids, section.area).undo(spot);
    solids = [solidAt(section, e, spot), ...solids];
  }
  return new Parted([...lines, ...solids], section.area);
}

const middleOf = (e: Apart): number => (e.kind === 'body' ? e.low + e.high / 2 : e.z);

function solidAt(section: Section, e: Apart, at: { x: number; y: number }): Solid {
  const { area, upright } = standing(e);
  const view = viewAt(section, at);
  const shape = e.kind === 'body' && !view.chart ? e.outline : undefined;
  const own = Star.of(radiusOf(shape), area);
  // What would stand through the wall is kept inside it.
  const stands = view.wall.less([own, 1]).nearest > 0;
  const body = stands ? own : fittedStar(view.wall, Math.min(area, 0.95 * view.wall.area), radiusOf(shape));
  return { area, upright, round: { at: view.at, wall: view.wall, body, chart: view.chart } };
}

/** The radius of an outline over the angle; a circle's where it has none. */
const radiusOf = (outline: Star | undefined) => (angle: number) =>
  outline ? Math.sqrt(outline.at(nodesOf(Math.cos(angle), Math.sin(angle)))) : 1;
