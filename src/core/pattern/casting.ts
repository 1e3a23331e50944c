import { sideBySide, type Side } from './shapes/side-by-side';
import { bodyWithin, fittedStar, type Uneven } from './shapes/body';
import { lineStars, type ClosedLine } from './shapes/closed-line';
import { Engine } from './engine';
import { Cells } from './maps/cells';
import { Charted } from './maps/charted';
import { Drops, GROWTH, type Drop } from './maps/drops';
import { LayerMap, type Laid } from './maps/layer';
import { Levelling, type Stood } from './maps/levelling';
import { Push, stood, type Pushed } from './maps/push';
import { Stir, Tumble, type Reach, type Roll, type Vortex } from './maps/stir';
import { Withdrawal } from './maps/withdrawal';
import type { Chart, Section } from './shapes/section';
import { between, chanceFrom, seedOf, type Chance } from './seeded';
import { isIn, type Embedded, type Film } from './shapes/solids';
import type { Flow, Spot } from './spot';
import { outlineParts, partStar, within, type Corner, type OutlinePart } from './shapes/outline-parts';
import { nodesOf, Star } from './shapes/star';
import { wobble } from './strokes';
import { veined, type VeinPart, type Unstirred } from './veins';

type At = { x: number; y: number };
type Way = readonly (readonly [number, number])[];

/** What a cup holds: its own matter, and what it is made of where it is not one colour. */
export interface Content {
  matter: number;
  parts: readonly VeinPart[];
  unstirred?: Unstirred;
}

/** How a puddle stands: from low as a bowl, from high down to the ground; and how uneven. */
export interface Fall {
  from: 'low' | 'high';
  uneven?: Uneven;
}

/** A drop before it is known how wide it lies: where, how much, of what. */
export type Falling = At & { mm3: number; matter: Drop['matter'] };

/** What is seen from a place: the footprint itself, or its chart where some wall is hidden from there. */
interface View {
  at: At;
  wall: Star;
  section: Section;
  chart?: Chart;
}

/**
 * A cavity while its steps are gone through: how high it stands, what of it is still, and the maps so far. Lengths in mm
 * of the rim's prism, volumes in mm³. Acts pour, push and stir here; what is asked of the piece is asked of its engine.
 */
export class Casting {
  readonly flows: Flow[] = [];
  /** The step that each flow belongs to. */
  readonly steps: string[] = [];
  level = 0;
  still = 0;
  chance: Chance = chanceFrom(1);
  readonly embeds: Embedded[] = [];
  readonly films: Film[] = [];
  /** How much is taken off the open face, mm. */
  milled = 0;
  /** mm³ of each matter as it was poured, and of that what is in the cavity still. */
  readonly poured = new Map<number, number>();
  readonly held = new Map<number, number>();
  #step = '';
  #seed = 1;
  #post: { view: View; outline: Star; ground: number } | undefined;
  #lifted = false;
  /** What was poured side by side on bare ground, until the next act. */
  #sides: (Side & { step: string })[] = [];
  #barrier: Way | undefined;
  #strips: { matter: number; mm3: number; step: string }[] = [];
  #chambers: (Stood & { id: string })[] = [];
  /** A heavy colour on what is fluid: how much of it will sink once hands are off. */
  #heavy: { matter: number; mm3: number; step: string } | undefined;

  constructor(
    readonly section: Section,
    private readonly seed: string,
    /** A bar that is cut across: what is poured along it lies lengthwise. */
    readonly bar = false
  ) {}

  /** Begins a step: chance is its own, so that one step's change leaves the others' as they were. */
  begin(stepId: string): void {
    this.#step = stepId;
    this.#seed = seedOf(`${this.seed}/${stepId}`);
    this.chance = chanceFrom(this.#seed);
  }

  /** What stands in the cavity no longer moves. */
  setStill(): void {
    this.settle();
    this.still = this.level;
  }

  engine(): Engine {
    this.settle();
    return new Engine(this.flows, this.level);
  }

  /** What a cup's content is where it is poured: its matter, or its veins told by the place within a room. */
  laidOf(content: Content, room: { low: number; high: number; body?: { at: At; outline: Star } }): Laid {
    if (!content.unstirred || content.parts.length < 2) return content.matter;
    const { half } = this.section;
    const contains = (x: number, y: number) => {
      if (!room.body) return this.section.contains(x, y);
      const [dx, dy] = [x - room.body.at.x, y - room.body.at.y];
      return dx * dx + dy * dy < room.body.outline.at(nodesOf(dx, dy));
    };
    return veined(content.unstirred, content.parts, { ...half, ...room, contains }, this.#seed);
  }

  #book(matter: number, mm3: number): void {
    this.held.set(matter, (this.held.get(matter) ?? 0) + mm3);
    if (mm3 > 0) this.poured.set(matter, (this.poured.get(matter) ?? 0) + mm3);
  }

  /** Books a content as it was laid: as its one matter, or each of its parts. */
  #bookLaid(content: Content, laid: Laid, mm3: number): void {
    if (typeof laid === 'number') this.#book(laid, mm3);
    else this.#bookParts(content.parts, mm3);
  }

  /** Books what is laid place by place. */
  #bookParts(parts: readonly VeinPart[], mm3: number): void {
    for (const { matter, share } of parts) this.#book(matter, share * mm3);
  }

  /** Before anything else is done: what stands side by side has its ground. */
  #ready(): void {
    this.#layStrips();
    if (!this.#sides.length) return;
    const sides = this.#sides;
    this.#sides = [];
    const whose = sideBySide(this.section, sides, this.#barrier);
    // What is poured later rises over the line.
    this.#barrier = undefined;
    sides.forEach(({ step, matter }, i) =>
      this.#as(step, () => this.#add(new LayerMap(this.level, matter, (x, y) => whose(x, y) === i)))
    );
    this.level += sides.reduce((s, side) => s + side.mm3, 0) / this.section.area;
  }

  #layStrips(): void {
    const strips = this.#strips;
    if (!strips.length) return;
    this.#strips = [];
    const whole = strips.reduce((s, c) => s + c.mm3, 0);
    const chart = this.section.chartAt(0, 0);
    const width = 2 * chart.onto.half.width;
    let from = 0;
    for (const { step, matter, mm3 } of strips) {
      const [low, high] = [from / whole - 0.5, (from + mm3) / whole - 0.5];
      const within = (x: number, y: number) => {
        const share = chart.to(x, y)[0] / width;
        return share >= low && share < high;
      };
      this.#as(step, () => this.#add(new LayerMap(this.level, matter, within)));
      from += mm3;
    }
    this.level += whole / this.section.area;
  }

  /** New matter level on all there is. */
  lay(content: Content, mm3: number): void {
    this.#ready();
    const rest = this.#intoHole(content, mm3);
    if (rest <= 0) return;
    const high = this.level + rest / this.section.area;
    const laid = this.laidOf(content, { low: this.level, high });
    this.#add(new LayerMap(this.level, laid));
    this.#bookLaid(content, laid, rest);
    this.level = high;
  }

  /** New matter level on all there is, each place of it told; its parts are booked by their shares. */
  layBy(laid: (spot: Spot) => number, mm3: number, parts: readonly VeinPart[]): void {
    this.#ready();
    this.#add(new LayerMap(this.level, laid));
    this.#bookParts(parts, mm3);
    this.level += mm3 / this.section.area;
  }

  /** On bare ground: it stands beside what else is poured there, and all of them share the ground by their volumes. */
  beside(matter: number, mm3: number, way: Way): void {
    this.#book(matter, mm3);
    this.#sides.push({ matter, mm3, way, step: this.#step });
  }

  /** Whether nothing that is still fluid stands in the cavity. */
  get bare(): boolean {
    return this.level - this.still < 1e-6;
  }

  /** A line from wall to wall, so high, that keeps the next two pours on bare ground apart. */
  standBarrier(way: Way, height: number): void {
    this.#barrier = way;
    this.embed({ kind: 'line', way, radius: BARRIER, low: this.level, high: this.level + height });
  }

  /** The line comes out again: what it kept apart stays as it stands. */
  liftBarrier(): void {
    this.#ready();
    this.#barrier = undefined;
    const stay = this.embeds.filter((e) => e.kind !== 'line');
    this.embeds.splice(0, this.embeds.length, ...stay);
  }

  /** The next strip of bare ground, from the left, as wide as its volume asks. */
  strip(matter: number, mm3: number): void {
    this.#book(matter, mm3);
    this.#strips.push({ matter, mm3, step: this.#step });
  }

  /** Something solid that keeps its place. */
  embed(body: Embedded): void {
    this.embeds.push(body);
  }

  /** Whether something solid is at a place of the prism. */
  solidAt(spot: Spot): boolean {
    return this.embeds.some((e) => isIn(e, spot));
  }

  /** Dry colour on the mould face; an earlier film stays in front. */
  film(film: Film): void {
    this.films.push(film);
  }

  /** Colour put on the face afterwards: in front of all that was there. */
  filmOver(film: Film): void {
    this.films.unshift(film);
  }

  /** A puddle at a place: it pushes what is fluid outward; level where nothing is fluid or there is no room beside it. */
  puddle(content: Content, mm3: number, at: At, fall: Fall): void {
    this.#ready();
    const rest = this.#intoHole(content, mm3);
    if (rest <= 0) return;
    const top = this.level + rest / this.section.area;
    const fluid = { still: this.still, top, room: this.section.area };
    const body = this.level - this.still > 1e-6 ? stood(rest, fluid, fall) : undefined;
    if (!body) return this.lay(content, rest);
    const view = this.#view(at);
    const outline = bodyWithin(view.wall, body.area, this.chance, fall.uneven ?? { waves: 5, much: 0.04 });
    const room = { low: body.profile.from, high: top, body: { at: view.at, outline } };
    const matter = view.chart ? content.matter : this.laidOf(content, room);
    this.#push(view, { body: outline, profile: body.profile, still: this.still, matter });
    this.#bookLaid(content, matter, rest);
    this.level = top;
  }

  /** A closed line of a width, laid round a middle that stays: fluid beside it moves in and out. */
  ring(matter: number, mm3: number, line: ClosedLine): boolean {
    this.#ready();
    const { still, level } = this;
    const top = level + mm3 / this.section.area;
    const view = this.#view(line.at);
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
    this.#push(view, {
      body,
      profile,
      still,
      matter,
      middle: { outline: inner, stands: false }
    });
    this.level = top;
    this.#book(matter, mm3);
    return true;
  }

  /** Within an outline, flush with what is fluid round it: each part that sees itself whole pushes the rest aside. */
  region(content: Content, mm3: number, outline: readonly Corner[]): void {
    this.#ready();
    const parts = outlineParts(outline);
    const area = parts.reduce((s, part) => s + part.area, 0);
    if (!(area > 0)) return this.puddle(content, mm3, { x: 0, y: 0 }, { from: 'low' });
    for (const part of parts) this.#pushRegion(content, (mm3 * part.area) / area, part);
  }

  #pushRegion(content: Content, mm3: number, part: OutlinePart): void {
    const view = this.#view(part.at);
    const top = this.level + mm3 / this.section.area;
    const corners = view.chart ? part.corners.map(([x, y]) => view.chart!.to(x, y)) : part.corners;
    // No thicker than what is fluid; a region too full for that runs out over its outline.
    const thick = Math.min(top - this.still, (mm3 * (STEEP + 1)) / part.area);
    const area = (mm3 * (STEEP + 1)) / thick;
    if (area > FULL * view.wall.area) return this.lay(content, mm3);
    const body = this.#bodyOf(view, { ...part, at: view.at, corners }, area);
    const profile = { from: top - thick, top, power: STEEP };
    const room = { low: profile.from, high: top, body: { at: view.at, outline: body } };
    const matter = view.chart ? content.matter : this.laidOf(content, room);
    this.#push(view, { body, profile, still: this.still, matter });
    this.#bookLaid(content, matter, mm3);
    this.level = top;
  }

  /** A part's own shape of so much area; a round one where the wall leaves no room for that shape. */
  #bodyOf(view: View, part: OutlinePart, area: number): Star {
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
    const area = this.#areaOf(outline);
    if (!(area > 0) || mm3 >= area * this.level) return;
    const from = this.level - mm3 / area;
    const { width, length } = this.section.half;
    this.#leaves(mm3, () => {
      const [x, y] = [between(this.chance, -width, width), between(this.chance, -length, length)];
      if (!inside(x, y) || !this.section.contains(x, y)) return undefined;
      return { x, y, z: from + this.chance() * (this.level - from) };
    });
    const laid = this.laidOf(content, { low: from, high: this.level });
    this.#add(new LayerMap(from, laid, inside));
    this.#bookLaid(content, laid, mm3);
  }

  /** How much of an outline lies inside the footprint, mm². */
  #areaOf(outline: readonly Corner[]): number {
    const { width, length } = this.section.half;
    let hits = 0;
    for (let i = 0; i < FINE; i++)
      for (let k = 0; k < FINE; k++) {
        const [x, y] = [width * ((2 * i + 1) / FINE - 1), length * ((2 * k + 1) / FINE - 1)];
        if (within(outline, x, y) && this.section.contains(x, y)) hits++;
      }
    return (4 * width * length * hits) / FINE ** 2;
  }

  /** A round over the top of a post: a ring next to it that pushes the rings before outward. */
  overPost(matter: number, mm3: number, at: At, post: (angle: number) => number): void {
    this.#ready();
    if (!this.#post || this.#lifted) this.#standPost(at, post);
    const { view, outline, ground } = this.#post!;
    const fluid = this.section.area - outline.area;
    const top = this.level + mm3 / fluid;
    const stand =
      this.level - this.still > 1e-6 &&
      stood(mm3, { still: this.still, top, room: fluid }, { from: 'low', deep: 1.3, power: 0.5 });
    if (!stand) {
      const where = this.#outside(view, outline);
      this.#add(new LayerMap(this.level, matter, where));
    } else {
      // Rings follow the post's outline and lose its points slowly as they spread.
      const spread = fittedStar(
        view.wall,
        stand.area,
        (a) => outline.at(nodesOf(Math.cos(a), Math.sin(a))) ** 0.375
      );
      this.#push(view, {
        body: spread,
        profile: stand.profile,
        still: Math.max(this.still, ground),
        matter,
        middle: { outline, stands: true }
      });
    }
    this.level = top;
    this.#book(matter, mm3);
  }

  /** The post comes out; what it leaves is filled by the next pour, or closes. */
  liftPost(): void {
    if (this.#post) this.#lifted = true;
  }

  /** Drops one after another; those of one batch share a level and are squeezed back together. */
  drops(falling: readonly Falling[], still = this.still): void {
    this.#ready();
    const view = this.#view({ x: 0, y: 0 });
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
      for (const { matter, mm3 } of batch) if (typeof matter === 'number') this.#book(matter, mm3);
      const drops = batch.map((d) => this.#within(view, d, d.mm3 / (Math.PI * height)));
      const before = this.level;
      this.level += batch.reduce((s, d) => s + d.mm3, 0) / this.section.area;
      this.#charted(
        view,
        new Drops({ at: view.at, wall: view.wall, drops, still, before, after: this.level })
      );
    }
  }

  stir(vortices: readonly Vortex[], reach?: Reach): void {
    this.#ready();
    const free = vortices.filter((v) => this.#clearOfPost(v, v.radius));
    if (free.length && !this.bare) this.#add(new Stir(free, this.still, reach));
  }

  tumble(rolls: readonly Roll[]): void {
    this.#ready();
    const free = rolls.filter((r) => this.#clearOfPost(r, Math.hypot(r.along, r.across)));
    if (free.length) this.#add(new Tumble(free));
  }

  /** Nothing turns through a post that stands there. */
  #clearOfPost({ x, y }: At, radius: number): boolean {
    if (!this.#post) return true;
    const { view, outline } = this.#post;
    const [px, py] = view.chart ? view.chart.from(view.at.x, view.at.y) : [view.at.x, view.at.y];
    return Math.hypot(x - px, y - py) >= radius + outline.reach;
  }

  /** So much is drawn out at a place; the rest flows in. What leaves is booked by its matters. */
  withdraw(mm3: number, at: At): void {
    this.#ready();
    this.#closeHole();
    const height = this.level - this.still;
    const area = height > 0 ? mm3 / height : Infinity;
    if (!(area < 0.9 * this.section.area)) return;
    const view = this.#view(at);
    const body = fittedStar(view.wall, area, () => 1);
    const after = this.level - mm3 / this.section.area;
    this.#count(view, body, mm3);
    this.#charted(
      view,
      new Withdrawal({ at: view.at, wall: view.wall, body, still: this.still, before: this.level, after })
    );
    this.level = after;
  }

  /** Into one chamber of a divider, given as shares of the footprint from the left. */
  chamber(content: Content, mm3: number, place: { id: string; from: number; to: number }): void {
    let own = this.#chambers.find((c) => c.id === place.id);
    if (!own) this.#chambers.push((own = { ...place, level: this.level }));
    const high = own.level + mm3 / (this.section.area * (place.to - place.from));
    const chart = this.section.chartAt(0, 0);
    const width = 2 * chart.onto.half.width;
    const inside = (x: number, y: number) => {
      const share = chart.to(x, y)[0] / width + 0.5;
      return share >= place.from && share < place.to;
    };
    const laid = this.laidOf(content, { low: own.level, high });
    this.#add(new LayerMap(own.level, laid, inside));
    this.#bookLaid(content, laid, mm3);
    own.level = high;
  }

  /** The divider comes out and what stood in its chambers finds one level. */
  liftDivider(): void {
    this.#ready();
    if (!this.#chambers.length) return;
    const ground = this.level;
    const parts = [...this.#chambers].sort((a, b) => a.from - b.from);
    const whole = parts.reduce((s, c) => s + (c.to - c.from) * (c.level - ground), 0);
    this.#chambers = [];
    if (whole <= 0) return;
    this.level = ground + whole;
    const uneven = parts.some((c) => Math.abs(c.level - this.level) > 1e-9);
    const chart = this.section.chartAt(0, 0);
    if (uneven) this.#add(new Charted(chart, new Levelling(parts, 2 * chart.onto.half.width, ground)));
  }

  /** Keeps back what will sink of a heavy colour: it stands as lace once hands are off. */
  keepHeavy(matter: number, mm3: number): void {
    if (this.#heavy && this.#heavy.matter !== matter) this.settle();
    this.#book(matter, mm3);
    this.#heavy = { step: this.#step, matter, mm3: (this.#heavy?.mm3 ?? 0) + mm3 };
  }

  /** What was kept back sinks through all that is fluid, as lace between cells. */
  settle(): void {
    this.#ready();
    this.#closeHole();
    if (!this.#heavy) return;
    const { matter, mm3, step } = this.#heavy;
    this.#heavy = undefined;
    const height = this.level - this.still + mm3 / this.section.area;
    this.level += mm3 / this.section.area;
    const scale = Math.sqrt(this.section.area);
    const share = mm3 / (height * this.section.area);
    const sinking = { matter, share, middle: 0.23 * scale, rim: 0.035 * scale, still: this.still };
    const view = this.section.convex ? this.#view({ x: 0, y: 0 }) : this.#chartView({ x: 0, y: 0 });
    // It is the doing of the step that poured it, and its chance, whatever step it settles before.
    const chance = chanceFrom(seedOf(`${this.seed}/${step}/sinks`));
    this.#as(step, () => {
      this.#charted(view, new Cells(view.section, sinking, chance));
      // Cells stretch as the last of it moves.
      this.#add(new Stir(wobble(this.section, 0.5, chance), this.still));
    });
  }

  /** Does something in the name of an earlier step. */
  #as(step: string, work: () => void): void {
    const now = this.#step;
    this.#step = step;
    work();
    this.#step = now;
  }

  #add(flow: Flow): void {
    this.flows.push(flow);
    this.steps.push(this.#step);
  }

  #charted({ chart }: View, flow: Flow): void {
    this.#add(chart ? new Charted(chart, flow) : flow);
  }

  #push(view: View, pushed: Omit<Pushed, 'at' | 'wall'>): void {
    this.#charted(view, new Push({ at: view.at, wall: view.wall, ...pushed }));
  }

  /** The wall as seen from a place, moved a little inward where it stands on the wall. */
  #view(at: At): View {
    const inside =
      this.section.wall(at.x, at.y) > 0.02 * Math.sqrt(this.section.area) ? at : this.#inward(at);
    const wall = this.section.starAt(inside.x, inside.y);
    return wall ? { at: inside, wall, section: this.section } : this.#chartView(inside);
  }

  #chartView(inside: At): View {
    const chart = this.section.chartAt(inside.x, inside.y);
    const [x, y] = chart.to(inside.x, inside.y);
    return { at: { x, y }, wall: chart.onto.starAt(x, y)!, section: chart.onto, chart };
  }

  #inward(at: At): At {
    const enough = 0.02 * Math.sqrt(this.section.area);
    for (let k = 0.97; k > 0.02; k -= 0.03)
      if (this.section.wall(at.x * k, at.y * k) > enough) return { x: at.x * k, y: at.y * k };
    return this.#anywhere(enough);
  }

  /** A place inside, where the middle of the footprint is none: of a ring, or round a corner. */
  #anywhere(enough: number): At {
    const { width, length } = this.section.half;
    for (let i = 1; i < 40; i++)
      for (let j = 1; j < 40; j++) {
        const at = { x: width * (i / 20 - 1), y: length * (j / 20 - 1) };
        if (this.section.wall(at.x, at.y) > enough) return at;
      }
    return { x: 0, y: 0 };
  }

  /** A drop that keeps its own radius from the wall, seen in the view's coordinates. */
  #within(view: View, falling: Falling, squared: number): Drop {
    const [x0, y0] = view.chart ? view.chart.to(falling.x, falling.y) : [falling.x, falling.y];
    const reach = Math.sqrt(squared) * 1.02;
    for (let k = 1; k > 0; k -= 0.04) {
      const x = view.at.x + (x0 - view.at.x) * k;
      const y = view.at.y + (y0 - view.at.y) * k;
      if (view.section.wall(x, y) >= reach) return { x, y, squared, matter: falling.matter };
    }
    return { ...view.at, squared, matter: falling.matter };
  }

  #standPost(at: At, post: (angle: number) => number): void {
    this.#closeHole();
    const view = this.#view(at);
    const outline = fittedStar(view.wall, Star.of(post).area, post);
    this.#post = { view, outline, ground: this.level };
    this.#lifted = false;
  }

  #outside({ at, chart }: View, outline: Star): (x: number, y: number) => boolean {
    return (px, py) => {
      const [x, y] = chart ? chart.to(px, py) : [px, py];
      const [dx, dy] = [x - at.x, y - at.y];
      return dx * dx + dy * dy >= outline.at(nodesOf(dx, dy));
    };
  }

  /** Fills what a lifted post left, as far as there is enough; what is over is answered, mm³. */
  #intoHole({ matter }: Content, mm3: number): number {
    if (!this.#post || !this.#lifted) return mm3;
    const { view, outline, ground } = this.#post;
    const hole = outline.area * (this.level - ground);
    const filled = Math.min(1, mm3 / hole);
    const inner = outline.times(Math.max(1e-9, 1 - filled));
    const beyond = this.#outside(view, outline);
    const within = this.#outside(view, inner);
    this.#add(new LayerMap(ground, matter, (x, y) => !beyond(x, y) && within(x, y)));
    this.#book(matter, filled * hole);
    this.#post = filled < 1 ? { view, outline: inner, ground } : undefined;
    if (filled < 1) this.#closeHole();
    return mm3 - filled * hole;
  }

  #closeHole(): void {
    if (!this.#post || !this.#lifted) return;
    const { view, outline, ground } = this.#post;
    this.#post = undefined;
    const share = (this.section.area - outline.area) / this.section.area;
    const after = ground + (this.level - ground) * share;
    this.#charted(
      view,
      new Withdrawal({
        at: view.at,
        wall: view.wall,
        body: outline,
        still: ground,
        before: this.level,
        after
      })
    );
    this.level = after;
  }

  /** What matters leave with a body. */
  #count(view: View, body: Star, mm3: number): void {
    const chance = chanceFrom(this.#seed ^ 0x2545f491);
    const reach = body.reach;
    this.#leaves(mm3, () => {
      const [dx, dy] = [(2 * chance() - 1) * reach, (2 * chance() - 1) * reach];
      if (dx * dx + dy * dy >= body.at(nodesOf(dx, dy))) return undefined;
      const [x, y] = view.chart
        ? view.chart.from(view.at.x + dx, view.at.y + dy)
        : [view.at.x + dx, view.at.y + dy];
      return { x, y, z: this.still + chance() * (this.level - this.still) };
    });
  }

  /** Books what leaves by its matters, by looking at many places of it; a throw may miss. */
  #leaves(mm3: number, thrown: () => Spot | undefined): void {
    const engine = new Engine(this.flows, this.level);
    const counts = new Map<number, number>();
    let all = 0;
    for (let throws = 0; all < LEAVING && throws < 200 * LEAVING; throws++) {
      const spot = thrown();
      if (!spot) continue;
      const matter = engine.matterAt(spot);
      counts.set(matter, (counts.get(matter) ?? 0) + 1);
      all++;
    }
    for (const [matter, n] of counts) this.#book(matter, (-mm3 * n) / all);
  }
}

/** Half the width of a line of beads or clay, mm: a starting value, set by eye. */
const BARRIER = 0.8;

/** How steep the side of a region is: it narrows downward by this power of the height. */
const STEEP = 0.2;
/** Of the footprint, what a region may cover before it is a layer. */
const FULL = 0.9;
/** Places across, by which the area of an outline inside a footprint is counted. */
const FINE = 300;

/** Places at which what is drawn out is looked at. */
const LEAVING = 20_000;

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
