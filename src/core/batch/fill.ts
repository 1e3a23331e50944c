import type { Cavity, Chamber, Zone } from '../mould';
import type { Amount } from '../plan/amount';
import type { Group, LayStep, Step } from '../plan/document';
import type { Problem } from '../problem';

/** One laid layer in each cavity of a group. Levels in mm from the mould face, volumes in ml a cavity. */
export interface Layer {
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

/** A group of cavities after all its steps. */
export interface FilledGroup {
  group: Group;
  cavity: Cavity;
  layers: Layer[];
  /** Volume in one cavity at the end, ml. */
  filledMl: number;
}

/** What a cavity's card says of its fittings. */
export interface Fittings {
  chambers?: readonly Chamber[] | undefined;
  zones?: readonly Zone[] | undefined;
}

interface Stand {
  level: number;
  ml: number;
}

const EPSILON = 1e-9;
/** Chambers whose levels differ by more than this push on their divider, mm. */
const EVEN_MM = 2;

/** Resolves a group's laid layers against its cavity, in the order of the steps. */
export function fillGroup(
  group: Group,
  cavity: Cavity,
  steps: readonly Step[],
  fittings: Fittings = {}
): FilledGroup & { problems: Problem[] } {
  const problems: Problem[] = [];
  const layers: Layer[] = [];
  const chambers = fittings.chambers ?? [];
  let whole: Stand = { level: 0, ml: 0 };
  /** Levels in the chambers while the divider stands; empty before and after. */
  let stands = new Map<string, Stand>();

  steps.forEach((step, index) => {
    if (step.act !== 'lay' || step.groupId !== group.id) return;
    const path = `plan/steps/${index}/amount`;
    const chamber = chambers.find((c) => c.id === step.chamberId);
    if (step.chamberId && !chamber) {
      problems.push(unknownChamber(step, index, group));
      return;
    }
    const share = chamber?.share ?? 1;
    if (!chamber && stands.size) {
      // The divider comes out: what stood in the chambers levels.
      const uneven = spread(chambers, stands, whole);
      if (uneven > EVEN_MM) problems.push(unevenChambers(uneven, index, group));
      const ml = chambers.reduce((s, c) => s + (stands.get(c.id)?.ml ?? whole.ml * c.share), 0);
      whole = { ml, level: cavity.levelAt(ml) };
      stands = new Map();
    }
    const from = chamber ? (stands.get(chamber.id) ?? { level: whole.level, ml: whole.ml * share }) : whole;
    const wanted = volumeAfter(step.amount, from, share, cavity, fittings.zones ?? []);
    if (wanted === undefined) {
      problems.push(unknownZone(step, index, group));
      return;
    }
    if (wanted <= from.ml + EPSILON) {
      problems.push(nothingToPour(step, path, from.ml / (cavity.capacity * share)));
      return;
    }
    const most = (cavity.capacity + (step.amount.kind === 'dome' ? cavity.domeMl : 0)) * share;
    if (wanted > most * (1 + 1e-6) + EPSILON)
      problems.push(overfull(step, index, wanted - most, most, group));
    const to = Math.min(wanted, most);
    const level = cavity.levelAt(Math.min(to / share, cavity.capacity));
    layers.push({
      stepId: step.id,
      cupId: step.cupId,
      from: from.level,
      to: level,
      fromMl: from.ml,
      toMl: to,
      each: to - from.ml,
      ...(chamber ? { chamber: placeOf(chamber, chambers) } : {})
    });
    if (chamber) stands.set(chamber.id, { level, ml: to });
    else whole = { level, ml: to };
  });
  const filledMl = stands.size
    ? chambers.reduce((s, c) => s + (stands.get(c.id)?.ml ?? whole.ml * c.share), 0)
    : whole.ml;
  return { group, cavity, layers, filledMl, problems };
}

/** Volume in the cavity (or its chamber of so much share) once an amount has been laid, ml; may exceed its capacity. */
function volumeAfter(
  amount: Amount,
  from: Stand,
  share: number,
  cavity: Cavity,
  zones: readonly Zone[]
): number | undefined {
  // Above the rim there is no more room: a depth past it counts at the rim's area, so that it reads as overfull.
  const volumeAt = (z: number) =>
    share *
    (z <= cavity.depth ? cavity.volumeAt(z) : cavity.capacity * (1 + (z - cavity.depth) / cavity.depth));
  switch (amount.kind) {
    case 'deep':
      return volumeAt(from.level + amount.mm);
    case 'volume':
      return from.ml + amount.ml;
    case 'share':
      return from.ml + amount.of * cavity.capacity * share;
    case 'to level':
      return volumeAt(amount.mm);
    case 'to share':
      return amount.of * cavity.capacity * share;
    case 'rim':
      return cavity.capacity * share;
    case 'dome':
      return (cavity.capacity + cavity.domeMl) * share;
    case 'zone': {
      const zone = zones.find((x) => x.id === amount.zoneId || x.name === amount.zoneId);
      return zone ? volumeAt(zone.to) : undefined;
    }
  }
}

function placeOf(chamber: Chamber, chambers: readonly Chamber[]): NonNullable<Layer['chamber']> {
  const before = chambers.slice(0, chambers.indexOf(chamber)).reduce((s, c) => s + c.share, 0);
  return { id: chamber.id, name: chamber.name, from: before, to: before + chamber.share };
}

/** How far the chambers' levels lie apart, mm. */
function spread(chambers: readonly Chamber[], stands: ReadonlyMap<string, Stand>, whole: Stand): number {
  const levels = chambers.map((c) => stands.get(c.id)?.level ?? whole.level);
  return Math.max(...levels) - Math.min(...levels);
}

const unevenChambers = (mm: number, index: number, group: Group): Problem => ({
  code: 'chambers-uneven',
  level: 'warn',
  path: `plan/steps/${index}`,
  sentence: `${group.name}: the chambers stand ${mm.toFixed(1)} mm apart when the divider comes out, so one runs under the other.`,
  mend: 'Fill them to one level, in rounds.'
});

const unknownChamber = (step: LayStep, index: number, group: Group): Problem => ({
  code: 'chamber-unknown',
  level: 'stop',
  path: `plan/steps/${index}/chamberId`,
  sentence: `${group.name} have no chamber “${step.chamberId}”.`,
  mend: 'Choose one of the mould’s chambers, or the whole cavity.'
});

const unknownZone = (step: LayStep, index: number, group: Group): Problem => ({
  code: 'zone-unknown',
  level: 'stop',
  path: `plan/steps/${index}/amount`,
  sentence: `${group.name} have no zone “${step.amount.kind === 'zone' ? step.amount.zoneId : ''}”.`,
  mend: 'Name a zone of the mould’s card, or give a depth.'
});

function nothingToPour(step: LayStep, path: string, share: number): Problem {
  return {
    code: 'level-passed',
    level: 'stop',
    path,
    sentence: `The cavity already stands at ${(share * 100).toFixed(0)} % here, so this layer pours nothing.`,
    mend:
      step.amount.kind === 'rim'
        ? 'Lower an earlier layer, or take this one out.'
        : 'Ask for a higher level, or take this layer out.'
  };
}

function overfull(step: LayStep, index: number, over: number, most: number, group: Group): Problem {
  return {
    code: 'overfull',
    level: 'stop',
    path: `plan/steps/${index}/amount`,
    sentence: `${group.name} would overflow: ${over.toFixed(1)} ml more than the ${most.toFixed(1)} ml ${step.chamberId ? 'its chamber' : 'it'} holds.`,
    mend: 'Fill to the rim instead',
    edit: { path: ['steps', index, 'amount'], value: { kind: 'rim' } }
  };
}
