import { Charted } from '../maps/charted';
import { LayerMap } from '../maps/layer';
import { Levelling, type Stood } from '../maps/levelling';
import { between, chanceFrom, seedOf } from '../seeded';
import { sideBySide, type Side } from '../shapes/side-by-side';
import { CastingBooks } from './books';
import type { Content, Way } from './content';

/** How far a border between chambers wavers, of the footprint's width, and how often along it: set by eye. */
const WAVERS = 0.03;
const WAVES = [1, 2, 3, 5] as const;

/** Half the width of a line of beads or clay, mm: a starting value, set by eye. */
const BARRIER = 0.8;

/** What keeps pours apart on the ground: barrier lines, strips side by side, chambers of a divider. */
export abstract class CastingWithDividers extends CastingBooks {
  /** What was poured side by side on bare ground, until the next act. */
  protected sides: (Side & { step: string })[] = [];

  protected barrier: Way | undefined;

  protected strips: { matter: number; mm3: number; step: string }[] = [];

  protected chambers: (Stood & { id: string })[] = [];

  /** How the borders between the chambers that are filled now waver; they are straight where what stood in them was uneven. */
  protected borders: { wavers?: ((along: number, z: number) => number) | undefined } = {};

  /** Before anything else is done: what stands side by side has its ground. */
  protected ready(): void {
    this.layStrips();
    if (!this.sides.length) return;
    const sides = this.sides;
    this.sides = [];
    const whose = sideBySide(this.section, sides, this.barrier);
    // What is poured later rises over the line.
    this.barrier = undefined;
    sides.forEach(({ step, matter }, i) =>
      this.as(step, () => this.add(new LayerMap(this.level, matter, (x, y) => whose(x, y) === i)))
    );
    this.level += sides.reduce((s, side) => s + side.mm3, 0) / this.section.area;
  }

  protected layStrips(): void {
    const strips = this.strips;
    if (!strips.length) return;
    this.strips = [];
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
      this.as(step, () => this.add(new LayerMap(this.level, matter, within)));
      from += mm3;
    }
    this.level += whole / this.section.area;
  }

  /** On bare ground: it stands beside what else is poured there, and all of them share the ground by their volumes. */
  beside(matter: number, mm3: number, way: Way): void {
    this.book(matter, mm3);
    this.sides.push({ matter, mm3, way, step: this.step });
  }

  /** A line from wall to wall, so high, that keeps the next two pours on bare ground apart. */
  standBarrier(way: Way, height: number): void {
    this.barrier = way;
    this.embed({ kind: 'line', way, radius: BARRIER, low: this.level, high: this.level + height });
  }

  /** The line comes out again: what it kept apart stays as it stands. */
  liftBarrier(): void {
    this.ready();
    this.barrier = undefined;
    const stay = this.embeds.filter((e) => e.kind !== 'line');
    this.embeds.splice(0, this.embeds.length, ...stay);
  }

  /** The next strip of bare ground, from the left, as wide as its volume asks. */
  strip(matter: number, mm3: number): void {
    this.book(matter, mm3);
    this.strips.push({ matter, mm3, step: this.step });
  }

  /** Into one chamber of a divider, given as shares of the footprint from the left. */
  chamber(content: Content, mm3: number, place: { id: string; from: number; to: number }): void {
    let own = this.chambers.find((c) => c.id === place.id);
    if (!own) this.chambers.push((own = { ...place, level: this.level }));
    const high = own.level + mm3 / (this.section.area * (place.to - place.from));
    const chart = this.section.chartAt(0, 0);
    const { width, length } = chart.onto.half;
    const { borders } = this;
    borders.wavers ??= this.waverings();
    const inside = (x: number, y: number, z: number) => {
      const [u, v] = chart.to(x, y);
      const share = u / (2 * width) + 0.5;
      const along = v / (2 * length) + 0.5;
      // The walls of the cavity are no borders.
      const edge = (at: number) => (at > 1e-6 && at < 1 - 1e-6 ? at + (borders.wavers?.(along, z) ?? 0) : at);
      return share >= edge(place.from) && share < edge(place.to);
    };
    const laid = this.laidOf(content, { low: own.level, high });
    this.add(new LayerMap(own.level, laid, inside));
    this.bookLaid(content, laid, mm3);
    own.level = high;
  }

  /**
   * How far a border between chambers stands off its own place, as a share of the footprint's width: at every height as much to one
   * side as to the other, so that each chamber keeps its area there.
   */
  protected waverings(): (along: number, z: number) => number {
    const chance = chanceFrom(seedOf(`${this.seed}/dividers`));
    const scale = Math.sqrt(this.section.area);
    const waves = WAVES.map((many) => ({
      many: 2 * Math.PI * many,
      high: (WAVERS * between(chance, 0.4, 1)) / many,
      from: chance() * 2 * Math.PI,
      turns: (between(chance, -1, 1) * 2 * Math.PI * Math.sqrt(many)) / (0.5 * scale)
    }));
    return (along, z) =>
      waves.reduce((s, w) => s + w.high * Math.sin(w.many * along + w.from + w.turns * z), 0);
  }

  /** The divider comes out and what stood in its chambers finds one level. */
  liftDivider(): void {
    this.ready();
    if (!this.chambers.length) return;
    const ground = this.level;
    const parts = [...this.chambers].sort((a, b) => a.from - b.from);
    const whole = parts.reduce((s, c) => s + (c.to - c.from) * (c.level - ground), 0);
    this.chambers = [];
    if (whole <= 0) return;
    this.level = ground + whole;
    const uneven = parts.some((c) => Math.abs(c.level - this.level) > 1e-9);
    // What runs over a border to find one level takes its place by straight ones.
    if (uneven) this.borders.wavers = undefined;
    this.borders = {};
    const chart = this.section.chartAt(0, 0);
    if (uneven) this.add(new Charted(chart, new Levelling(parts, 2 * chart.onto.half.width, ground)));
  }
}
