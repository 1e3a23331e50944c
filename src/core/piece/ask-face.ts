import { chanceFrom, type Chance } from '../pattern';
import type { Amount, Plan, Step } from '../document';
import type { Shelf } from '../shelf';
import { fill } from '../plan/fill';
import type { Face } from './faces';
import { pieceOf } from './picture';
import { resolve } from '../plan/resolve';

/** A part of a face by how far out it is: all of it, the middle third of the way to the edge, or the outermost sixth. */
export const FACE_ZONES = ['all of it', 'the middle', 'the edge'] as const;
export type FaceZone = (typeof FACE_ZONES)[number];

/** What is wanted of a face: how much of a zone of it a cup shows, 0..1. */
export interface Wish {
  cupId: string;
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
  wishes: (Wish & { before: number; after: number })[];
}

const TRIES = 90;
/** Places of a face that are looked at each way. */
const GRID = 30;

/**
 * Searches the amounts, the order, the places and the falls of a pour for the one whose face comes nearest to what is
 * wanted: changes a little of the best so far, keeps what is better, and now and then what is hardly worse. What fills the
 * cavity still fills it; no step is added or left out.
 */
export function* askingFace(plan: Plan, shelf: Shelf, asked: AskedFace): Generator<Searching, FaceAnswer> {
  const { tries = TRIES, wishes } = asked;
  const chance = chanceFrom(1721);
  const start = opened(plan, shelf, asked.groupId);
  const before = shownIn(plan, shelf, asked);
  let best = { pours: start, shown: before, off: offOf(before, wishes) };
  let here = best;
  for (let tried = 1; tried <= tries && best.off > CLOSE_ENOUGH; tried++) {
    const pours = varied(here.pours, chance);
    const shown = shownIn(closed(plan, pours), shelf, asked);
    const off = offOf(shown, wishes);
    // Early on a step that is a little worse is taken too, so as not to stay on the first hill.
    const worse = off - here.off;
    if (worse < 0 || chance() < Math.exp(-worse / (0.02 * (1 - tried / tries) + 1e-9)))
      here = { pours, shown, off };
    if (off < best.off) best = here = { pours, shown, off };
    yield { tried, of: tries, off: best.off };
  }
  const changed = best.pours !== start;
  return {
    plan: changed ? closed(plan, best.pours) : plan,
    changed,
    wishes: wishes.map((w, i) => ({ ...w, before: before[i]!, after: best.shown[i]! }))
  };
}

/** Shares off by less than this in all, root of squares, are as good as asked. */
const CLOSE_ENOUGH = 0.008;

const offOf = (shown: readonly number[], wishes: readonly Wish[]): number =>
  Math.sqrt(wishes.reduce((s, w, i) => s + (shown[i]! - w.share) ** 2, 0));

/** What each wish comes to in a plan. */
function shownIn(plan: Plan, shelf: Shelf, { groupId, face, wishes }: AskedFace): number[] {
  const piece = pieceOf(plan, shelf, {}, { cavitySetId: groupId });
  if (!piece) return wishes.map(() => 0);
  const drawn = piece.face(face);
  const counts = new Map<string, number>();
  const add = (key: string) => counts.set(key, (counts.get(key) ?? 0) + 1);
  for (let j = 0; j < GRID; j++)
    for (let i = 0; i < GRID; i++) {
      const [x, y] = [(i + 0.5) / GRID, (j + 0.5) / GRID];
      const code = drawn.sample(x, y);
      if (code < 0) continue;
      const matter = piece.traced.matters[drawn.paint.fronts[code]!];
      const cup = matter && 'cupId' in matter ? matter.cupId : '';
      for (const zone of zonesAt(x, y)) {
        add(zone);
        add(`${zone}|${cup}`);
      }
    }
  return wishes.map((w) => (counts.get(`${w.zone}|${w.cupId}`) ?? 0) / Math.max(1, counts.get(w.zone) ?? 0));
}

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

/** The pouring steps of a group with what each takes. */
function opened(plan: Plan, shelf: Shelf, groupId: string): Pour[] {
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
function closed(plan: Plan, pours: readonly Pour[]): Plan {
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
  return { ...plan, steps };
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
function varied(pours: readonly Pour[], chance: Chance): Pour[] {
  const next = pours.map((p) => ({ ...p }));
  const pick = () => next[Math.floor(chance() * next.length)]!;
  const [one, other] = [pick(), pick()];
  const kind = chance();
  if (kind < 0.55 || next.length < 2) shift(one, other, chance);
  else if (kind < 0.75) [one.cupId, other.cupId] = [other.cupId, one.cupId];
  else if (kind < 0.9 && one.from) one.from = one.from === 'low' ? 'high' : 'low';
  else one.reach = Math.min(1.6, Math.max(0.4, one.reach * (0.75 + 0.6 * chance())));
  return next;
}

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
