import {
  deepReflectance,
  finished,
  flat,
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
const NOTHING: Base['colour'] = '#efe9da';

/** Everything that is needed to colour a plan's cups and films. */
export interface Palette {
  kind: Base['kind'];
  optics: ReadonlyMap<string, Optics>;
  looks: ReadonlyMap<string, CupLooks>;
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

/** How one cup looks in the cup, dry, sealed and aged. */
export function looksOf(tint: Tint): CupLooks {
  const { kind } = tint.base;
  const dry = labOf(deepReflectance(mixtureOf(tint)));
  const ink = isInk(tint.doses);
  return {
    cup: finished(dry, kind, 'wet', ink),
    own: finished(dry, kind, 'dry', ink),
    sealed: finished(dry, kind, 'sealed', ink),
    aged: finished(dry, kind, 'aged', ink)
  };
}

/** Colours all cups of a plan. */
export function paletteOf(
  cups: readonly Cup[],
  base: Base | undefined,
  formula: Formula | undefined,
  colourants: ReadonlyMap<string, Colourant>
): Palette {
  const tints = cups.map((cup) => [cup.id, tintOf(cup, base, formula, colourants)] as const);
  return {
    kind: base?.kind ?? 'resin',
    optics: new Map(tints.map(([id, tint]) => [id, mixtureOf(tint)])),
    looks: new Map(tints.map(([id, tint]) => [id, looksOf(tint)])),
    inks: new Set(tints.flatMap(([id, tint]) => (isInk(tint.doses) ? [id] : [])))
  };
}

/** How the nearest of some films looks, dry, with the others and a pale wall behind it. Thickness in mm. */
export function seenThrough(films: readonly { cupId: string; mm: number }[], palette: Palette): Look {
  const known = films.flatMap((f) => {
    const optics = palette.optics.get(f.cupId);
    return optics ? [{ optics, mm: f.mm }] : [];
  });
  if (!known.length) return lookOf({ l: 90, a: 0, b: 0 });
  const lab = labOf(stackReflectance(known, BEHIND));
  return finished(lab, palette.kind, 'dry', palette.inks.has(films[0]!.cupId));
}
