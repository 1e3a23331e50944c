import { within, type Casting, type Corner } from '../pattern';
import { pathCopies, type Path } from './place';

/** How much of a hollow keeps what was rubbed into it, and how much is left beside it, wiped and not. */
const IN_HOLLOWS = 0.93;
const LEFT = { yes: 0.04, no: 0.55 } as const;

/** Colour that stays in the hollows of the face that touched the mould, over all that was dusted there before. */
export function intoHollows(
  casting: Casting,
  {
    hollows,
    colourantId = '',
    wiped
  }: { hollows: Path; colourantId?: string | undefined; wiped: 'yes' | 'no' }
): void {
  const { half } = casting.section;
  const outlines = pathCopies(hollows, half.length / half.width).map((copy) =>
    copy.map((p): Corner => [p.x * half.width, p.y * half.length])
  );
  const inside = (x: number, y: number) => outlines.some((outline) => within(outline, x, y));
  casting.filmOver({ colourantId, cover: (x, y) => (inside(x, y) ? IN_HOLLOWS : LEFT[wiped]) });
}
