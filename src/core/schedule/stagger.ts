import { busyMinutes, cavitiesInHand, RESERVE } from './hands';

/** What a row of mixes has to keep to. Minutes. */
export interface Staggering {
  /** Castings wanted in all, and cavities that there are at once. */
  castings: number;
  cavities: number;
  /** Pour window of one mix, from the meeting of its parts. */
  window: number;
  /** Hands: mixing before the window begins; then colouring once, and each cavity. */
  mixing: number;
  colouring: number;
  each: number;
  /** When a casting may leave its mould, after its own mix is poured, and how long that takes the hands. */
  demould: { from: number; to: number; each: number };
}

/** One mix of a row: how many castings, and when what is done. Minutes from the start of the first. */
export interface Stagger {
  count: number;
  mixAt: number;
  pouredBy: number;
  /** Its castings leave their moulds between these, the hands busy with it. */
  demouldAt: number;
  outBy: number;
}

/** A row of mixes by one pair of hands; undefined where not even one casting fits the window. */
export interface MixRow {
  perMix: number;
  mixes: Stagger[];
  ends: number;
  /** Whether every mix’s castings leave their moulds inside their window. */
  kept: boolean;
}

/** Castings shared over the fewest mixes, as evenly as they go, the fuller ones first: 22 in fours are 4, 4, 4, 4, 3, 3. */
export function evenly(castings: number, most: number): number[] {
  const mixes = Math.ceil(castings / most - 1e-9);
  const [least, more] = [Math.floor(castings / mixes), castings % mixes];
  return Array.from({ length: mixes }, (_, i) => least + (i < more ? 1 : 0));
}

/** The most castings that one mix serves: inside its window less the reserve, and in the cavities there are. */
export const mostPerMix = (s: Staggering): number =>
  Math.min(s.cavities, s.castings, cavitiesInHand(s.window, s.mixing, s.colouring, s.each));

/**
 * The soonest row of mixes for one pair of hands: each is begun as soon as cavities are free for it and no casting that
 * waits in its mould would be late because of it; castings are demoulded as early as they may be and the hands are free.
 */
export function staggered(s: Staggering): MixRow | undefined {
  const perMix = mostPerMix(s);
  if (perMix < 1) return undefined;
  const mixes: Stagger[] = [];
  const waiting: Stagger[] = [];
  let now = 0;
  let free = s.cavities;
  const takeOut = (m: Stagger) => {
    m.demouldAt = Math.max(now, m.pouredBy + s.demould.from);
    m.outBy = m.demouldAt + m.count * s.demould.each;
    now = m.outBy;
    free += m.count;
  };
  for (const count of evenly(s.castings, perMix)) {
    const busy = busyMinutes(s.mixing, s.colouring, count, s.each);
    // Whoever would be late while the hands are in the next mix goes first, and whoever holds the cavities it needs.
    while (waiting.length && (free < count || isLate(waiting, now + busy, s))) takeOut(waiting.shift()!);
    const mix = { count, mixAt: now, pouredBy: now + busy, demouldAt: 0, outBy: 0 };
    now = mix.pouredBy;
    free -= count;
    mixes.push(mix);
    waiting.push(mix);
  }
  while (waiting.length) takeOut(waiting.shift()!);
  return { perMix, mixes, ends: now, kept: mixes.every((m) => m.outBy <= m.pouredBy + s.demould.to + 1e-9) };
}

/** Whether one of those that wait could not all be out in time, were the hands busy until then. */
function isLate(waiting: readonly Stagger[], until: number, { demould }: Staggering): boolean {
  let at = until;
  for (const m of waiting) {
    at = Math.max(at, m.pouredBy + demould.from) + m.count * demould.each;
    if (at > m.pouredBy + demould.to + 1e-9) return true;
  }
  return false;
}

/** What another pair of hands or a slower material would bring. */
export interface Gains {
  /** Mixes in a row when a helper pours while the other mixes and demoulds: each cavity takes half the time. */
  helper?: { mixes: number; perMix: number };
  /** The window in which all the cavities there are could be poured from one mix, minutes. */
  window?: number;
}

/** What would save mixes; nothing where one mix already serves all the cavities there are. */
export function gainsOf(s: Staggering): Gains {
  const now = mostPerMix(s);
  const at = Math.min(s.cavities, s.castings);
  if (now >= at || now < 1) return {};
  const helped = mostPerMix({ ...s, each: s.each / 2 });
  const window = busyMinutes(s.mixing, s.colouring, at, s.each) / (1 - RESERVE);
  return {
    ...(helped > now ? { helper: { mixes: Math.ceil(s.castings / helped), perMix: helped } } : {}),
    window
  };
}
