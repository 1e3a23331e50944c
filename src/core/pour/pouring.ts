import type { Amount } from '../document';
import type { ActStep, Changed, Pouring } from './act';
import { nothingToPour, overfull, unevenChambers, unknownChamber, unknownZone } from './pouring-problems';
import { inChamber, levelled, pouredOn, spreadOf, type Filled, type CavityState } from './cavity-state';

const EPSILON = 1e-9;
/** Chambers whose levels differ by more than this push on their divider, mm. */
const EVEN_MM = 2;

/**
 * A cavity after so much of a cup was poured into it: by how much its level rises, and whether there was room for it.
 * @param density g/ml of what is poured, by which grams are a volume
 */
export function poured(
  act: Pouring,
  stand: CavityState,
  step: ActStep,
  density = step.density(act.cupId)
): Changed {
  const chamber = stand.chambers.find((c) => c.id === act.chamberId);
  if (act.chamberId && !chamber) return { stand, problems: [unknownChamber(act, step, stand)] };
  const uneven = chamber ? 0 : spreadOf(stand);
  const problems = uneven > EVEN_MM ? [unevenChambers(uneven, step, stand)] : [];
  const ready = chamber ? stand : levelled(stand);

  const share = chamber?.share ?? 1;
  const from = chamber ? inChamber(ready, chamber) : ready.whole;
  const amount = asVolume(act.amount, density);
  const wanted = amount ? volumeAfter(amount, from, share, ready) : from.ml;
  if (wanted === undefined) return { stand: ready, problems: [...problems, unknownZone(act, step, stand)] };
  if (wanted <= from.ml + EPSILON)
    return {
      stand: ready,
      problems: [...problems, nothingToPour(act, step, from.ml / (stand.cavity.capacity * share))]
    };
  const most = mostIn(act.amount, share, ready);
  if (wanted > most * (1 + 1e-6) + EPSILON)
    problems.push(overfull(act, step, ready, { over: wanted - most, most }));
  const ml = Math.min(wanted, most) - from.ml;
  const place = { stepId: step.stepId, cupId: act.cupId, chamber };
  return { stand: ml > EPSILON ? pouredOn(ready, ml, place) : ready, problems };
}

/** An amount in grams as the volume they take; nothing of what has no weight yet. */
function asVolume(amount: Amount, density: number): Exclude<Amount, { kind: 'weight' }> | undefined {
  if (amount.kind !== 'weight') return amount;
  return density > 0 ? { kind: 'volume', ml: amount.grams / density } : undefined;
}

/** The most that may stand in the cavity (or in its chamber of so much share), ml. */
const mostIn = (amount: Amount, share: number, { cavity, unmoulded }: CavityState): number =>
  unmoulded && !toRim(amount)
    ? Infinity
    : (cavity.capacity + (amount.kind === 'dome' ? cavity.domeMl : 0)) * share;

const toRim = ({ kind }: Amount): boolean => kind === 'rim' || kind === 'dome';

/** Volume in the cavity (or its chamber of so much share) once an amount has been laid, ml; may exceed its capacity. */
function volumeAfter(
  amount: Exclude<Amount, { kind: 'weight' }>,
  from: Filled,
  share: number,
  stand: CavityState
): number | undefined {
  const { cavity } = stand;
  // Above the rim there is no more room: a depth past it is what would stand over the rim, so that it reads as overfull.
  const past = (z: number) => ((z - cavity.depth) * cavity.geometry.areaAt(cavity.depth)) / 1000;
  const volumeAt = (z: number) =>
    share * (z <= cavity.depth ? cavity.volumeAt(z) : cavity.capacity + past(z));
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
    case 'dome':
      return mostIn(amount, share, stand);
    case 'zone': {
      const zone = stand.zones.find((x) => x.id === amount.zoneId || x.name === amount.zoneId);
      return zone ? volumeAt(zone.to) : undefined;
    }
  }
}
