import { materials } from '../material';
import type { Look } from '../colour';
import type { Memo } from '../memo';
import { footprintOf, profileOf, widestArea, type Cavity, type Footprint, type Zone } from '../mould';
import type { Cup } from '../document';
import type { FilledCavitySet, PouredLayer } from './fill';
import { leftAlone } from './left-alone';
import { seenThrough, untilHidden, type Palette } from './looks/looks';
import type { ResolvedPlan } from './resolve';
import { roomIn } from './room';
import { swirlShares, wetRuns } from './looks/swirl';

/** A layer with what it looks like: in section, and as its thickness lets what is behind show through. */
export interface ComputedLayer extends PouredLayer {
  letter: string;
  hatch: Cup['hatch'];
  /** As seen from the mould face, with the layers above it behind; and from the open face. */
  colour: string;
  openColour: string;
  /** The mould face's colour, and whether the screen can show it. */
  look: Look;
  /** ml and grams in all cavities of the group. */
  ml: number;
  grams: number;
  /** Whether it is laid on what was left alone first: by a gate, or by time enough to set. */
  gated: boolean;
  /** Share of each face that this layer is, 0..1, seen straight on. */
  shows: { mouldFace: number; openFace: number };
}

/** Cavities that are done alike, filled: a group, or those of it that share a variation. */
export interface ComputedGroup {
  groupId: string;
  /** The group's own id, or one made of it for cavities with a variation. */
  cavitySetId: string;
  name: string;
  mouldName: string;
  count: number;
  capacity: number;
  /** ml that a domed skin adds above the rim. */
  domeMl: number;
  depth: number;
  /** How the capacity was found. */
  working: string;
  /** Section through the middle: level and half width, mm, from the mould face up. */
  profile: [number, number][];
  /** The rim from above: round, a rectangle (width over length), or an outline in mm. */
  footprint: Footprint;
  zones: readonly Zone[];
  chambers: readonly { id: string; name: string; share: number }[];
  layers: ComputedLayer[];
  filled: number;
}

const PROFILE_STEPS = 40;

/** Every filled cavity set as the screens draw it, each anew only where what lies in it, or how that looks, has changed. */
export function drawnGroups(
  plan: ResolvedPlan,
  filled: readonly FilledCavitySet[],
  palette: Palette,
  densities: ReadonlyMap<string, number>
): ComputedGroup[] {
  const { kinds, optics, looks, hides, inks } = palette;
  const films = new Map(
    plan.cups.map((cup) => {
      const { id } = cup.cup;
      const look = [kinds.get(id), optics.get(id), looks.get(id), hides.get(id), inks.has(id)];
      return [id, [cup, densities.get(id), ...look]] as const;
    })
  );
  return filled.map((f) => {
    const { id } = f.cavitySet;
    const used = [...new Set(f.layers.map((l) => l.cupId))].map((cupId) => films.get(cupId));
    const steps = plan.steps.filter((s) => s.here(id));
    return plan.memo.of(`draw ${id}`, [f, steps, used, roomIn(plan.plan.bench)], () =>
      drawnGroup(plan, f, palette, (cupId) => densities.get(cupId) ?? 0)
    );
  });
}

function drawnGroup(
  plan: ResolvedPlan,
  filled: FilledCavitySet,
  palette: Palette,
  densityOf: (cupId: string) => number
): ComputedGroup {
  const { cavitySet, cavity, layers, filledMl } = filled;
  const alone = leftAlone(plan, filled);
  const shows = shownBy(plan, filled, palette, alone);
  return {
    groupId: cavitySet.group.id,
    cavitySetId: cavitySet.id,
    name: cavitySet.name,
    mouldName: cavitySet.mould.name,
    count: cavitySet.count,
    capacity: cavity.capacity,
    domeMl: cavity.domeMl,
    depth: cavity.depth,
    working: cavity.working,
    profile: profileOf(cavity.geometry, PROFILE_STEPS),
    footprint: footprintOf(cavitySet.kind.shape),
    zones: cavitySet.kind.zones ?? [],
    chambers: cavitySet.kind.chambers ?? [],
    filled: cavity.capacity > 0 ? filledMl / cavity.capacity : 0,
    layers: layers.map((layer, i) => ({
      ...layer,
      ...seen(plan.memo, filled, i, palette),
      letter: plan.cupOf.get(layer.cupId)!.cup.letter,
      hatch: plan.cupOf.get(layer.cupId)!.cup.hatch,
      gated: alone.has(layer.stepId),
      shows: shows.get(layer)!,
      ml: layer.each * cavitySet.count,
      grams: layer.each * cavitySet.count * densityOf(layer.cupId)
    }))
  };
}

/** What one layer looks like from either face, with what lies behind it there. */
function seen(memo: Memo, { cavitySet, layers }: FilledCavitySet, i: number, palette: Palette) {
  const layer = layers[i]!;
  const film = (l: PouredLayer) => ({ cupId: l.cupId, mm: l.to - l.from });
  const own = (l: PouredLayer) => !l.chamber || l.chamber.id === layer.chamber?.id;
  const above = layers.slice(i + 1).filter(own);
  const below = layers.slice(0, i).filter(own).reverse();
  const through = (side: string, behind: readonly PouredLayer[]): Look => {
    const films = untilHidden([film(layer), ...behind.map(film)], palette);
    const looks = films.map((f) => [f.mm, palette.optics.get(f.cupId)]);
    const place = `look ${cavitySet.id} ${i} ${side}`;
    const nearest = [palette.kinds.get(layer.cupId), palette.inks.has(layer.cupId)];
    return memo.of(place, [looks, nearest], () => seenThrough(films, palette));
  };
  const look = through('from below', above);
  return { look, colour: look.hex, openColour: through('from above', below).hex };
}

/**
 * What each layer shows of each face. Layers that were fluid together are a swirl: what they show of the mould face
 * as level layers is shared out among their cups as a swirl shares it.
 */
function shownBy(
  plan: ResolvedPlan,
  { cavity, layers }: FilledCavitySet,
  palette: Palette,
  alone: ReadonlySet<string>
): Map<PouredLayer, ComputedLayer['shows']> {
  const level = new Map(layers.map((l) => [l, showsOf(cavity, layers, l)]));
  for (const run of wetRuns(layers, (l) => alone.has(l.stepId))) {
    if (new Set(run.map((l) => l.cupId)).size < 2 || run.some((l) => l.chamber)) continue;
    const face = run.reduce((s, l) => s + level.get(l)!.mouldFace, 0);
    const shares = swirlShares(run, palette, (id) =>
      materials.has(plan.cupOf.get(id)?.mix?.base.kind, 'runs thin')
    );
    for (const l of run) {
      // Several layers of one cup show its share between them, by volume.
      const own = run.filter((x) => x.cupId === l.cupId).reduce((s, x) => s + x.each, 0);
      const share = own > 0 ? (shares.get(l.cupId)! * l.each) / own : 0;
      level.set(l, { ...level.get(l)!, mouldFace: face * share });
    }
  }
  return level;
}

function showsOf(cavity: Cavity, layers: readonly PouredLayer[], layer: PouredLayer): ComputedLayer['shows'] {
  const wide = layer.chamber ? layer.chamber.to - layer.chamber.from : 1;
  const top = Math.max(...layers.map((l) => l.to));
  return {
    mouldFace: wide * mouldFaceShare(cavity, layer),
    openFace: wide * (layer.to >= top - 1e-9 ? 1 : 0)
  };
}

/**
 * Share of the mould face a level layer shows, seen straight on: what its walls add to the open area as they
 * lean out. The first layer shows the whole bottom as well.
 */
function mouldFaceShare(cavity: Cavity, layer: PouredLayer): number {
  const { areaAt } = cavity.geometry;
  const rim = widestArea(cavity.geometry);
  // Past its widest a closed cavity is seen from the other side.
  const seen = (level: number) => Math.min(level, cavity.geometry.widest ?? level);
  const inner = layer.from <= 0 ? 0 : areaAt(seen(layer.from));
  return rim > 0 ? Math.max(0, (areaAt(seen(layer.to)) - inner) / rim) : 0;
}
