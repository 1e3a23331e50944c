import { Charted } from '../maps/charted';
import type { Laid } from '../maps/layer';
import { levelWith } from '../maps/parted';
import { Push, type Pushed } from '../maps/push';
import { chanceFrom, seedOf, type Chance } from '../seeded';
import type { Section } from '../shapes/section';
import { isIn, type Embedded, type Film } from '../shapes/solids';
import { nodesOf, type Star } from '../shapes/star';
import type { Flow, Spot } from '../spot';
import { veined, type VeinPart } from '../veins/veins';
import type { At, Content } from './content';
import { sharesAt } from './reading';
import { standingOf } from './room-taken';
import type { View } from './view';

/** Lists and tables are written on from step to step; what stands in them is not changed any more. */
function copied(of: unknown): unknown {
  if (Array.isArray(of)) return [...(of as unknown[])];
  return of instanceof Map ? new Map(of) : of;
}

/**
 * The books of a cavity while its steps are gone through: how high it stands, what of it is still, the maps so far and whose
 * they are, and how much of each matter went in and is in it. Lengths in mm of the rim's prism, volumes in mm³.
 */
export abstract class CastingBooks {
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

  protected step = '';

  /** The last step that set something in. */
  protected setInBy: string | undefined;

  /** The seed of the step that is done. */
  protected seedOfStep = 1;

  constructor(
    readonly section: Section,
    protected readonly seed: string,
    /** A bar that is cut across: what is poured along it lies lengthwise. */
    readonly bar = false
  ) {}

  /** Begins a step: chance is its own, so that one step's change leaves the others' as they were. */
  begin(stepId: string): void {
    this.step = stepId;
    this.seedOfStep = seedOf(`${this.seed}/${stepId}`);
    this.chance = chanceFrom(this.seedOfStep);
  }

  /** The same cavity once more, between two steps: what is done in the one from here on is not done in the other. */
  fork(): this {
    const own = Object.entries(this).map(([name, of]) => [name, copied(of)]);
    return Object.assign(
      Object.create(Object.getPrototypeOf(this) as object),
      Object.fromEntries(own)
    ) as this;
  }

  /** Whether nothing that is still fluid stands in the cavity. */
  get bare(): boolean {
    return this.level - this.still < 1e-6;
  }

  /** How high it stands with what is set in so far, mm; `level` is the fluid alone. */
  get stands(): number {
    return levelWith(this.level, standingOf(this.embeds), this.section.area);
  }

  /** What is solid at a place of the prism; nothing where it is poured. */
  solidAt(spot: Spot): Embedded | undefined {
    return this.embeds.find((e) => isIn(e, spot));
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
    return veined(content.unstirred, content.parts, { ...half, ...room, contains }, this.seedOfStep);
  }

  protected book(matter: number, mm3: number): void {
    this.held.set(matter, (this.held.get(matter) ?? 0) + mm3);
    if (mm3 > 0) this.poured.set(matter, (this.poured.get(matter) ?? 0) + mm3);
  }

  /** Books a content as it was laid: as its one matter, or each of its parts. */
  protected bookLaid(content: Content, laid: Laid, mm3: number): void {
    if (typeof laid === 'number') this.book(laid, mm3);
    else this.bookParts(content.parts, mm3);
  }

  /** Books what is laid place by place. */
  protected bookParts(parts: readonly VeinPart[], mm3: number): void {
    for (const { matter, share } of parts) this.book(matter, share * mm3);
  }

  /** Does something in the name of an earlier step. */
  protected as(step: string, work: () => void): void {
    const now = this.step;
    this.step = step;
    work();
    this.step = now;
  }

  protected add(flow: Flow): void {
    this.flows.push(flow);
    this.steps.push(this.step);
  }

  protected charted({ chart }: View, flow: Flow): void {
    this.add(chart ? new Charted(chart, flow) : flow);
  }

  protected push(view: View, pushed: Omit<Pushed, 'at' | 'wall'>): void {
    this.charted(view, new Push({ at: view.at, wall: view.wall, ...pushed }));
  }

  /** Something solid that keeps its place. */
  embed(body: Embedded): void {
    this.embeds.push(body);
    this.setInBy = this.step;
  }

  /** Dry colour on the mould face; an earlier film stays in front. */
  film(film: Film): void {
    this.films.push(film);
  }

  /** Colour put on the face afterwards: in front of all that was there. */
  filmOver(film: Film): void {
    this.films.unshift(film);
  }

  /** Books what leaves by its matters, by looking at many places of it. */
  protected leaves(mm3: number, thrown: () => Spot | undefined): void {
    for (const [matter, share] of sharesAt(this, thrown)) this.book(matter, -mm3 * share);
  }
}
