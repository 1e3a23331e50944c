/** A stretch of the score's axis: minutes mapped to a length; `folded` where waiting is pressed together. */
export interface Stretch {
  from: number;
  to: number;
  start: number;
  length: number;
  folded: boolean;
}

/** The score's time axis, with long waits folded so that minutes of work stay readable beside hours of curing. */
export interface FoldedAxis {
  stretches: Stretch[];
  length: number;
  /** Place of a minute on the axis, 0..length. */
  at(minute: number): number;
}

/**
 * Builds an axis over busy intervals: time at work is drawn to scale, waits longer than `keep` minutes shrink
 * to a stretch as long as `keep` minutes would be.
 */
export function foldedAxis(
  busy: readonly { from: number; to: number }[],
  until: number,
  keep: number
): FoldedAxis {
  const merged: { from: number; to: number }[] = [];
  for (const b of [...busy].sort((a, z) => a.from - z.from)) {
    const last = merged.at(-1);
    if (last && b.from - last.to <= keep) last.to = Math.max(last.to, b.to);
    else merged.push({ from: b.from, to: b.to });
  }
  const stretches: Stretch[] = [];
  let place = 0;
  let now = 0;
  const add = (from: number, to: number, folded: boolean) => {
    if (to <= from) return;
    const length = folded ? keep : to - from;
    stretches.push({ from, to, start: place, length, folded });
    place += length;
    now = to;
  };
  for (const b of merged) {
    add(now, b.from, b.from - now > keep);
    add(Math.max(now, b.from), b.to, false);
  }
  add(now, until, until - now > keep);
  return {
    stretches,
    length: place,
    at(minute) {
      const s = stretches.find((x) => minute <= x.to) ?? stretches.at(-1);
      if (!s) return 0;
      const share = Math.min(1, Math.max(0, (minute - s.from) / (s.to - s.from)));
      return s.start + share * s.length;
    }
  };
}
