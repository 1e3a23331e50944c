import { expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { saltings } from '../../../../demo/plans';
import type { Shelf } from '../../shelf';
import { event, upTo } from '../run.testing';
import { foldRun } from '../log/fold';
import { freeze } from '../snapshot/freeze';
import { paceSoFar } from './refit';

const floral: Shelf = {
  ...cards,
  bases: cards.bases.map((b) =>
    b.kind === 'soap' ? { ...b, fragrance: 0.03, fragranceIs: 'floral' as const } : b
  )
};

it('a pot is judged by the pace it was planned with: what its fragrance does is no surprise', () => {
  const told = (shelf: Shelf) => {
    const frozen = freeze(saltings, shelf);
    const splitMix = frozen.computed.common[0]!.mixId;
    const stir = frozen.tasks.find((t) => t.kind === 'stir')!;
    const events = upTo(frozen, stir.id, 1000);
    const zero = foldRun(frozen.tasks, events, frozen.computed.division).cups.get(splitMix)!.zero!;
    // Medium trace at eight minutes: early by the plain card, in its time with a floral fragrance.
    const felt = event({ type: 'felt', cupId: splitMix, state: 'medium trace' }, zero + 8 * 60_000);
    return paceSoFar(frozen, foldRun(frozen.tasks, [...events, felt], frozen.computed.division), splitMix)
      .factor;
  };
  expect(told(cards)).toBeLessThan(0.9);
  expect(told(floral)).toBe(1);
});
