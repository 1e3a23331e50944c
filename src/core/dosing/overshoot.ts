/** A weighing of a mix: what was aimed at and, once it is in, what came out. Grams. */
export interface MixWeighing {
  key: string;
  target: number;
  actual?: number;
}

/** A mix after some of its parts are in. */
export interface MixCorrection {
  /** The batch as a multiple of the plan: the largest actual/target of what is in. 1 before the first. */
  scale: number;
  /** New targets, g, for every weighing; those already in may now need a top-up. */
  targets: { key: string; target: number; topUp: number }[];
  total: number;
  /** Grams over (or, negative, under) the planned total. */
  surplus: number;
}

/**
 * Recomputes a mix when a part came out at s × its target: every later target scales by s, and a part that
 * is already in below s × its target needs a top-up. The ratio is kept; the size of the batch gives way.
 * @example correctMix([]).scale // 1
 */
export function correctMix(weighings: readonly MixWeighing[]): MixCorrection {
  const inCup = weighings.filter((w) => w.actual !== undefined && w.target > 0);
  const scale = inCup.length ? Math.max(...inCup.map((w) => w.actual! / w.target)) : 1;
  const targets = weighings.map((w) => ({
    key: w.key,
    target: w.target * scale,
    topUp: w.actual === undefined ? 0 : Math.max(0, w.target * scale - w.actual)
  }));
  const total = targets.reduce((s, t) => s + t.target, 0);
  return { scale, targets, total, surplus: total - weighings.reduce((s, w) => s + w.target, 0) };
}
