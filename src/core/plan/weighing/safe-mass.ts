import type { Room } from '../../cure';
import type { ResolvedMix } from '../resolve';

/** A cup that peaks above this, °C, is too much resin in one cup: it smokes, cracks and warps its vessel. */
export const EXOTHERM_LIMIT = 110;
/** Past this nobody mixes in one vessel: what stays cool here stays cool, g. */
const NOBODY_MIXES = 1e6;

/** Whether so many grams, mixed and standing in one cup in this room, are past what is safe: the card's figure, or the limit. */
export function tooHot({ base, behaviour }: ResolvedMix, grams: number, room: Room): boolean {
  if (base.kind !== 'resin') return false;
  if (base.safeMass !== undefined) return grams > base.safeMass * (1 + 1e-9);
  return behaviour.cupPeak(Math.max(1, grams), room) > EXOTHERM_LIMIT;
}

/** The most of a mix that may stand in one cup in this room, g; Infinity where no amount heats itself too far. */
export function safeGrams(mix: ResolvedMix, room: Room): number {
  if (mix.base.kind === 'resin' && mix.base.safeMass !== undefined) return mix.base.safeMass;
  let [safe, over] = [1, NOBODY_MIXES];
  if (!tooHot(mix, over, room)) return Infinity;
  for (let i = 0; i < 40; i++) {
    const middle = (safe + over) / 2;
    if (tooHot(mix, middle, room)) over = middle;
    else safe = middle;
  }
  return safe;
}
