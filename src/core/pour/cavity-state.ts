import { widestArea, type Cavity, type Chamber, type Zone } from '../mould';

/** One colour as it lies in each cavity of a group. Levels in mm from the mould face, volumes in ml a cavity. */
export interface CavityLayer {
  stepId: string;
  cupId: string;
  from: number;
  to: number;
  fromMl: number;
  toMl: number;
  /** ml in one cavity. */
  each: number;
  /** Where it went into one chamber: that chamber's place across the cavity, shares 0..1 from the left. */
  chamber?: { id: string; name: string; from: number; to: number };
}

/** How far something is filled: level in mm, and ml. */
export interface Filled {
  level: number;
  ml: number;
}

/** One cavity while it is filled: what an act finds, and what it leaves. Never changed in place. */
export interface CavityState {
  /** The cavities' name, for sentences. */
  name: string;
  cavity: Cavity;
  chambers: readonly Chamber[];
  zones: readonly Zone[];
  whole: Filled;
  /** What stands in each chamber while a divider stands; empty before and after. */
  inChambers: ReadonlyMap<string, Filled>;
  layers: readonly CavityLayer[];
  /** Out of its mould: no rim limits what is piped or coated onto it. */
  unmoulded?: true;
}

/** An empty cavity. */
export function emptyCavity(
  name: string,
  cavity: Cavity,
  fittings: { chambers?: readonly Chamber[] | undefined; zones?: readonly Zone[] | undefined }
): CavityState {
  return {
    name,
    cavity,
    chambers: fittings.chambers ?? [],
    zones: fittings.zones ?? [],
    whole: { level: 0, ml: 0 },
    inChambers: new Map(),
    layers: []
  };
}

/** What stands in one chamber: its own fill, or its share of what stood in the whole cavity. */
export const inChamber = (stand: CavityState, chamber: Chamber): Filled =>
  stand.inChambers.get(chamber.id) ?? { level: stand.whole.level, ml: stand.whole.ml * chamber.share };

/** How far the chambers' levels lie apart, mm; 0 without a divider. */
export function spreadOf(stand: CavityState): number {
  if (!stand.inChambers.size) return 0;
  const levels = stand.chambers.map((c) => inChamber(stand, c).level);
  return Math.max(...levels) - Math.min(...levels);
}

/** ml in the whole cavity, chambers counted. */
export const filledMl = (stand: CavityState): number =>
  stand.inChambers.size ? stand.chambers.reduce((s, c) => s + inChamber(stand, c).ml, 0) : stand.whole.ml;

/** The divider comes out: what stood in the chambers levels. */
export function levelled(stand: CavityState): CavityState {
  if (!stand.inChambers.size) return stand;
  const ml = filledMl(stand);
  return { ...stand, whole: { ml, level: stand.cavity.levelAt(ml) }, inChambers: new Map() };
}

/** What goes where: by which step, from which cup, into which chamber. */
export interface PouredAt {
  stepId: string;
  cupId: string;
  chamber?: Chamber | undefined;
}

/**
 * The cavity with so many ml more of a cup lying level on what is there. The volume is taken as given: an act
 * decides how much fits.
 */
export function pouredOn(stand: CavityState, ml: number, { chamber, ...ids }: PouredAt): CavityState {
  const from = chamber ? inChamber(stand, chamber) : stand.whole;
  const share = chamber?.share ?? 1;
  const toMl = from.ml + ml;
  const level = levelOf(stand, toMl / share);
  const layer: CavityLayer = {
    ...ids,
    from: from.level,
    to: level,
    fromMl: from.ml,
    toMl,
    each: ml,
    ...(chamber ? { chamber: placeOf(chamber, stand.chambers) } : {})
  };
  const layers = [...stand.layers, layer];
  if (!chamber) return { ...stand, layers, whole: { level, ml: toMl } };
  return { ...stand, layers, inChambers: new Map(stand.inChambers).set(chamber.id, { level, ml: toMl }) };
}

/** How high so many ml stand, mm; out of its mould a piece goes on as wide as its top. */
function levelOf({ cavity, unmoulded }: CavityState, ml: number): number {
  const over = unmoulded ? Math.max(0, ml - cavity.capacity) : 0;
  const inMould = cavity.levelAt(Math.min(ml, cavity.capacity));
  return over > 0 ? inMould + (over * 1000) / widestArea(cavity.geometry) : inMould;
}

function placeOf(chamber: Chamber, chambers: readonly Chamber[]): NonNullable<CavityLayer['chamber']> {
  const before = chambers.slice(0, chambers.indexOf(chamber)).reduce((s, c) => s + c.share, 0);
  return { id: chamber.id, name: chamber.name, from: before, to: before + chamber.share };
}
