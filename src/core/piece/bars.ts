import { cuttingOf, struck, type Bar, type Cutting, type Dividing } from './cuts';
import { topOf } from './faces';
import { wholePicture, type Picture, type DrawnPiece } from './picture';

/** A bar as it is shown: where it lay, what it holds, and how it looks. */
export interface ShownBar extends Pick<Bar, 'name' | 'from' | 'to' | 'ml'> {
  picture: Picture;
  other: Picture;
}

/** A casting cut up, before its bars are drawn. */
export interface CutUp extends Cutting {
  /** Embeds that a blade would meet. */
  struck: number;
}

/** Divides a traced casting. */
export function cutUp({ traced: { prism, engine, casting } }: DrawnPiece, dividing: Dividing): CutUp {
  const cutting = cuttingOf(prism, topOf(prism, engine.level), dividing);
  const things = casting.embeds.flatMap((e) => {
    if (e.kind === 'line') return [];
    return [{ x: e.x, y: e.y, radius: e.kind === 'ball' ? e.radius : (e.outline?.reach ?? 0) }];
  });
  return { ...cutting, struck: struck(cutting, things) };
}

/** The bars of a cut casting, drawn one after another. */
export function* barsShown(piece: DrawnPiece, { bars }: Cutting, size: number): Generator<ShownBar> {
  for (const { faces, ...bar } of bars) {
    const [picture, other] = faces.map((face) => wholePicture(piece, face, { size }));
    yield { ...bar, picture: picture!, other: other! };
  }
}

/** Ways a casting may be cut, and how much of the bars' faces one cup is then, best first. */
export interface CutFound {
  how: Dividing['how'];
  share: number;
}

/** Bars of each way that are looked at, and the pixels they are looked at with. */
const LOOKED = 12;
const COARSE = 24;

/** The cut whose bars show most of a colour. */
export function cutsFor(piece: DrawnPiece, dividing: Dividing, cupId: string): CutFound[] {
  const ways: readonly Dividing['how'][] = ['straight', 'on the diagonal', 'into logs'];
  return ways
    .map((how) => {
      const { bars } = cutUp(piece, { ...dividing, how });
      const step = Math.max(1, Math.floor(bars.length / LOOKED));
      const shares = bars
        .filter((_, i) => i % step === 0)
        .map(({ faces }) => {
          const { shows } = wholePicture(piece, faces[0], { size: COARSE });
          return shows.find((s) => s.cupId === cupId)?.share ?? 0;
        });
      return { how, share: shares.reduce((s, v) => s + v, 0) / Math.max(1, shares.length) };
    })
    .sort((a, b) => b.share - a.share);
}
