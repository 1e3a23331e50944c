import { angleOfNodes, NODES, nodesOf, type Star } from '../shapes/star';

/** What stays inside a ring: fluid that the ring is laid round, or a post that stands there and never moves. */
export interface Middle {
  outline: Star;
  stands: boolean;
}

/**
 * How what is fluid at one height lies round a body: between its edge and the wall, each direction by the area it had. The body
 * takes a share `k` of its own largest area at that height; without it (k = 0) the fluid filled all that is inside the wall. The
 * map keeps area for any outline: areas outside the body are those of before over `grown`.
 */
export class Aside {
  readonly #outer: Star;
  /** The area of what is fluid without the body, mm². */
  readonly fluid: number;

  constructor(
    private readonly at: { x: number; y: number },
    /** The wall as seen from the middle. */
    private readonly wall: Star,
    /** The body's largest outline. */
    private readonly body: Star,
    private readonly middle?: Middle | undefined
  ) {
    this.#outer = middle ? wall.less([middle.outline, 1]) : wall;
    this.fluid = middle?.stands ? wall.area - middle.outline.area : wall.area;
  }

  /**
   * Moves a place to where it was without the body; its height stays.
   * @returns whether it is in the body instead: then it is not moved
   */
  undo(spot: { x: number; y: number }, k: number): boolean {
    const dx = spot.x - this.at.x;
    const dy = spot.y - this.at.y;
    const r = dx * dx + dy * dy;
    const u = nodesOf(dx, dy);
    const grown = this.#grown(k);
    const inner = this.#inner(u, grown);
    if (r < inner) {
      // The middle stays a middle: it only draws together by what the ring takes.
      if (!this.middle!.stands) this.#scale(spot, Math.sqrt(grown));
      return false;
    }
    const edge = inner + k * this.body.at(u);
    if (r < edge) return true;
    this.#unsqueeze(spot, { r, u, edge, k, grown });
    return false;
  }

  /** The inverse of `undo`, for a place that was fluid without the body. */
  redo(spot: { x: number; y: number }, k: number): void {
    const [dx, dy] = [spot.x - this.at.x, spot.y - this.at.y];
    const r = dx * dx + dy * dy;
    const phi = nodesOf(dx, dy);
    const grown = this.#grown(k);
    const own = this.middle ? this.middle.outline.at(phi) : 0;
    if (r < own) {
      if (!this.middle!.stands) this.#scale(spot, 1 / Math.sqrt(grown));
      return;
    }
    const u = this.#angleAfter(phi, k, grown);
    const edge = this.#inner(u, grown) + k * this.body.at(u);
    const room = this.#outer.at(phi);
    const share = room > 0 ? (r - own) / room : 0;
    this.#put(spot, Math.sqrt(edge + share * (this.wall.at(u) - edge)), u);
  }

  /** What lies outside the body had so many times its area before. */
  #grown(k: number): number {
    return this.fluid / (this.fluid - k * this.body.area);
  }

  #inner(u: number, grown: number): number {
    const { middle } = this;
    return middle ? middle.outline.at(u) / (middle.stands ? 1 : grown) : 0;
  }

  #scale(spot: { x: number; y: number }, by: number): void {
    spot.x = this.at.x + (spot.x - this.at.x) * by;
    spot.y = this.at.y + (spot.y - this.at.y) * by;
  }

  #put(spot: { x: number; y: number }, reach: number, u: number): void {
    const angle = angleOfNodes(u);
    spot.x = this.at.x + reach * Math.cos(angle);
    spot.y = this.at.y + reach * Math.sin(angle);
  }

  /** From the room left between the body's edge and the wall back to all the room there was. */
  #unsqueeze(
    spot: { x: number; y: number },
    q: { r: number; u: number; edge: number; k: number; grown: number }
  ): void {
    const phi = this.#outer.nodesAt(this.#sweptBefore(q.u, q.k, q.grown));
    const room = this.wall.at(q.u) - q.edge;
    const share = room > 0 ? Math.min(1, (q.r - q.edge) / room) : 1;
    const inner = this.middle ? this.middle.outline.at(phi) : 0;
    this.#put(spot, Math.sqrt(inner + share * this.#outer.at(phi)), phi);
  }

  /** The area swept before, of what lies outside the body, for a direction after; turned so that on the mean nothing turns. */
  #sweptBefore(u: number, k: number, grown: number): number {
    const { wall, body, middle } = this;
    const kept = middle ? 1 / (middle.stands ? 1 : grown) : 0;
    const swept = wall.swept(u) - k * body.swept(u) - (middle ? kept * middle.outline.swept(u) : 0);
    const mean = wall.meanSwept - k * body.meanSwept - (middle ? kept * middle.outline.meanSwept : 0);
    return this.#outer.meanSwept + grown * (swept - mean);
  }

  /** The direction after, for one before: by halving, since it has no table of its own. */
  #angleAfter(phi: number, k: number, grown: number): number {
    const wanted = this.#outer.swept(phi);
    const { area } = this.#outer;
    const off = (u: number) => {
      const turns = Math.floor(u / NODES);
      return this.#sweptBefore(u - turns * NODES, k, grown) + turns * area - wanted;
    };
    let [low, high] = [phi - NODES / 2, phi + NODES / 2];
    for (let i = 0; i < 70; i++) {
      const mid = (low + high) / 2;
      if (off(mid) > 0) high = mid;
      else low = mid;
    }
    const u = (low + high) / 2;
    return u - Math.floor(u / NODES) * NODES;
  }
}
