import type { Drop } from '../maps/drops';
import { within, type Corner } from '../shapes/outline-parts';
import type { Chart, Section } from '../shapes/section';
import { nodesOf, type Star } from '../shapes/star';
import type { At, Falling } from './content';

/** What is seen from a place: the footprint itself, or its chart where some wall is hidden from there. */
export interface View {
  at: At;
  wall: Star;
  section: Section;
  chart?: Chart;
}

/** Of the footprint's side, how far from the wall a place has to be to see it. */
const CLEAR = 0.02;

/** The wall as seen from a place, moved a little inward where it stands on the wall. */
export function viewAt(section: Section, at: At): View {
  const inside = section.wall(at.x, at.y) > CLEAR * Math.sqrt(section.area) ? at : inward(section, at);
  const wall = section.starAt(inside.x, inside.y);
  return wall ? { at: inside, wall, section } : chartViewAt(section, inside);
}

/** The same on the footprint's chart. */
export function chartViewAt(section: Section, inside: At): View {
  const chart = section.chartAt(inside.x, inside.y);
  const [x, y] = chart.to(inside.x, inside.y);
  return { at: { x, y }, wall: chart.onto.starAt(x, y)!, section: chart.onto, chart };
}

function inward(section: Section, at: At): At {
  const enough = CLEAR * Math.sqrt(section.area);
  for (let k = 0.97; k > 0.02; k -= 0.03)
    if (section.wall(at.x * k, at.y * k) > enough) return { x: at.x * k, y: at.y * k };
  return anywhere(section, enough);
}

/** A place inside, where the middle of the footprint is none: of a ring, or round a corner. */
function anywhere(section: Section, enough: number): At {
  const { half } = section;
  for (let i = 1; i < 40; i++)
    for (let j = 1; j < 40; j++) {
      const at = { x: half.width * (i / 20 - 1), y: half.length * (j / 20 - 1) };
      if (section.wall(at.x, at.y) > enough) return at;
    }
  return { x: 0, y: 0 };
}

/** A drop that keeps its own radius from the wall, seen in the view's coordinates. */
export function dropWithin(view: View, falling: Falling, squared: number): Drop {
  const [x0, y0] = view.chart ? view.chart.to(falling.x, falling.y) : [falling.x, falling.y];
  const reach = Math.sqrt(squared) * 1.02;
  for (let k = 1; k > 0; k -= 0.04) {
    const x = view.at.x + (x0 - view.at.x) * k;
    const y = view.at.y + (y0 - view.at.y) * k;
    if (view.section.wall(x, y) >= reach) return { x, y, squared, matter: falling.matter };
  }
  return { ...view.at, squared, matter: falling.matter };
}

/** Whether a place lies outside an outline about a view's middle. */
export function outside({ at, chart }: View, outline: Star): (x: number, y: number) => boolean {
  return (px, py) => {
    const [x, y] = chart ? chart.to(px, py) : [px, py];
    const [dx, dy] = [x - at.x, y - at.y];
    return dx * dx + dy * dy >= outline.at(nodesOf(dx, dy));
  };
}

/** Places across, by which the area of an outline inside a footprint is counted. */
const FINE = 300;

/** How much of an outline lies inside the footprint, mm². */
export function areaWithin(section: Section, outline: readonly Corner[]): number {
  const { width, length } = section.half;
  let hits = 0;
  for (let i = 0; i < FINE; i++)
    for (let k = 0; k < FINE; k++) {
      const [x, y] = [width * ((2 * i + 1) / FINE - 1), length * ((2 * k + 1) / FINE - 1)];
      if (within(outline, x, y) && section.contains(x, y)) hits++;
    }
  return (4 * width * length * hits) / FINE ** 2;
}
