import { LayerMap } from '../maps/layer';
import { stood } from '../maps/push';
import { Withdrawal } from '../maps/withdrawal';
import { fittedStar } from '../shapes/body';
import { nodesOf, Star } from '../shapes/star';
import type { At, Content } from './content';
import { CastingWithDividers } from './dividers';
import { outside, viewAt, type View } from './view';

/** A post that stands in a cavity, the rings poured over it, and the void it leaves. */
export abstract class CastingWithPost extends CastingWithDividers {
  protected post: { view: View; outline: Star; ground: number } | undefined;

  protected lifted = false;

  protected standPost(at: At, post: (angle: number) => number): void {
    this.closeHole();
    const view = viewAt(this.section, at);
    const outline = fittedStar(view.wall, Star.of(post).area, post);
    this.post = { view, outline, ground: this.level };
    this.lifted = false;
  }

  /** The post comes out; what it leaves is filled by the next pour, or closes. */
  liftPost(): void {
    if (this.post) this.lifted = true;
  }

  /** Nothing turns through a post that stands there. */
  protected clearOfPost({ x, y }: At, radius: number): boolean {
    if (!this.post) return true;
    const { view, outline } = this.post;
    const [px, py] = view.chart ? view.chart.from(view.at.x, view.at.y) : [view.at.x, view.at.y];
    return Math.hypot(x - px, y - py) >= radius + outline.reach;
  }

  /** Fills what a lifted post left, as far as there is enough; what is over is answered, mm³. */
  protected intoHole({ matter }: Content, mm3: number): number {
    if (!this.post || !this.lifted) return mm3;
    const { view, outline, ground } = this.post;
    const hole = outline.area * (this.level - ground);
    const filled = Math.min(1, mm3 / hole);
    const inner = outline.times(Math.max(1e-9, 1 - filled));
    const beyond = outside(view, outline);
    const within = outside(view, inner);
    this.add(new LayerMap(ground, matter, (x, y) => !beyond(x, y) && within(x, y)));
    this.book(matter, filled * hole);
    this.post = filled < 1 ? { view, outline: inner, ground } : undefined;
    if (filled < 1) this.closeHole();
    return mm3 - filled * hole;
  }

  protected closeHole(): void {
    if (!this.post || !this.lifted) return;
    const { view, outline, ground } = this.post;
    this.post = undefined;
    const share = (this.section.area - outline.area) / this.section.area;
    const after = ground + (this.level - ground) * share;
    this.charted(
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

  /** A round over the top of a post: a ring next to it that pushes the rings before outward. */
  overPost(matter: number, mm3: number, at: At, post: (angle: number) => number): void {
    this.ready();
    if (!this.post || this.lifted) this.standPost(at, post);
    const { view, outline, ground } = this.post!;
    const fluid = this.section.area - outline.area;
    const top = this.level + mm3 / fluid;
    const stand =
      this.level - this.still > 1e-6 &&
      stood(mm3, { still: this.still, top, room: fluid }, { from: 'low', deep: 1.3, power: 0.5 });
    if (!stand) {
      const where = outside(view, outline);
      this.add(new LayerMap(this.level, matter, where));
    } else {
      // Rings follow the post's outline and lose its points slowly as they spread.
      const spread = fittedStar(
        view.wall,
        stand.area,
        (a) => outline.at(nodesOf(Math.cos(a), Math.sin(a))) ** 0.375
      );
      this.push(view, {
        body: spread,
        profile: stand.profile,
        still: Math.max(this.still, ground),
        matter,
        middle: { outline, stands: true }
      });
    }
    this.level = top;
    this.book(matter, mm3);
  }
}
