import type { Room } from '../../cure';
import { EXOTHERM_LIMIT, materials, type Base } from '../../material';
import type { ResolvedMix } from '../resolve';

/** Past this nobody mixes in one vessel: what stays cool here stays cool, g. */
const NOBODY_MIXES = 1e6;

/** The most that may stand mixed in one cup, g, where the card says. */
export const cardsSafeMass = (base: Base): number | undefined => materials.of(base).safeMass?.(base);

/** Whether so many grams, mixed and standing in one cup in this room, are past what is safe: the card's figure, or the limit. */
export function tooHot({ base, behaviour }: ResolvedMix, grams: number, room: Room): boolean {
  const safe = cardsSafeMass(base);
  if (safe !== undefined) return grams > safe * (1 + 1e-9);
  return behaviour.cupPeak(Math.max(1, grams), room) > EXOTHERM_LIMIT;
}

/** The most of a mix that may stand in one cup in this room, g; Infinity where no amount heats itself too far. */
export function safeGrams(mix: ResolvedMix, room: Room): number {
  const own = cardsSafeMass(mix.base);
  if (own !== undefined) return own;
  let [safe, over] = [1, NOBODY_MIXES];
  if (!tooHot(mix, over, room)) return Infinity;
  for (let i = 0; i < 40; i++) {
    const middle = (safe + over) / 2;
    if (tooHot(mix, middle, room)) over = middle;
    else safe = middle;
  }
  return safe;
}
