/** Zones of a face from the middle out, each of a quarter of its area. */
const ZONES = 4;
/** What lies in the right zone counts half as much as the whole share. */
const ZONE_WEIGHT = 0.5;

/** A face as flat areas. */
interface Labelled {
  width: number;
  height: number;
  labels: Int8Array;
}

/** How much of the whole face one label covers, and of each zone, 0..1. */
export interface ZoneShares {
  share: number;
  zones: number[];
}

/** How much of a face, and of each of its zones from the middle out, one label covers. */
export function sharesByZone({ width, height, labels }: Labelled, label: number): ZoneShares {
  const own = new Float64Array(ZONES);
  const all = new Float64Array(ZONES);
  for (let p = 0; p < labels.length; p++) {
    if (labels[p]! < 0) continue;
    const [u, v] = [(2 * ((p % width) + 0.5)) / width - 1, (2 * (Math.floor(p / width) + 0.5)) / height - 1];
    const zone = Math.min(ZONES - 1, Math.floor((u * u + v * v) * ZONES));
    all[zone]!++;
    if (labels[p] === label) own[zone]!++;
  }
  const sum = (of: Float64Array) => of.reduce((s, n) => s + n, 0);
  return { share: sum(own) / Math.max(1, sum(all)), zones: [...own].map((n, i) => n / Math.max(1, all[i]!)) };
}

const offOf = (one: ZoneShares, other: ZoneShares): number =>
  Math.abs(one.share - other.share) +
  (ZONE_WEIGHT / ZONES) * one.zones.reduce((s, v, i) => s + Math.abs(v - other.zones[i]!), 0);

/**
 * Which colour goes into which cup: of all ways the one by which what the template shows of the cups is nearest to what is
 * wanted, by shares and by where they lie. For each cup the number of its colour; none where there are more cups.
 */
export function assigned(
  colours: readonly ZoneShares[],
  cups: readonly ZoneShares[]
): (number | undefined)[] {
  let best: { off: number; into: (number | undefined)[] } = { off: Infinity, into: [] };
  const spares = Math.max(0, cups.length - colours.length);
  const walk = (into: (number | undefined)[], left: readonly number[], free: number, off: number): void => {
    if (off >= best.off) return;
    const at = into.length;
    if (at === cups.length) {
      best = { off, into: [...into] };
      return;
    }
    for (const i of left)
      walk(
        [...into, i],
        left.filter((k) => k !== i),
        free,
        off + offOf(colours[i]!, cups[at]!)
      );
    if (free) walk([...into, undefined], left, free - 1, off + cups[at]!.share);
  };
  walk(
    [],
    colours.map((_, i) => i),
    spares,
    0
  );
  return best.into;
}
