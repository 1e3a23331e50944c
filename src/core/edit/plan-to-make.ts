import { compatibilityOf, limitOf, materials, type Base, type Colourant } from '../material';
import { isWhite, paleness } from '../colour';
import { splitAll, type Plan, type Step } from '../document';
import { acts, TECHNIQUES, type Technique, type Trait } from '../pour';
import type { Shelf } from '../shelf';
import { withNewCup } from './add-cup';
import { applyTechnique } from './apply-technique';
import { freshId } from './fresh-id';
import { insertStep } from './insert-step';
import { actStep, newPlan } from './new-plan';

/** The few answers that a plan cannot do without. */
export interface ToMake {
  id: string;
  techniqueId: string;
  mouldId: string;
  baseId: string;
  /** Good pieces that are wanted. */
  good: number;
  /** What colours each cup, in the order the technique uses them; an empty id leaves a cup clear. */
  colourantIds: readonly string[];
  /** Bars or slices that each casting is cut into; left whole when absent. */
  cutInto?: number | undefined;
}

/** Percent of a colourant to begin with: what shows in a layer of a few millimetres; white takes more. Our own starting figures. */
const [USUAL, WHITE] = [1, 2];

/**
 * A whole plan from a technique and those answers: its cups coloured, its steps filled in for this cavity, one mix divided
 * where the material is usually made so. Nothing where the shelf has no such mould, material or technique.
 */
export function planToMake(shelf: Shelf, asked: ToMake): Plan | undefined {
  const technique = TECHNIQUES.find((t) => t.id === asked.techniqueId);
  const base = shelf.bases.find((b) => b.id === asked.baseId);
  const mould = shelf.moulds.find((m) => m.id === asked.mouldId);
  if (!technique || !base || !mould?.cavities[0]) return undefined;
  const blank = newPlan(asked.id, `${technique.name}, ${mould.name}`.slice(0, 80), shelf, mould.id);
  const ofBase: Plan = {
    ...blank,
    steps: [],
    mixes: blank.mixes.map((m) => ({ ...m, baseId: base.id })),
    groups: blank.groups.map((g) => (asked.cutInto ? { ...g, cutInto: asked.cutInto } : g)),
    order: { good: asked.good }
  };
  const coloured = withColours(ofBase, shelf, base, asked.colourantIds);
  const divided = isDivided(base, technique) ? splitAll(coloured, base.id) : coloured;
  const made = applyTechnique(divided, shelf, {
    techniqueId: technique.id,
    groupId: 'group-1',
    keep: 'nothing'
  });
  const cared = withCare(made, base);
  // A bar is judged by its cut.
  return (asked.cutInto ?? 1) > 1 ? cutUp({ ...cared, showFace: 'cut' }) : cared;
}

/** What a material asks for that a technique leaves open: taps where air stays, a sprue topped where it is drawn in, a cover where it brings ash, air on all sides where it is wet. */
function withCare(plan: Plan, { kind }: Base): Plan {
  const out = plan.steps.findIndex((s) => acts.traits(s.act).includes('demoulds'));
  if (out < 0) return plan;
  const is = (trait: Trait) => plan.steps.some((s) => acts.traits(s.act).includes(trait));
  const group = plan.groups[0]!.id;
  const step = (act: string): Step[] => {
    const made = actStep(freshId(plan, act), act, '', group);
    return made ? [made] : [];
  };
  const tapped = materials.has(kind, 'mineral') && !is('loosens') && !is('clears') ? step('tap') : [];
  const covered = materials.has(kind, 'ashes') && !is('shields') ? step('cover') : [];
  const topped = materials.has(kind, 'draws in the sprue') && !is('tops the sprue') ? step('sprue') : [];
  const before = [...tapped, ...topped, ...covered];
  const after = materials.has(kind, 'dries in air') && !is('airs') ? step('air') : [];
  return { ...plan, steps: plan.steps.toSpliced(out, 1, ...before, plan.steps[out]!, ...after) };
}

/** The castings are cut once they are out of their mould, where the technique does not cut them itself. */
function cutUp(plan: Plan): Plan {
  const [group] = plan.groups;
  if (!group || plan.steps.some((s) => acts.traits(s.act).includes('cuts'))) return plan;
  const cut = actStep(freshId(plan, 'cut'), 'cut', '', group.id);
  if (!cut) return plan;
  const step: Step = {
    ...cut,
    act: { ...cut.act, pieces: group.cutInto ?? 1 },
    gates: [
      {
        id: freshId(plan, 'gate'),
        all: [{ kind: 'since', zero: { demoulded: group.id }, minutes: REST_BEFORE_CUTTING }]
      }
    ]
  };
  return { ...plan, steps: insertStep(plan.steps, step, group.id) };
}

/** Minutes a casting rests out of its mould before it is cut. */
const REST_BEFORE_CUTTING = 30;

/**
 * Whether one mix is usually divided: where it goes by its trace, and where colours of what sets by water go into one body,
 * which sets before several cups were mixed one after another.
 */
const isDivided = ({ kind }: Base, { composite, together }: Technique): boolean =>
  materials.has(kind, 'goes by trace') ||
  ((composite !== undefined || together === true) && materials.has(kind, 'mineral'));

/** A cup for each colour, called after it. */
function withColours(plan: Plan, { colourants }: Shelf, { kind }: Base, ids: readonly string[]): Plan {
  const plain = materials.has(kind, 'cures clear') ? 'clear' : 'natural';
  let made = plan;
  while (made.cups.length < ids.length) made = withNewCup(made);
  const cups = made.cups.map((cup, i) => {
    const own = colourants.find((c) => c.id === ids[i]);
    if (!own) return { ...cup, name: i < ids.length ? plain : cup.name };
    const { limit } = limitOf(own, kind);
    const percent = Math.min(limit, isWhite(own) ? WHITE : USUAL);
    return {
      ...cup,
      name: cupNameOf(own),
      recipe: [{ id: `colour-${i + 1}`, colourantId: own.id, percent, of: 'supplied' as const }]
    };
  });
  return { ...made, cups };
}

/** A cup's name from its pot: without what kind of pot it is. */
export const cupNameOf = ({ name }: Pick<Colourant, 'name'>): string =>
  name.replace(/ (paste|powder|ink|dispersion|mica|colour)$/i, '').slice(0, 40);

/** How many colours a technique begins with, where the maker has said none: as few as it needs, three where it takes more. */
export const coloursOf = ({ cups, least }: Technique): number =>
  cups.at(-1) === '…' ? Math.max(least, 3) : Math.max(least, cups.length);

/**
 * So many cups of a technique with pots in their order, the first pot in the first cup that is not left clear; an empty id leaves
 * a cup clear. What does not cure clear is coloured all the same.
 */
export function startingColours(
  { clear = [] }: Technique,
  { kind }: Base,
  pots: readonly string[],
  count: number
): string[] {
  const left = [...pots];
  const isClear = (i: number) => clear.includes(i) && materials.has(kind, 'cures clear');
  return Array.from({ length: count }, (_, i) => (isClear(i) ? '' : left.shift())).filter(
    (id) => id !== undefined
  );
}

/** What the i-th colour of a technique does in it. */
export function roleOf({ cups }: Technique, i: number): string {
  const said = cups.filter((c) => c !== '…');
  return said[i] ?? 'next, in order';
}

/**
 * Pots for a material, those that go well into it before those that ask for care; each row in an order that is told apart
 * when taken from its start: the palest, the darkest, then each as far from the ones before as may be.
 */
export const potsApart = (base: Base, colourants: readonly Colourant[]): Colourant[] =>
  (['good', 'care'] as const).flatMap((verdict) =>
    apart(colourants.filter((c) => compatibilityOf(c.form, base.kind).verdict === verdict))
  );

function apart(pots: readonly Colourant[]): Colourant[] {
  const left = pots.map((c) => ({ c, l: paleness(c) })).sort((a, b) => b.l - a.l);
  const taken = left.splice(0, 1);
  while (left.length) {
    const far = (x: (typeof left)[number]) => Math.min(...taken.map((t) => Math.abs(t.l - x.l)));
    const next = left.reduce((n, x) => (far(x) > far(n) ? x : n));
    taken.push(...left.splice(left.indexOf(next), 1));
  }
  return taken.map((t) => t.c);
}
