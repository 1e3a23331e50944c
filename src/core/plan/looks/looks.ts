import { LRUCache } from 'lru-cache';
import {
  deepReflectance,
  finished,
  flat,
  hidingThickness,
  isInk,
  labOf,
  lookOf,
  mixtureOf,
  opticsOfBase,
  opticsOfColourant,
  PLAIN_BASE,
  stackReflectance,
  type Finish,
  type Lab,
  type Look,
  type Optics,
  type Tint
} from '../../colour';
import type { CupDose } from '../../batch';
import { concentrationsOf } from '../../dosing';
import type { Base, Formula } from '../../material';
import type { Plan } from '../../document';
import type { Shelf } from '../../shelf';
import type { ResolvedCup, ResolvedPlan } from '../resolve';

/** A cup's colour wherever it is seen. */
export interface CupLooks {
  /** Full and wet, as it stands on the bench. */
  cup: Look;
  /** Dry, as deep as it stands in its cup: its own colour, by which it is known. */
  own: Look;
  sealed: Look;
  aged: Look;
}

/** What stands behind the last film of a piece: a pale wall seen through it. */
const BEHIND = flat(0.8);
/** A film this many times as thick as it hides at is as good as deep. */
const SAFELY = 2;
const NOTHING: Base['colour'] = '#efe9da';

/** Everything that is needed to colour a plan's cups and films. */
export interface Palette {
  kinds: ReadonlyMap<string, string>;
  optics: ReadonlyMap<string, Optics>;
  looks: ReadonlyMap<string, CupLooks>;
  /** Thickness from which each cup hides, mm. */
  hides: ReadonlyMap<string, number>;
  inks: ReadonlySet<string>;
}

/** What colours a cup: grams of each colourant as supplied to 100 g of its base. */
export function tintOf(
  doses: readonly CupDose[],
  base: Base | undefined,
  formula: Formula | undefined
): Tint {
  const percents = formula ? concentrationsOf(formula, doses) : doses.map((d) => d.percent);
  return {
    base: {
      kind: base?.kind ?? PLAIN_BASE.kind,
      colour: base?.colour ?? NOTHING,
      density: formula?.density ?? 1.1
    },
    doses: doses.map((d, i) => ({ colourant: d.colourant, percent: percents[i]! }))
  };
}

/** A cup's tint; that of a cup of cups is theirs by their shares, as if stirred through. */
function cupTint(cup: ResolvedCup, plan: ResolvedPlan): Tint {
  const own = tintOf(cup.doses, cup.mix?.base, cup.mix?.formula);
  const parts = cup.parts.map(({ cupId, share }) => ({ share, tint: cupTint(plan.cupOf.get(cupId)!, plan) }));
  const theirs = parts.flatMap(({ share, tint }) =>
    tint.doses.map((d) => ({ ...d, percent: d.percent * share }))
  );
  return parts.length ? { base: parts[0]!.tint.base, doses: theirs } : own;
}

/** The tint of a cup, worked out once while nothing changes of what it is made of. */
const tintIn = (cup: ResolvedCup, plan: ResolvedPlan): Tint =>
  plan.memo.of(`tint ${cup.cup.id}`, [cup, cup.parts.length ? plan.cups : []], () => cupTint(cup, plan));

/** A cup's colour worked out: its curves, its looks, and the thickness it hides at, mm. */
interface Coloured {
  optics: Optics;
  looks: CupLooks;
  hides: number;
}

const known = new LRUCache<string, Coloured>({ max: 400 });

/** A pale cup, as its inside is seen through what is clear. */
const CUP = flat(0.85);

/** How deep so much stands in a cup as wide as it is high, mm. */
const depthOf = (ml: number): number => Math.cbrt((4 * ml * 1000) / Math.PI);

/** Colours one cup as deep as it stands: one that hides in less looks as it does at any depth. */
function coloured(tint: Tint, ml: number): Coloured {
  const deep = deeply(tint);
  const mm = depthOf(ml);
  if (deep.hides <= mm) return deep;
  const seen = labOf(stackReflectance([{ optics: deep.optics, mm }], CUP));
  return { ...deep, looks: looksOf(seen, tint) };
}

const looksOf = (dry: Lab, { base: { kind }, doses }: Tint): CupLooks => {
  const ink = isInk(doses);
  return {
    cup: finished(dry, kind, 'wet', ink),
    own: finished(dry, kind, 'dry', ink),
    sealed: finished(dry, kind, 'sealed', ink),
    aged: finished(dry, kind, 'aged', ink)
  };
};

/** A cup too deep to see through. Kept by what it is made of, since most edits leave most cups as they were. */
function deeply(tint: Tint): Coloured {
  const key = JSON.stringify([
    tint.base,
    tint.doses.map(({ colourant: c, percent }) => [
      c.colour,
      c.form,
      c.strength,
      c.tint,
      c.translucent,
      percent
    ])
  ]);
  const before = known.get(key);
  if (before) return before;
  const optics = mixtureOf(tint);
  const made = {
    optics,
    hides: hidingThickness(optics),
    looks: looksOf(labOf(deepReflectance(optics)), tint)
  };
  known.set(key, made);
  return made;
}

/** What stands in a cup of which nothing is poured yet, ml. */
const A_CUP = 50;

/** Colours all cups of a plan; `mlOf` says how much stands in each once it is mixed, ml. */
export function paletteOf(plan: ResolvedPlan, mlOf: (cupId: string) => number): Palette {
  const tints = plan.cups.map((cup) => [cup.cup.id, tintIn(cup, plan)] as const);
  const made = tints.map(([id, tint]) => {
    const ml = mlOf(id) || A_CUP;
    return [id, plan.memo.of(`colour ${id}`, [tint, ml], () => coloured(tint, ml))] as const;
  });
  return {
    kinds: new Map(tints.map(([id, tint]) => [id, tint.base.kind])),
    optics: new Map(made.map(([id, c]) => [id, c.optics])),
    looks: new Map(made.map(([id, c]) => [id, c.looks])),
    hides: new Map(made.map(([id, c]) => [id, c.hides])),
    inks: new Set(tints.flatMap(([id, tint]) => (isInk(tint.doses) ? [id] : [])))
  };
}

/** What light does in each colourant and base that a plan uses, one at a step; it is kept, and whoever asks next finds it. */
export function* litInTurn(plan: Plan, shelf: Shelf): Generator<void> {
  const used = new Set(plan.cups.flatMap((cup) => cup.recipe.map((line) => line.colourantId)));
  for (const colourant of shelf.colourants)
    if (used.has(colourant.id)) yield void opticsOfColourant(colourant);
  const bases = new Set(plan.mixes.map((mix) => mix.baseId));
  for (const base of shelf.bases)
    if (bases.has(base.id)) yield void opticsOfBase(tintOf([], base, undefined).base);
}

/**
 * Colours a plan's cups a little at each step, so that a page can be let draw between two; what was coloured is kept,
 * and `paletteOf` finds it.
 */
export function* colouredInTurn(plan: ResolvedPlan): Generator<void> {
  for (const cup of plan.cups) {
    const tint = tintIn(cup, plan);
    yield void plan.memo.of(`deep ${cup.cup.id}`, [tint], () => deeply(tint));
  }
}

/** Films up to the first that hides what lies behind it: the others are never seen. */
export function untilHidden<F extends { cupId: string; mm: number }>(
  films: readonly F[],
  { hides }: Palette
): readonly F[] {
  const hiding = films.findIndex((f) => f.mm >= (hides.get(f.cupId) ?? Infinity) * SAFELY);
  return hiding < 0 ? films : films.slice(0, hiding + 1);
}

/** How the nearest of some films looks, dry unless said, with the others and a pale wall behind it. Thickness in mm. */
export function seenThrough(
  films: readonly { cupId: string; mm: number }[],
  palette: Palette,
  finish: Finish = 'dry'
): Look {
  const stack = untilHidden(films, palette).flatMap((f) => {
    const optics = palette.optics.get(f.cupId);
    return optics ? [{ optics, mm: f.mm }] : [];
  });
  if (!stack.length) return lookOf({ l: 90, a: 0, b: 0 });
  const lab = labOf(stackReflectance(stack, BEHIND));
  return finished(
    lab,
    palette.kinds.get(films[0]!.cupId) ?? PLAIN_BASE.kind,
    finish,
    palette.inks.has(films[0]!.cupId)
  );
}
