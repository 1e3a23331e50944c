import type { ActGroup, AnyDefinition } from './act';
import { acts } from './acts';

/** The families of acts, in the order a maker meets them. */
export const ACT_GROUPS: readonly ActGroup[] = ['pour in', 'move', 'put in', 'wait', 'after'];

/**
 * Acts by a few letters of their name or of another word for them, those whose own name begins so first; all of them for
 * nothing typed.
 */
export function actsNamed(typed: string): AnyDefinition[] {
  const said = typed.trim().toLowerCase();
  const rank = ({ kind, name, also }: AnyDefinition): number => {
    if (kind.startsWith(said) || name.startsWith(said)) return 0;
    if (also?.some((w) => w.startsWith(said))) return 1;
    return [kind, name, ...(also ?? [])].some((w) => w.includes(said)) ? 2 : 3;
  };
  return acts
    .all()
    .map((a) => ({ a, rank: rank(a) }))
    .filter((x) => x.rank < 3)
    .sort((x, y) => x.rank - y.rank)
    .map((x) => x.a);
}

/** Families of acts that change where things lie in a piece; the others come before, between or after. */
const SHAPING: ReadonlySet<ActGroup> = new Set(['pour in', 'move', 'put in']);

/** Whether a step is done to a piece once it is poured. */
export const isAfter = ({ act }: { act: { kind: string } }): boolean =>
  acts.find(act.kind)?.group === 'after';

/**
 * Where in the steps of a group of cavities what comes after the pour begins: with the first after which nothing is poured,
 * moved or put in any more; past the last step where nothing comes after.
 */
export function afterPourFrom(steps: readonly { act: { kind: string } }[]): number {
  const waits = (s: (typeof steps)[number]) => acts.find(s.act.kind)?.group === 'wait';
  const from = steps.findLastIndex((s) => !isAfter(s) && !waits(s)) + 1;
  const first = steps.findIndex((s, i) => i >= from && isAfter(s));
  return first < 0 ? steps.length : first;
}

/** Whether an act changes where things lie in a piece, while it is in its mould. */
export function shapesThePiece({ kind }: { kind: string }): boolean {
  const group = acts.find(kind)?.group;
  return group !== undefined && SHAPING.has(group);
}
