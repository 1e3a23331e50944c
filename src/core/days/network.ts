/**
 * A simple temporal network: moments with least and most minutes between them.
 * Each least and most is an edge of a distance graph; shortest paths are the tightest bounds, a negative cycle a contradiction.
 */

/** `to` comes at least `min` and at most `max` minutes after `from`; without `max` as late as it likes. */
export interface Link {
  id: string;
  from: string;
  to: string;
  min: number;
  max?: number | undefined;
}

/** When each moment can be at the earliest and at the latest, minutes from the origin; or the links that cannot all be kept. */
export type Solved =
  | { ok: true; earliest: ReadonlyMap<string, number>; latest: ReadonlyMap<string, number> }
  | { ok: false; broken: string[] };

interface Edge {
  from: string;
  to: string;
  /** to − from is at most this. */
  most: number;
  id: string;
}

/**
 * Solves a network from an origin, with everything done by a horizon: earliest and latest moments (infinite where nothing
 * bounds them), or a smallest set of links found that contradict one another.
 *
 * @param links minutes; a negative `min` is allowed
 * @param origin the moment that is 0
 */
export function solveNetwork(links: readonly Link[], origin: string, horizon = Infinity): Solved {
  const moments = [...new Set([origin, ...links.flatMap((l) => [l.from, l.to])])];
  const edges = links.flatMap((l): Edge[] => [
    { from: l.to, to: l.from, most: -l.min, id: l.id },
    ...(l.max === undefined ? [] : [{ from: l.from, to: l.to, most: l.max, id: l.id }])
  ]);
  const ends = Number.isFinite(horizon)
    ? moments.map((m): Edge => ({ from: origin, to: m, most: horizon, id: '~horizon' }))
    : [];
  const all = [...edges, ...ends];
  const down = shortest(moments, all, origin);
  const up = shortest(moments, all.map(turnedRound), origin);
  const cycle = down.cycle ?? up.cycle;
  if (cycle) return { ok: false, broken: cycle };
  return {
    ok: true,
    earliest: new Map(moments.map((m) => [m, 0 - (up.reach.get(m) ?? Infinity)])),
    latest: new Map(moments.map((m) => [m, down.reach.get(m) ?? Infinity]))
  };
}

const turnedRound = (e: Edge): Edge => ({ ...e, from: e.to, to: e.from });

/** Least distances from the origin, or the links of a negative cycle, which cannot be kept together. */
function shortest(
  moments: readonly string[],
  edges: readonly Edge[],
  origin: string
): { reach: Map<string, number>; cycle?: string[] } {
  const reach = new Map([[origin, 0]]);
  const by = new Map<string, Edge>();
  let last: string | undefined;
  for (let round = 0; round < moments.length; round++) {
    last = undefined;
    for (const e of edges) {
      const to = (reach.get(e.from) ?? Infinity) + e.most;
      if (to < (reach.get(e.to) ?? Infinity) - 1e-9) {
        reach.set(e.to, to);
        by.set(e.to, e);
        last = e.to;
      }
    }
    if (last === undefined) return { reach };
  }
  return { reach, cycle: cycleThrough(last!, by, moments.length) };
}

function cycleThrough(start: string, by: ReadonlyMap<string, Edge>, moments: number): string[] {
  let at = start;
  for (let i = 0; i < moments; i++) at = by.get(at)?.from ?? at;
  const ids: string[] = [];
  const first = at;
  do {
    const edge = by.get(at);
    if (!edge) break;
    ids.push(edge.id);
    at = edge.from;
  } while (at !== first);
  return [...new Set(ids)];
}
