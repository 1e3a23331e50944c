import type { PouredLayer } from '../fill';
import type { Palette } from './looks';

/** Lightness from which a cup counts as white, L*. */
export const WHITE_LIGHTNESS = 82;
/** Some of every colour is left to be seen, however much the whites cover. */
const MOST_COVERED = 0.95;

/** Layers of one cavity that were fluid together, lowest first: what stays apart by a gate is no swirl. */
export function wetRuns<L extends PouredLayer>(layers: readonly L[], gated: (layer: L) => boolean): L[][] {
  const runs: L[][] = [];
  for (const layer of layers) {
    if (!runs.length || gated(layer)) runs.push([]);
    runs.at(-1)!.push(layer);
  }
  return runs;
}

/**
 * How much of a face each cup of a swirl is, 0..1, summing to 1. A skin as thin as its hiding thickness is seen as
 * white, so a white that is a share v of a pour d mm deep and hides at h mm can cover v·d/h of the face; laid at
 * random it covers 1 − exp(−v·d/h). The others share the rest by volume. A white poured last lies on top, where it is
 * put, and takes no more than its volume; nor does one that is no thin fluid: batter, slip and mortar stay where they
 * are laid.
 *
 * @param thin whether a cup runs out into skins, as mixed resin does
 */
export function swirlShares(
  run: readonly PouredLayer[],
  { looks, hides }: Palette,
  thin: (cupId: string) => boolean
): Map<string, number> {
  const volume = new Map<string, number>();
  for (const l of run) volume.set(l.cupId, (volume.get(l.cupId) ?? 0) + l.each);
  const all = run.reduce((s, l) => s + l.each, 0);
  const depth = Math.max(...run.map((l) => l.to)) - Math.min(...run.map((l) => l.from));
  const last = run.at(-1)!.cupId;
  const covers = (cupId: string, share: number): number | undefined => {
    const h = hides.get(cupId) ?? Infinity;
    const below = run.some((l) => l.cupId === cupId && l !== run.at(-1));
    const white = (looks.get(cupId)?.own.lab.l ?? 0) >= WHITE_LIGHTNESS && Number.isFinite(h) && h > 0;
    return white && thin(cupId) && (cupId !== last || below)
      ? Math.max(share, 1 - Math.exp((-share * depth) / h))
      : undefined;
  };
  const cups = [...volume].map(([cupId, ml]) => ({ cupId, share: ml / all, cover: covers(cupId, ml / all) }));
  const covered = cups.reduce((s, c) => s + (c.cover ?? 0), 0);
  const others = cups.reduce((s, c) => s + (c.cover === undefined ? c.share : 0), 0);
  // Nothing beside the whites: they share the face among themselves.
  const room = others > 0 ? MOST_COVERED : 1;
  const scale = covered > room || others === 0 ? room / covered : 1;
  const rest = 1 - covered * scale;
  return new Map(
    cups.map((c) => [c.cupId, c.cover === undefined ? (rest * c.share) / others : c.cover * scale])
  );
}
