import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { kingfisher } from '../../../demo/plans';
import { computePlan, type Plan } from '../plan';
import { pieceOf, wholePicture } from './picture';
import { matterWithin } from './traced';

/** The cup that stands at a place of the tile, mm from its middle and its face. */
function cupAt(plan: Plan, x: number, y: number, z: number): string | undefined {
  const { traced } = pieceOf(plan, cards, {}, {})!;
  const matter = traced.matters[matterWithin(traced, { x, y, z })];
  return matter && 'cupId' in matter ? matter.cupId : undefined;
}

const changed = (embed: Record<string, unknown>, steps = kingfisher.steps): Plan => ({
  ...kingfisher,
  steps,
  groups: kingfisher.groups.map((g) => ({
    ...g,
    ...(g.embeds ? { embeds: g.embeds.map((e) => ({ ...e, ...embed }) as typeof e) } : {})
  }))
});

describe('a casting set into another', () => {
  it('shows its own colours in its own outline, and round it what is poured there', () => {
    expect(cupAt(kingfisher, 0, 0, 1)).toBe('bird');
    // The beak is far out on one side only.
    expect(cupAt(kingfisher, -40, 0, 1)).toBe('reed');
    expect(cupAt(kingfisher, 0, 40, 1)).toBe('reed');
    expect(cupAt(kingfisher, 0, 0, 9)).toBe('clear');
  });

  it('covers of the face what its outline covers', () => {
    const piece = pieceOf(kingfisher, cards, {}, {})!;
    const { shows } = wholePicture(piece, { kind: 'mould face' }, { size: 200 });
    const bird = computePlan(kingfisher, cards).groups[0]!;
    // The bird is upright: its outline is its volume over its height.
    const mm2 = (bird.capacity * 1000) / 5;
    const share = shows.find((s) => s.cupId === 'bird')!.share;
    expect(share).toBeCloseTo(mm2 / (102 * 102), 2);
  });

  it('sawn to half it is half as high, and where it stands higher it is not on the face', () => {
    const half = changed({ share: 0.5 });
    expect(cupAt(half, 0, 0, 2)).toBe('bird');
    expect(cupAt(half, 0, 0, 3)).toBe('reed');
    const raised = changed({ from: 2 });
    expect(cupAt(raised, 0, 0, 1)).toBe('reed');
    expect(cupAt(raised, 0, 0, 3)).toBe('bird');
  });

  it('lies where it is laid', () => {
    const aside = kingfisher.steps.map((s) =>
      s.act.kind === 'place' ? { ...s, act: { ...s.act, at: { x: 0.5, y: 0.5 } } } : s
    );
    expect(cupAt(changed({}, aside), 0, 0, 1)).toBe('reed');
    expect(cupAt(changed({}, aside), 25, 25, 1)).toBe('bird');
  });

  it('that is not there yet is not drawn', () => {
    const without = kingfisher.steps.filter((s) => s.act.kind !== 'place');
    expect(cupAt(changed({}, without), 0, 0, 1)).toBe('reed');
  });
});
