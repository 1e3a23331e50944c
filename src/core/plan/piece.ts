import type { FilledGroup, Layer } from '../batch';
import type { Look } from '../colour';
import type { Cavity, Footprint, Zone } from '../mould';
import type { Cup, Plan } from './document';
import { seenThrough, type Palette } from './looks';

/** A layer with what it looks like: in section, and as its thickness lets what is behind show through. */
export interface ComputedLayer extends Layer {
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
  /** Whether it is laid on a layer that a gate has let gel. */
  gated: boolean;
  /** Share of each face that this layer is, 0..1, seen straight on. */
  shows: { mouldFace: number; openFace: number };
}

/** A group of cavities, filled. */
export interface ComputedGroup {
  groupId: string;
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

/** A filled group with what its mould's card says. */
export type PlacedGroup = FilledGroup & {
  mouldName: string;
  footprint: Footprint;
  zones: readonly Zone[];
  chambers: readonly { id: string; name: string; share: number }[];
};

const PROFILE_STEPS = 40;

/** A filled group as the screens draw it. */
export function drawnGroup(
  plan: Plan,
  placed: PlacedGroup,
  palette: Palette,
  densityOf: (cupId: string) => number
): ComputedGroup {
  const { group, cavity, layers, filledMl } = placed;
  return {
    groupId: group.id,
    name: group.name,
    mouldName: placed.mouldName,
    count: group.count,
    capacity: cavity.capacity,
    domeMl: cavity.domeMl,
    depth: cavity.depth,
    working: cavity.working,
    profile: profileOf(cavity),
    footprint: placed.footprint,
    zones: placed.zones,
    chambers: placed.chambers,
    filled: cavity.capacity > 0 ? filledMl / cavity.capacity : 0,
    layers: layers.map((layer, i) => {
      const cup = plan.cups.find((c) => c.id === layer.cupId)!;
      const film = (l: Layer) => ({ cupId: l.cupId, mm: l.to - l.from });
      const own = layers.filter((l) => !l.chamber || l.chamber.id === layer.chamber?.id);
      const above = own.filter((l) => layers.indexOf(l) > i).map(film);
      const below = own.filter((l) => layers.indexOf(l) < i).map(film);
      const look = seenThrough([film(layer), ...above], palette);
      const wide = layer.chamber ? layer.chamber.to - layer.chamber.from : 1;
      return {
        ...layer,
        letter: cup.letter,
        hatch: cup.hatch,
        gated: gatedBefore(plan, layer),
        shows: {
          mouldFace: wide * mouldFaceShare(cavity, layer),
          openFace: wide * (layer.to >= topOf(layers) - 1e-9 ? 1 : 0)
        },
        look,
        colour: look.hex,
        openColour: seenThrough([film(layer), ...below.reverse()], palette).hex,
        ml: layer.each * group.count,
        grams: layer.each * group.count * densityOf(layer.cupId)
      };
    })
  };
}

const topOf = (layers: readonly Layer[]) => Math.max(...layers.map((l) => l.to));

/** Whether a gate stands between this layer and the one before it in the same cavities. */
function gatedBefore(plan: Plan, layer: Layer): boolean {
  const index = plan.steps.findIndex((s) => s.id === layer.stepId);
  const groupId = plan.steps[index]?.groupId;
  const before = plan.steps.slice(0, index).filter((s) => s.groupId === groupId);
  return before.at(-1)?.act === 'gate';
}

/**
 * Share of the mould face a level layer shows, seen straight on: what its walls add to the open area as they
 * lean out. The first layer shows the whole bottom as well.
 */
function mouldFaceShare(cavity: Cavity, layer: Layer): number {
  const { areaAt } = cavity.geometry;
  const rim = areaAt(cavity.depth);
  const inner = layer.from <= 0 ? 0 : areaAt(layer.from);
  return rim > 0 ? Math.max(0, (areaAt(layer.to) - inner) / rim) : 0;
}

function profileOf(cavity: Cavity): [number, number][] {
  return Array.from({ length: PROFILE_STEPS + 1 }, (_, i) => {
    // Closer together near the mould face, where a dome curves most.
    const z = cavity.depth * (i / PROFILE_STEPS) ** 2;
    return [z, cavity.geometry.halfWidthAt(z)];
  });
}
