import { chanceFrom, type Chance } from '../pattern';
import type { Amount, Cup, Plan, Step } from '../document';
import type { Shelf } from '../shelf';
import { mostChips } from '../batch';
import { fill } from '../plan/fill';
import type { Face } from './faces';
import { pieceOf } from './picture';
import type { KeptTrace } from './kept-trace';
import type { Matter } from './matter';
import { PLACES, shownOn, type Shown } from './shown';
import { resolve } from '../plan/resolve';

/** A part of a face by how far out it is: all of it, the middle third of the way to the edge, or the outermost sixth. */
export const FACE_ZONES = ['all of it', 'the middle', 'the edge'] as const;
export type FaceZone = (typeof FACE_ZONES)[number];

/** What is wanted of a face: how much of a zone of it a cup shows, or the chips in it alone, 0..1. */
export interface Wish {
  cupId: string;
  of?: 'chips';
  zone: FaceZone;
  share: number;
}

export interface AskedFace {
  groupId: string;
  face: Face;
  wishes: readonly Wish[];
  /** Pours that are tried. */
  tries?: number;
}

/** How far a search is: pours tried, of how many, and how far the best one is from what is wanted, in all. */
export interface Searching {
  tried: number;
  of: number;
  off: number;
}

/** The pour that came nearest: the plan with it, and what each wish comes to before and after. */
export interface FaceAnswer {
  plan: Plan;
  changed: boolean;
  wishes: (Wish & { before: number; after: number; reached: boolean })[];
}

const TRIES = 90;
/** Places of a face that are looked at for each pour that is tried; what is said of the answer is counted as the drawing counts. */
const LOOKED = 700;
/** Steps straight towards the shares before anything is left to chance, each shorter after one that came no nearer. */
const STRAIGHT = 8;
const SHORTER = 0.5;
/** So many tries that came no nearer end the search: what is left is not to be had by what may be changed. */
const IN_VAIN = 18;

interface Tried {
  pour: Changeable;
  shown: number[];
  off: number;
}

/**
 * Searches the amounts, the order, the places and the falls of a pour, what its cups are poured together from, and the chips in them
 * where chips are wished for, for the pour whose face comes nearest to what is wanted: first straight, each by how much more or less of
 * it is wanted; then it changes a little of the best so far, keeps what is better, and now and then what is hardly worse. What fills
 * the cavity still fills it; no step is added or left out.
 */
export function* askingFace(plan: Plan, shelf: Shelf, asked: AskedFace): Generator<Searching, FaceAnswer> {
  const { tries = TRIES, wishes } = asked;
  const kept: KeptTrace = { steps: [] };
  const before = shownIn(plan, shelf, asked, { places: PLACES, kept });
  if (offOf(before, wishes) <= CLOSE_ENOUGH) return answered({ plan, before, after: before }, wishes);
  const start = opened(plan, shelf, asked);
  const attempt = (pour: Changeable): Tried => {
    const shown = shownIn(closed(plan, pour), shelf, asked, { places: LOOKED, kept });
    return { pour, shown, off: offOf(shown, wishes) };
  };
  const shown = shownIn(plan, shelf, asked, { places: LOOKED, kept });
  const first = { pour: start, shown, off: offOf(shown, wishes) };
  const best = yield* searching(first, attempt, { tries, asked });
  const found = best.pour === start ? plan : closed(plan, best.pour);
  const after = found === plan ? before : shownIn(found, shelf, asked, { places: PLACES, kept });
  // What came nearer by a coarse look and no nearer by a fine one is no answer.
  if (offOf(after, wishes) >= offOf(before, wishes)) return answered({ plan, before, after: before }, wishes);
  return answered({ plan: found, before, after }, wishes);
}

function* searching(
  first: Tried,
  attempt: (pour: Changeable) => Tried,
  { tries, asked: { wishes } }: { tries: number; asked: AskedFace }
): Generator<Searching, Tried> {
  const chance = chanceFrom(1721);
  let best = first;
  let here = first;
  let [inVain, stride] = [0, 1];
  for (let tried = 1; tried <= tries && best.off > CLOSE_ENOUGH && inVain < IN_VAIN; tried++) {
    const straight = tried <= STRAIGHT ? towards(best, wishes, stride) : undefined;
    const next = attempt(straight ?? varied(here.pour, chance));
    // Early on a step that is a little worse is taken too, so as not to stay on the first hill.
    const worse = next.off - here.off;
    if (worse < 0 || (!straight && chance() < Math.exp(-worse / (0.05 * (1 - tried / tries) + 1e-9))))
      here = next;
    if (next.off < best.off) {
      best = here = next;
      inVain = 0;
    } else {
      inVain++;
      stride *= SHORTER;
    }
    yield { tried, of: tries, off: best.off };
  }
  return best;
}

/** The answer, with what each wish comes to as its drawing counts it. */
function answered(
  { plan, before, after }: { plan: Plan; before: readonly number[]; after: readonly number[] },
  wishes: readonly Wish[]
): FaceAnswer {
  return {
    plan,
    changed: after !== before,
    wishes: wishes.map((w, i) => ({
      ...w,
      before: before[i]!,
      after: after[i]!,
      reached: isReached(w, after[i]!)
    }))
  };
}

/** Whether a share is as asked, as it is said: within a point of a tenth, within three of a third. */
const isReached = ({ share }: Wish, after: number): boolean =>
  Math.abs(after - share) <= Math.max(0.01, 0.09 * share);

/** As near as is asked: a share of a third within one point, one of a twentieth within half a point. */
const CLOSE_ENOUGH = 0.02;
/** A share so small is measured as one of this. */
const SMALL = 0.02;

/** How far shares are from what is wanted, each against how much of it is wanted: 2 points of 4 are more than 2 of 40. */
const offOf = (shown: readonly number[], wishes: readonly Wish[]): number =>
  Math.sqrt(wishes.reduce((s, w, i) => s + (shown[i]! - w.share) ** 2 / (w.share + SMALL), 0));

/** What each wish comes to in a plan. */
function shownIn(
  plan: Plan,
  shelf: Shelf,
  { groupId, face, wishes }: AskedFace,
  { places, kept }: { places: number; kept: KeptTrace }
): number[] {
  const piece = pieceOf(plan, shelf, {}, { cavitySetId: groupId, kept });
  if (!piece) return wishes.map(() => 0);
  const drawn = piece.face(face);
  const counted = new Map<string, Shown>();
  const countedOf = ({ zone, of }: Wish): Shown => {
    const key = `${zone} ${of ?? ''}`;
    const matters = of ? chipsAlone(piece.traced.matters) : piece.traced.matters;
    const shown = counted.get(key) ?? shownOn(drawn, matters, places, (x, y) => zonesAt(x, y).includes(zone));
    counted.set(key, shown);
    return shown;
  };
  return wishes.map((w) => countedOf(w).get(w.cupId) ?? 0);
}

/** What a face shows of chips and of nothing else. */
const chipsAlone = (matters: readonly Matter[]): Matter[] =>
  matters.map((m) => (m.kind === 'chip' ? m : { kind: 'solid' }));

/** So much more or less of a cup, as a factor, for what is wanted of it. */
const MOST_AT_ONCE = 3;

/**
 * Every pour of a cup that is wished for so much larger or smaller as more or less of it is wanted, and its share of every cup of cups;
 * the others give way or fill up.
 */
function towards({ pour, shown }: Tried, wishes: readonly Wish[], stride: number): Changeable | undefined {
  const wanted = wishes.flatMap((w, i) =>
    w.zone === 'all of it' && shown[i]! > 0 ? [{ ...w, now: shown[i]! }] : []
  );
  if (!wanted.length) return undefined;
  const factorFor = (of: Wish['of']) => (cupId: string) => {
    const wish = wanted.find((w) => w.cupId === cupId && w.of === of);
    if (!wish) return undefined;
    return Math.min(MOST_AT_ONCE, Math.max(1 / MOST_AT_ONCE, wish.share / wish.now)) ** stride;
  };
  const factorOf = factorFor(undefined);
  const chips = pour.chips.map((c) => chipsTowards(c, factorFor('chips')(c.cupId) ?? 1));
  const composites = pour.composites.map((c) => compositeTowards(c, factorOf));
  const pours = poursTowards(pour.pours, factorOf);
  return pours && { pours, composites, chips };
}

function poursTowards(
  pours: readonly Pour[],
  factorOf: (cupId: string) => number | undefined
): Pour[] | undefined {
  const all = pours.reduce((s, p) => s + p.ml, 0);
  const isWished = (p: Pour) => factorOf(p.cupId) !== undefined;
  const grown = pours.map((p) => ({ ...p, ml: p.ml * (factorOf(p.cupId) ?? 1) }));
  const own = grown.filter(isWished).reduce((s, p) => s + p.ml, 0);
  const others = grown.filter((p) => !isWished(p)).reduce((s, p) => s + p.ml, 0);
  if (own >= all * (1 - LEAST) && others) return undefined;
  // Where every cup is wished for they are shares of one another already.
  const byWished = others ? 1 : own ? all / own : 1;
  return grown.map((p) => ({ ...p, ml: p.ml * (isWished(p) ? byWished : (all - own) / others) }));
}

/** Of a cup made of others no part is left with next to nothing. */
const LEAST_PART = 0.01;

function compositeTowards(
  { cupId, parts }: Composite,
  factorOf: (cupId: string) => number | undefined
): Composite {
  const grown = parts.map((p) => ({ ...p, share: Math.max(LEAST_PART, p.share * (factorOf(p.cupId) ?? 1)) }));
  const all = grown.reduce((s, p) => s + p.share, 0);
  return { cupId, parts: grown.map((p) => ({ ...p, share: p.share / all })) };
}

/** Of the chips in a cup at least so much is left, as a share of what there was. */
const FEWEST_CHIPS = 0.05;

/** The chips of a cup, so much more or fewer: no more than the body flows between. */
const chipsTowards = ({ cupId, by, most }: CupChips, factor: number): CupChips => ({
  cupId,
  by: Math.min(most, Math.max(FEWEST_CHIPS, by * factor)),
  most
});

function zonesAt(x: number, y: number): FaceZone[] {
  const out = Math.hypot(2 * x - 1, 2 * y - 1);
  const square = Math.max(Math.abs(2 * x - 1), Math.abs(2 * y - 1));
  // The edge follows the outline: of a disc by the way out, of corners by the nearer side.
  const edge = out > 1 ? square > 5 / 6 : Math.max(out, square) > 5 / 6;
  return [
    'all of it',
    ...(out < 1 / 3 ? (['the middle'] as const) : []),
    ...(edge ? (['the edge'] as const) : [])
  ];
}

/** One pouring step of the group, opened up: what may be changed of it. */
interface Pour {
  step: Step;
  cupId: string;
  /** ml for one cavity. */
  ml: number;
  /** How far from the middle its place is, against what the plan has. */
  reach: number;
  from?: 'low' | 'high' | undefined;
}

/** A cup that is poured together from others, opened up: how much of it each is, 0..1. */
interface Composite {
  cupId: string;
  parts: { cupId: string; share: number }[];
}

/** The chips of a cup, opened up: how much of them, as a factor of what the plan has. */
interface CupChips {
  cupId: string;
  by: number;
  /** As many as the body flows between. */
  most: number;
}

/** What may be changed of a pour. */
interface Changeable {
  pours: Pour[];
  composites: Composite[];
  chips: CupChips[];
}

/** The pouring steps of a group with what each takes, and of the cups that are poured in no other group the cups of cups and the chips that are wished for. */
function opened(plan: Plan, shelf: Shelf, { groupId, wishes }: AskedFace): Changeable {
  const pours = openedPours(plan, shelf, groupId);
  const elsewhere = new Set(
    plan.steps.flatMap((s) => (s.where.some((id) => id !== groupId) ? [String(s.act.cupId)] : []))
  );
  const composites = plan.cups.flatMap((cup): Composite[] => {
    if (!('cups' in cup.from) || elsewhere.has(cup.id) || !pours.some((p) => p.cupId === cup.id)) return [];
    const all = cup.from.cups.reduce((s, p) => s + p.share, 0);
    return [{ cupId: cup.id, parts: cup.from.cups.map((p) => ({ ...p, share: p.share / all })) }];
  });
  const wished = plan.cups.filter(
    (cup) => !elsewhere.has(cup.id) && wishes.some((w) => w.of === 'chips' && w.cupId === cup.id)
  );
  return { pours, composites, chips: wished.flatMap((cup) => openedChips(cup, plan, shelf)) };
}

function openedChips({ id, fillers = [] }: Cup, plan: Plan, shelf: Shelf): CupChips[] {
  const all = fillers.reduce((s, f) => s + f.percent, 0);
  const body = resolve(plan, shelf).cupOf.get(id)?.mix?.formula.density;
  if (!all || !body) return [];
  return [{ cupId: id, by: 1, most: Math.max(1, mostChips(fillers, body) / all) }];
}

function openedPours(plan: Plan, shelf: Shelf, groupId: string): Pour[] {
  const { filled } = fill(resolve(plan, shelf));
  const pours = filled.find((f) => f.cavitySet.id === groupId)?.pours ?? [];
  return plan.steps.flatMap((step) => {
    const pour = pours.find((p) => p.stepId === step.id);
    // A step that other cavities share is not this face's to change.
    if (
      !pour ||
      step.muted ||
      step.where.length > 1 ||
      typeof step.act.cupId !== 'string' ||
      step.act.chamberId !== undefined
    )
      return [];
    const from = step.act.from === 'low' || step.act.from === 'high' ? step.act.from : undefined;
    return [{ step, cupId: step.act.cupId, ml: pour.each, reach: 1, from }];
  });
}

/** The plan with the pours as they are now. What filled to the rim still does, whatever stands before it. */
function closed(plan: Plan, { pours, composites, chips }: Changeable): Plan {
  const byId = new Map(pours.map((p) => [p.step.id, p]));
  const steps = plan.steps.map((s): Step => {
    const pour = byId.get(s.id);
    if (!pour) return s;
    const { cupId, ml, reach, from } = pour;
    return {
      ...s,
      act: {
        ...s.act,
        cupId,
        amount: keepsFull(s.act.amount) ? s.act.amount : { kind: 'volume', ml: Number(ml.toFixed(2)) },
        ...(from ? { from } : {}),
        ...moved(s.act, reach)
      }
    };
  });
  const cups = plan.cups.map((cup) => rechipped(recomposed(cup, composites), chips));
  return { ...plan, steps, cups };
}

function rechipped(cup: Cup, chips: readonly CupChips[]): Cup {
  const by = chips.find((c) => c.cupId === cup.id)?.by ?? 1;
  if (by === 1 || !cup.fillers) return cup;
  return {
    ...cup,
    fillers: cup.fillers.map((f) => ({ ...f, percent: Number((f.percent * by).toFixed(1)) }))
  };
}

function recomposed(cup: Cup, composites: readonly Composite[]): Cup {
  const own = composites.find((c) => c.cupId === cup.id);
  if (!own || !('cups' in cup.from)) return cup;
  return {
    ...cup,
    from: { ...cup.from, cups: own.parts.map((p) => ({ ...p, share: Number(p.share.toFixed(4)) })) }
  };
}

const keepsFull = (amount: unknown): boolean => ['rim', 'dome'].includes((amount as Amount).kind);

/** Its place or its way drawn in or out from the middle. */
function moved(act: Step['act'], by: number): Partial<Step['act']> {
  if (by === 1) return {};
  const out = ({ x, y }: { x: number; y: number }) => {
    const k = Math.min(by, 0.97 / Math.max(0.01, Math.hypot(x, y)));
    return { x: Number((x * k).toFixed(3)), y: Number((y * k).toFixed(3)) };
  };
  const { at, path } = act as {
    at?: { x: number; y: number };
    path?: { points: { x: number; y: number }[] };
  };
  return {
    ...(at ? { at: out(at) } : {}),
    ...(path ? { path: { ...path, points: path.points.map(out) } } : {})
  };
}

/** A neighbour of a pour: one thing of it changed. */
function varied({ pours, composites, chips }: Changeable, chance: Chance): Changeable {
  const next = pours.map((p) => ({ ...p }));
  const pick = () => next[Math.floor(chance() * next.length)]!;
  const [one, other] = [pick(), pick()];
  const kind = chance();
  if (chips.length && chance() < 0.35)
    return { pours: next, composites, chips: chips.map((c) => chipsTowards(c, aLittle(chance))) };
  if (composites.length && kind < 0.35)
    return { pours: next, composites: composites.map((c) => shuffledParts(c, chance)), chips };
  if (kind < 0.55 || next.length < 2) shift(one, other, chance);
  else if (kind < 0.75) [one.cupId, other.cupId] = [other.cupId, one.cupId];
  else if (kind < 0.9 && one.from) one.from = one.from === 'low' ? 'high' : 'low';
  else one.reach = Math.min(1.6, Math.max(0.4, one.reach * (0.75 + 0.6 * chance())));
  return { pours: next, composites, chips };
}

/** A factor not far from 1. */
const aLittle = (chance: Chance): number => Math.exp(0.6 * (chance() - 0.5));

/** A cup of cups with each part a little more or less of it. */
const shuffledParts = (composite: Composite, chance: Chance): Composite =>
  compositeTowards(composite, () => aLittle(chance));

/** Some of one pour goes to another: neither is left with next to nothing. */
function shift(one: Pour, other: Pour, chance: Chance): void {
  if (one === other) return;
  const most = one.ml - LEAST * (one.ml + other.ml);
  const ml = Math.max(0, most) * chance() * 0.6;
  one.ml -= ml;
  other.ml += ml;
}

/** Of two pours together, what each keeps at least. */
const LEAST = 0.08;
