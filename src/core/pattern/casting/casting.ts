import { Engine } from '../engine';
import { Cells } from '../maps/cells';
import { Drops, GROWTH, type Drop } from '../maps/drops';
import { LayerMap } from '../maps/layer';
import { stood } from '../maps/push';
import { Stir, Tumble, type Reach, type Roll, type Vortex } from '../maps/stir';
import { Withdrawal } from '../maps/withdrawal';
import { between, chanceFrom, seedOf } from '../seeded';
import { bodyWithin, fittedStar } from '../shapes/body';
import { lineStars, type ClosedLine } from '../shapes/closed-line';
import { outlineParts, partStar, within, type Corner, type OutlinePart } from '../shapes/outline-parts';
import { nodesOf, type Star } from '../shapes/star';
import type { Spot } from '../spot';
import { leaning, tumbling, wobble } from '../strokes';
import type { VeinPart } from '../veins/veins';
import type { At, Content, Fall, Falling } from './content';
import { CastingWithPost } from './posts';
import { throwsInto } from './reading';
import { partedBy } from './room-taken';
import { areaWithin, chartViewAt, dropWithin, viewAt, type View } from './view';

/** How steep the side of a region is: it narrows downward by this power of the height. */
const STEEP = 0.2;
/** How all turns over while a heavy colour sinks through it: set by eye. */
const SINKING_ROLLS = { count: 36, turn: 0.7 } as const;
/** How tools lean is drawn apart from all else that is left to chance in a step. */
const LEANS_BY = 0x1ea5;
/** Of the footprint, what a region may cover before it is a layer. */
const FULL = 0.9;

/**
 * A cavity while its steps are gone through: acts pour, push and stir here, and what is asked of the piece is asked of its
 * engine. Lengths in mm of the rim's prism, volumes in mm³.
 */
export class Casting extends CastingWithPost {
  /** Whether what is set in has been parted from the rest. */
  protected done = false;

  /** A heavy colour on what is fluid: how much of it will sink once hands are off. */
  protected heavy: { matter: number; mm3: number; step: string } | undefined;

  /** What stands in the cavity no longer moves. */
  setStill(): void {
    this.settle();
    this.still = this.level;
  }

  /** The piece as it is in the end: what is set in pushes all else aside, once, and nothing is done in it after that. */
  engine(): Engine {
    this.settle();
    const parted = this.done ? undefined : partedBy(this.section, this.embeds);
    this.done = true;
    if (parted) {
      const { stands } = this;
      this.as(this.setInBy ?? this.step, () => this.add(parted));
      this.level = stands;
    }
    return new Engine(this.flows, this.level);
  }

  /** New matter level on all there is. */
  lay(content: Content, mm3: number): void {
    this.ready();
    const rest = this.intoHole(content, mm3);
    if (rest <= 0) return;
    const high = this.level + rest / this.section.area;
    const laid = this.laidOf(content, { low: this.level, high });
    this.add(new LayerMap(this.level, laid));
    this.bookLaid(content, laid, rest);
    this.level = high;
  }

  /** New matter level on all there is, each place of it told; its parts are booked by their shares. */
  layBy(laid: (spot: Spot) => number, mm3: number, parts: readonly VeinPart[]): void {
    this.ready();
    this.add(new LayerMap(this.level, laid));
    this.bookParts(parts, mm3);
    this.level += mm3 / this.section.area;
  }

  /** A puddle at a place: it pushes what is fluid outward; level where nothing is fluid or there is no room beside it. */
  puddle(content: Content, mm3: number, at: At, fall: Fall): void {
    this.ready();
    const rest = this.intoHole(content, mm3);
    if (rest <= 0) return;
    const top = this.level + rest / this.section.area;
    const fluid = { still: this.still, top, room: this.section.area };
    const body = this.level - this.still > 1e-6 ? stood(rest, fluid, fall) : undefined;
    if (!body) return this.lay(content, rest);
    const view = viewAt(this.section, at);
    const outline = bodyWithin(view.wall, body.area, this.chance, fall.uneven ?? { waves: 5, much: 0.04 });
    const room = { low: body.profile.from, high: top, body: { at: view.at, outline } };
    const matter = view.chart ? content.matter : this.laidOf(content, room);
    this.push(view, { body: outline, profile: body.profile, still: this.still, matter });
    this.bookLaid(content, matter, rest);
    this.level = top;
  }

  /** A closed line of a width, laid round a middle that stays: fluid beside it moves in and out. */
  ring(matter: number, mm3: number, line: ClosedLine): boolean {
    this.ready();
    const { still, level } = this;
    const top = level + mm3 / this.section.area;
    const view = viewAt(this.section, line.at);
    if (view.chart || level - still < 1e-6) return false;
    const { inner, ring } = lineStars(view.wall, line);
    // A line that blooms is thick at its own course and thins out from there.
    const power = line.blooms ? 1.4 : 0.5;
    // The line's own thickness follows from its width; a line too full for the depth is wider than asked.
    const thick = Math.min(top - still, (mm3 * (power + 1)) / ring.area);
    const area = (mm3 * (power + 1)) / thick;
    const body = ring.times(area / ring.area);
    // A line that would run over the wall is no ring.
    if (view.wall.less([inner, 1], [body, 1.06]).nearest <= 0) return false;
    const profile = { from: top - thick, top, power };
    this.push(view, {
      body,
      profile,
      still,
      matter,
      middle: { outline: inner, stands: false }
    });
    this.level = top;
    this.book(matter, mm3);
    return true;
  }

  /** Within an outline, flush with what is fluid round it: each part that sees itself whole pushes the rest aside. */
  region(content: Content, mm3: number, outline: readonly Corner[]): void {
    this.ready();
    const parts = outlineParts(outline);
    const area = parts.reduce((s, part) => s + part.area, 0);
    if (!(area > 0)) return this.puddle(content, mm3, { x: 0, y: 0 }, { from: 'low' });
    for (const part of parts) this.pushRegion(content, (mm3 * part.area) / area, part);
  }

  protected pushRegion(content: Content, mm3: number, part: OutlinePart): void {
    const view = viewAt(this.section, part.at);
    const top = this.level + mm3 / this.section.area;
    const corners = view.chart ? part.corners.map(([x, y]) => view.chart!.to(x, y)) : part.corners;
    // No thicker than what is fluid; a region too full for that runs out over its outline.
    const thick = Math.min(top - this.still, (mm3 * (STEEP + 1)) / part.area);
    const area = (mm3 * (STEEP + 1)) / thick;
    if (area > FULL * view.wall.area) return this.lay(content, mm3);
    const body = this.bodyOf(view, { ...part, at: view.at, corners }, area);
    const profile = { from: top - thick, top, power: STEEP };
    const room = { low: profile.from, high: top, body: { at: view.at, outline: body } };
    const matter = view.chart ? content.matter : this.laidOf(content, room);
    this.push(view, { body, profile, still: this.still, matter });
    this.bookLaid(content, matter, mm3);
    this.level = top;
  }

  /** A part's own shape of so much area; a round one where the wall leaves no room for that shape. */
  protected bodyOf(view: View, part: OutlinePart, area: number): Star {
    if (within(part.corners, view.at.x, view.at.y)) {
      const shape = partStar(part);
      const body = fittedStar(view.wall, area, (a) => Math.sqrt(shape.at(nodesOf(Math.cos(a), Math.sin(a)))));
      if (view.wall.less([body, 1]).nearest > 0) return body;
    }
    return bodyWithin(view.wall, area, this.chance, { waves: 3, much: 0.04 });
  }

  /** What lies within an outline is taken out from above, so deep as fits what is poured into it: a crisp edge, flush again. */
  refill(content: Content, mm3: number, outline: readonly Corner[]): void {
    this.settle();
    const inside = (x: number, y: number) => within(outline, x, y);
    const area = areaWithin(this.section, outline);
    if (!(area > 0) || mm3 >= area * this.level) return;
    const from = this.level - mm3 / area;
    const { width, length } = this.section.half;
    this.leaves(mm3, () => {
      const [x, y] = [between(this.chance, -width, width), between(this.chance, -length, length)];
      if (!inside(x, y) || !this.section.contains(x, y)) return undefined;
      return { x, y, z: from + this.chance() * (this.level - from) };
    });
    const laid = this.laidOf(content, { low: from, high: this.level });
    this.add(new LayerMap(from, laid, inside));
    this.bookLaid(content, laid, mm3);
  }

  /** Drops one after another; those of one batch share a level and are squeezed back together. */
  drops(falling: readonly Falling[], still = this.still): void {
    this.ready();
    const view = viewAt(this.section, { x: 0, y: 0 });
    let left = [...falling];
    while (left.length) {
      const height = this.level - still;
      if (height < 1e-6) {
        // Nothing to be pushed aside: the first of them run together to a thin film.
        const first = left.shift()!;
        this.lay({ matter: filmOf(first.matter), parts: [] }, first.mm3);
        continue;
      }
      const batch = batchOf(left, height, this.section.area);
      left = left.slice(batch.length);
      // A drop that is many matters belongs to a jug, which is booked as a whole where its pool is laid.
      for (const { matter, mm3 } of batch) if (typeof matter === 'number') this.book(matter, mm3);
      const drops = batch.map((d) => dropWithin(view, d, d.mm3 / (Math.PI * height)));
      const before = this.level;
      this.level += batch.reduce((s, d) => s + d.mm3, 0) / this.section.area;
      this.charted(
        view,
        new Drops({ at: view.at, wall: view.wall, drops, still, before, after: this.level })
      );
    }
  }

  stir(vortices: readonly Vortex[], reach?: Reach): void {
    this.ready();
    const free = vortices.filter((v) => this.clearOfPost(v, v.radius));
    if (!free.length || this.bare) return;
    const deep = this.level - (reach?.from ?? this.still);
    const leant = leaning(this.section, free, Math.max(0, deep), chanceFrom(this.seedOfStep ^ LEANS_BY));
    this.add(new Stir(leant, this.still, reach, this.level));
  }

  tumble(rolls: readonly Roll[]): void {
    this.ready();
    const free = rolls.filter((r) => this.clearOfPost(r, Math.hypot(r.along, r.across)));
    if (free.length) this.add(new Tumble(free));
  }

  /** So much is drawn out at a place; the rest flows in. What leaves is booked by its matters. */
  withdraw(mm3: number, at: At): void {
    this.ready();
    this.closeHole();
    const height = this.level - this.still;
    const area = height > 0 ? mm3 / height : Infinity;
    if (!(area < 0.9 * this.section.area)) return;
    const view = viewAt(this.section, at);
    const body = fittedStar(view.wall, area, () => 1);
    const after = this.level - mm3 / this.section.area;
    this.leaves(mm3, throwsInto(view, body, this, this.seedOfStep));
    this.charted(
      view,
      new Withdrawal({ at: view.at, wall: view.wall, body, still: this.still, before: this.level, after })
    );
    this.level = after;
  }

  /** Keeps back what will sink of a heavy colour: it stands as lace once hands are off. */
  keepHeavy(matter: number, mm3: number): void {
    if (this.heavy && this.heavy.matter !== matter) this.settle();
    this.book(matter, mm3);
    this.heavy = { step: this.step, matter, mm3: (this.heavy?.mm3 ?? 0) + mm3 };
  }

  /** What was kept back sinks through all that is fluid, as lace between cells. */
  settle(): void {
    this.ready();
    this.closeHole();
    if (!this.heavy) return;
    const { matter, mm3, step } = this.heavy;
    this.heavy = undefined;
    const height = this.level - this.still + mm3 / this.section.area;
    this.level += mm3 / this.section.area;
    const scale = Math.sqrt(this.section.area);
    const share = mm3 / (height * this.section.area);
    const sinking = { matter, share, middle: 0.23 * scale, rim: 0.035 * scale, still: this.still };
    const view = this.section.convex
      ? viewAt(this.section, { x: 0, y: 0 })
      : chartViewAt(this.section, { x: 0, y: 0 });
    // It is the doing of the step that poured it, and its chance, whatever step it settles before.
    const chance = chanceFrom(seedOf(`${this.seed}/${step}/sinks`));
    this.as(step, () => {
      this.charted(view, new Cells(view.section, sinking, chance));
      // Cells stretch as the last of it moves, and their walls lean as it turns over.
      const deep = this.level - this.still;
      const stretched = leaning(this.section, wobble(this.section, 0.5, chance), deep, chance);
      this.add(new Stir(stretched, this.still, undefined, this.level));
      this.add(
        new Tumble(tumbling(this.section, { low: this.still, high: this.level }, SINKING_ROLLS, chance))
      );
    });
  }
}

const filmOf = (matter: Drop['matter']): number =>
  typeof matter === 'number' ? matter : matter({ inward: 0.5, angle: 0, up: 0.5 });

/** The first drops that may fall before the footprint has to be squeezed back. */
function batchOf(left: readonly Falling[], height: number, area: number): Falling[] {
  let grown = 0;
  const batch: Falling[] = [];
  for (const drop of left) {
    grown += drop.mm3 / height / area;
    if (batch.length && grown > GROWTH) break;
    batch.push(drop);
  }
  return batch;
}
