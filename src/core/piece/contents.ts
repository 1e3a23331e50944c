import { materials } from '../material';
import type { Content, VeinPart } from '../pattern';
import type { ResolvedCup, ResolvedPlan } from '../plan/resolve';
import { TONES, type Matter } from './matter';

/** What each cup holds, its matters numbered as they are met; `known` keeps those that were met. */
export function contentsOf(
  plan: ResolvedPlan,
  matters: Matter[],
  known: Map<string, Content>
): (cupId: string) => Content {
  const number = (matter: Matter): number => matters.push(matter) - 1;
  const contentOf = (cupId: string): Content => {
    const before = known.get(cupId);
    if (before) return before;
    const cup = plan.cupOf.get(cupId);
    const matter = number({ kind: 'cup', cupId, tone: 'full' });
    const made: Content = { matter, ...unstirredOf(cup, { number, contentOf }) };
    known.set(cupId, made);
    return made;
  };
  return contentOf;
}

/** Dry powders, loose or as they are worked in, where no card says, g/ml: between an organic pigment and an oxide. */
const POWDER = 2.5;

/** What pots hold that are put onto a face by themselves; `known` keeps those that were met. */
export function potsOf(
  { colourants }: ResolvedPlan,
  matters: Matter[],
  known: Map<string, Content>
): (colourantId: string) => { content: Content; density: number } {
  return (colourantId) => {
    const content = known.get(colourantId) ?? {
      matter: matters.push({ kind: 'drop', cupId: '', colourantId }) - 1,
      parts: []
    };
    known.set(colourantId, content);
    return { content, density: colourants.get(colourantId)?.density ?? POWDER };
  };
}

function unstirredOf(
  cup: ResolvedCup | undefined,
  by: { number(m: Matter): number; contentOf(id: string): Content }
): Pick<Content, 'parts' | 'unstirred'> {
  const mixing = cup?.cup.mixing ?? 'full';
  if (cup?.parts.length)
    return { parts: partsOf(cup, by), ...(mixing === 'full' ? {} : { unstirred: mixing }) };
  // What melts has no chips: it is one body again.
  if (cup?.fillers.length && !melts(cup)) return chippedOf(cup, by);
  if (!cup || mixing === 'full' || !cup.doses.length) return { parts: [] };
  const { share } = TONES[mixing];
  const tone = (name: 'rich' | 'pale') => by.number({ kind: 'cup', cupId: cup.cup.id, tone: name });
  return {
    unstirred: mixing,
    parts: [
      { matter: tone('pale'), share: 1 - share },
      { matter: tone('rich'), share }
    ]
  };
}

/** What a cup of cups holds: what its cups hold, theirs where they are made of others, and what is dripped neat onto it. */
function partsOf(
  { cup, parts, doses }: ResolvedCup,
  by: { number(m: Matter): number; contentOf(id: string): Content }
): VeinPart[] {
  // A drop is about as heavy as what it falls onto: its percent of the weight is its share of the volume.
  const drops = doses.map(({ colourant, percent }) => ({
    matter: by.number({ kind: 'drop', cupId: cup.id, colourantId: colourant.id }),
    share: percent / 100
  }));
  const dripped = drops.reduce((s, d) => s + d.share, 0);
  const whole = parts.reduce((s, p) => s + p.share, 0);
  const held = parts.flatMap((p): VeinPart[] => {
    const share = ((1 - dripped) * p.share) / whole;
    const own = by.contentOf(p.cupId);
    return own.parts.length && !own.unstirred
      ? own.parts.map((x) => ({ ...x, share: x.share * share }))
      : [{ matter: own.matter, share }];
  });
  return [...held, ...drops];
}

const melts = ({ mix }: ResolvedCup): boolean => materials.has(mix?.base.kind, 'melts again');

/** Sorts of chips that are told apart by how light they are. */
const SORTS = 3;

/** A body with chips in it: their share of its volume from their share of its weight. */
function chippedOf(
  cup: ResolvedCup,
  by: { number(m: Matter): number; contentOf(id: string): Content }
): Pick<Content, 'parts' | 'unstirred'> {
  const chips = cup.fillers.reduce((s, f) => s + f.share / f.density, 0);
  const body =
    Math.max(0, 1 - cup.fillers.reduce((s, f) => s + f.share, 0)) / (cup.mix?.formula.density ?? 1);
  const share = chips / (chips + body);
  const sorts = Array.from({ length: SORTS }, (_, sort) => ({
    matter: by.number({ kind: 'chip', cupId: cup.cup.id, sort }),
    share: share / SORTS
  }));
  const own = by.number({ kind: 'cup', cupId: cup.cup.id, tone: 'full' });
  return { unstirred: 'chips', parts: [{ matter: own, share: 1 - share }, ...sorts] };
}
