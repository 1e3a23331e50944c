import { dirtyPour, wobble, type Casting, type Content, type VeinPart } from '../../../pattern';
import type { Poured } from '../../flowing';
import type { Together } from './fields';

/** How much the border of two sides wavers where they meet: set by eye. */
const MEETS = 0.5;

/** What a cup brings into the stream: its own parts where it holds several. */
const partsOf = ({ matter, parts }: Content, share: number): VeinPart[] =>
  parts.length ? parts.map((p) => ({ ...p, share: p.share * share })) : [{ matter, share }];

/** One stream folds the two into one another; from two sides each keeps its own, and the border between wavers. */
export function flow(act: Together, casting: Casting, { mm3, content }: Poured): void {
  const [one, other] = [content(act.cupId), content(act.withId)];
  if (one === other) return casting.lay(one, mm3);
  const { first } = act;
  if (act.streams === 'into one stream') {
    const parts = [...partsOf(one, first), ...partsOf(other, 1 - first)];
    casting.settle();
    return dirtyPour(casting, parts, mm3, [0, 0]);
  }
  casting.chamber(one, mm3 * first, { id: 'together left', from: 0, to: first });
  casting.chamber(other, mm3 * (1 - first), { id: 'together right', from: first, to: 1 });
  casting.liftDivider();
  casting.stir(wobble(casting.section, MEETS, casting.chance));
}
