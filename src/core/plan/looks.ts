import {
  deepReflectance,
  finished,
  flat,
  hidingThickness,
  isInk,
  labOf,
  lookOf,
  mixtureOf,
  stackReflectance,
  type Look,
  type Optics,
  type Tint
} from '../colour';
import { concentrationsOf } from '../dosing';
import type { Base, Colourant, Formula } from '../material';
import { dosesOf } from './cups';
import type { Cup } from './document';

/** A cup's colour wherever it is seen. */
export interface CupLooks {
  /** Full and wet, as it stands on the bench. */
  cup: Look;
  /** Dry and deep: its own colour, by which it is known. */
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
  kind: Base['kind'];
  optics: ReadonlyMap<string, Optics>;
  looks: ReadonlyMap<string, CupLooks>;
  /** Thickness from which each cup hides, mm. */
  hides: ReadonlyMap<string, number>;
  inks: ReadonlySet<string>;
}

/** What colours a cup: grams of each colourant as supplied to 100 g of its base. */
export function tintOf(
  cup: Cup,
  base: Base | undefined,
  formula: Formula | undefined,
  colourants: ReadonlyMap<string, Colourant>
): Tint {
  const doses = dosesOf(cup, colourants);
  const percents = formula ? concentrationsOf(formula, doses) : doses.map((d) => d.percent);
  return {
    base: { kind: base?.kind ?? 'resin', colour: base?.colour ?? NOTHING, density: formula?.density ?? 1.1 },
    doses: doses.map((d, i) => ({ colourant: d.colourant, percent: percents[i]! }))
  };
}

/** A cup's colour worked out: its curves, its looks, and the thickness it hides at, mm. */
interface Coloured {
  optics: Optics;
  looks: CupLooks;
  hides: number;
}

const known = new Map<string, Coloured>();

/** Colours one cup. Kept by what it is made of, since most edits leave most cups as they were. */
function coloured(tint: Tint): Coloured {
  const { kind } = tint.base;
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
  const dry = labOf(deepReflectance(optics));
  const ink = isInk(tint.doses);
  const made = {
    optics,
    hides: hidingThickness(optics),
    looks: {
      cup: finished(dry, kind, 'wet', ink),
      own: finished(dry, kind, 'dry', ink),
      sealed: finished(dry, kind, 'sealed', ink),
      aged: finished(dry, kind, 'aged', ink)
    }
  };
  if (known.size > 400) known.clear();
  known.set(key, made);
  return made;
}

/** Colours all cups of a plan. */
export function paletteOf(
  cups: readonly Cup[],
  base: Base | undefined,
  formula: Formula | undefined,
  colourants: ReadonlyMap<string, Colourant>
): Palette {
  const tints = cups.map((cup) => [cup.id, tintOf(cup, base, formula, colourants)] as const);
  const made = tints.map(([id, tint]) => [id, coloured(tint)] as const);
  return {
    kind: base?.kind ?? 'resin',
    optics: new Map(made.map(([id, c]) => [id, c.optics])),
    looks: new Map(made.map(([id, c]) => [id, c.looks])),
    hides: new Map(made.map(([id, c]) => [id, c.hides])),
    inks: new Set(tints.flatMap(([id, tint]) => (isInk(tint.doses) ? [id] : [])))
  };
}

/** How the nearest of some films looks, dry, with the others and a pale wall behind it. Thickness in mm. */
export function seenThrough(films: readonly { cupId: string; mm: number }[], palette: Palette): Look {
  // What lies behind a film that hides is never seen.
  const hiding = films.findIndex((f) => f.mm >= (palette.hides.get(f.cupId) ?? Infinity) * SAFELY);
  const seen = hiding < 0 ? films : films.slice(0, hiding + 1);
  const stack = seen.flatMap((f) => {
    const optics = palette.optics.get(f.cupId);
    return optics ? [{ optics, mm: f.mm }] : [];
  });
  if (!stack.length) return lookOf({ l: 90, a: 0, b: 0 });
  const lab = labOf(stackReflectance(stack, BEHIND));
  return finished(lab, palette.kind, 'dry', palette.inks.has(films[0]!.cupId));
}
