import type { Section } from '../shapes/section';
import { between, type Chance } from '../seeded';
import { KEPT, type Flow, type Spot } from '../spot';
import { angleOfNodes, NODES, nodesOf, Star } from '../shapes/star';

interface Cell {
  x: number;
  y: number;
  weight: number;
  /** All of the cell, and what stays of it inside the lace. */
  whole: Star;
  inside: Star;
}

/** How a heavy colour sinks: how far apart its cells stand in the middle and at the rim, mm. */
export interface Sinking {
  matter: number;
  /** Its share of all that is fluid once it is there, 0..1. */
  share: number;
  middle: number;
  rim: number;
  still: number;
}

/** Most cells that are drawn: a wide shallow tray keeps its cells as large as that asks. */
const MOST_CELLS = 320;

/**
 * A heavy colour that lay on a lighter one sinks through it and stands as lace between cells of what was below. Every cell
 * keeps the same share inside its lace, so each light colour keeps its own; the inside is the whole cell drawn together.
 */
export class Cells implements Flow {
  readonly #near: readonly Cell[][];
  readonly #half: Section['half'];

  constructor(
    section: Section,
    private readonly sinking: Sinking,
    chance: Chance
  ) {
    const sites = scattered(section, sinking, chance);
    const cells = sites.map((site) => {
      const whole = cellOf(site, sites, section);
      return { ...site, whole, inside: insideOf(whole, 1 - sinking.share) };
    });
    this.#half = section.half;
    this.#near = listed(cells, section.half);
  }

  undo(spot: Spot): number {
    const { still, share, matter } = this.sinking;
    if (spot.z <= still) return KEPT;
    const cell = this.#cellAt(spot);
    if (!drawnTogether(spot, cell, cell.inside, cell.whole)) return matter;
    spot.z = still + (spot.z - still) * (1 - share);
    return KEPT;
  }

  redo(spot: Spot): void {
    const { still, share } = this.sinking;
    if (spot.z <= still) return;
    const cell = this.#cellAt(spot);
    drawnTogether(spot, cell, cell.whole, cell.inside);
    spot.z = still + (spot.z - still) / (1 - share);
  }

  #cellAt(spot: Spot): Cell {
    const { x, y } = spot;
    const near = this.#near[tileOf(x, this.#half.width) * TILES + tileOf(y, this.#half.length)]!;
    let best = near[0]!;
    let least = Infinity;
    for (let i = 0; i < near.length; i++) {
      const cell = near[i]!;
      const dx = x - cell.x;
      const dy = y - cell.y;
      const power = dx * dx + dy * dy - cell.weight;
      if (power < least) {
        best = cell;
        least = power;
      }
    }
    return best;
  }
}

/** Tiles across, for each of which the cells that can be there are listed once. */
const TILES = 24;
const tileOf = (v: number, half: number) =>
  Math.min(TILES - 1, Math.max(0, Math.floor(((v / half + 1) / 2) * TILES)));

/** For each tile the cells that may be nearest somewhere in it. */
function listed(cells: readonly Cell[], half: Section['half']): Cell[][] {
  const reach = Math.hypot(half.width, half.length) / TILES;
  return Array.from({ length: TILES * TILES }, (_, t) => {
    const x = half.width * ((2 * Math.floor(t / TILES) + 1) / TILES - 1);
    const y = half.length * ((2 * (t % TILES) + 1) / TILES - 1);
    const away = cells.map((c) => Math.hypot(c.x - x, c.y - y));
    const surely = Math.min(...cells.map((c, i) => (away[i]! + reach) ** 2 - c.weight));
    return cells.filter((c, i) => Math.max(0, away[i]! - reach) ** 2 - c.weight <= surely);
  });
}

/** Moves a spot from the inside of one star to that of another about one middle; false where it lies outside the first. */
function drawnTogether(spot: Spot, at: { x: number; y: number }, one: Star, other: Star): boolean {
  const dx = spot.x - at.x;
  const dy = spot.y - at.y;
  const u = nodesOf(dx, dy);
  const share = (dx * dx + dy * dy) / one.at(u);
  if (share >= 1) return false;
  const phi = other.nodesAt((one.swept(u) / one.area) * other.area);
  const reach = Math.sqrt(share * other.at(phi));
  spot.x = at.x + reach * Math.cos(angleOfNodes(phi));
  spot.y = at.y + reach * Math.sin(angleOfNodes(phi));
  return true;
}

type Site = Pick<Cell, 'x' | 'y' | 'weight'> & { apart: number };

/** Middles of cells, thrown at random and kept where no other stands too near: large in the middle, small at the rim. */
function scattered(section: Section, { middle, rim }: Sinking, chance: Chance): Site[] {
  const { width, length } = section.half;
  const deepest = Math.min(width, length);
  const sites: Site[] = [];
  for (let tries = 0; tries < 9000 && sites.length < MOST_CELLS; tries++) {
    const [x, y] = [between(chance, -width, width), between(chance, -length, length)];
    const wall = section.wall(x, y);
    if (wall < rim * 0.2) continue;
    const inward = Math.min(1, wall / deepest);
    const apart = (rim + (middle - rim) * inward ** 0.8) * between(chance, 0.55, 1.25);
    const near = sites.some((s) => (s.x - x) ** 2 + (s.y - y) ** 2 < (0.5 * (s.apart + apart)) ** 2);
    if (!near) sites.push({ x, y, apart, weight: 0.8 * (apart / 2) ** 2 });
  }
  return sites.length ? sites : [{ x: 0, y: 0, apart: middle, weight: 0 }];
}

/** Neighbours whose borders with a cell are looked at: those farther away never cut it. */
const NEIGHBOURS = 28;

/** One cell of the diagram in which weighted sites share the plane, cut off at the wall. */
function cellOf(site: Site, sites: readonly Site[], section: Section): Star {
  const near = sites
    .filter((s) => s !== site)
    .map((s) => ({ s, d: (s.x - site.x) ** 2 + (s.y - site.y) ** 2 }))
    .sort((a, b) => a.d - b.d)
    .slice(0, NEIGHBOURS);
  const wall = section.starAt(site.x, site.y);
  const squared = Float64Array.from({ length: NODES }, (_, i) => {
    const a = angleOfNodes(i);
    const [c, s] = [Math.cos(a), Math.sin(a)];
    let reach = wall ? Math.sqrt(wall.at(i)) : Infinity;
    for (const { s: other, d } of near) {
      const towards = (other.x - site.x) * c + (other.y - site.y) * s;
      if (towards <= 0) continue;
      reach = Math.min(reach, (d + site.weight - other.weight) / (2 * towards));
    }
    return Math.max(1e-6, reach) ** 2;
  });
  return new Star(squared);
}

/** A rounder outline within a cell, of exactly so much of its area. */
function insideOf(whole: Star, share: number): Star {
  const radii = Float64Array.from({ length: NODES }, (_, i) => Math.sqrt(whole.at(i)));
  let round = radii;
  for (let pass = 0; pass < 3; pass++) round = smoothed(round, Math.round((NODES * (33 / 360)) / 2));
  const fits = Math.min(1, ...round.map((r, i) => radii[i]! / r));
  const within = new Star(round.map((r) => (r * fits) ** 2));
  const least = within.times(Math.min(1, (0.98 * share * whole.area) / within.area));
  const m = (share * whole.area - least.area) / (whole.area - least.area);
  return new Star(Float64Array.from({ length: NODES }, (_, i) => (1 - m) * least.at(i) + m * whole.at(i)));
}

/** A closed row of numbers, each the mean of its neighbours within a reach. */
function smoothed(values: Float64Array<ArrayBuffer>, reach: number): Float64Array<ArrayBuffer> {
  const n = values.length;
  let sum = 0;
  for (let i = -reach; i <= reach; i++) sum += values[(i + n) % n]!;
  return Float64Array.from({ length: n }, (_, i) => {
    const mean = sum / (2 * reach + 1);
    sum += values[(i + reach + 1) % n]! - values[(i - reach + n) % n]!;
    return mean;
  });
}
