import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { eel, rockpool, sluice, tideline } from '../../../../demo/plans';
import { applyEdit } from '../../document/apply-edit';
import { mended, problemsOf, type Told } from './mended.testing';
import { otherMoulds } from '../fixes/other-mould';
import { type Plan } from '..';
import { type LearnedHistory } from '../../document';
import { type Shelf } from '../../shelf';

const says = (plan: Plan, code: string, told: Told = {}) =>
  problemsOf(plan, told).some((p) => p.code === code);
/** The shelf with one mould more, like another but for what is said; the same cavities. */
const withMould = (like: string, over: Partial<Shelf['moulds'][number]>): Shelf => ({
  ...cards,
  moulds: [...cards.moulds, { ...cards.moulds.find((m) => m.id === like)!, ...over }]
});

describe('a mould that held a dark dye', () => {
  const learned: LearnedHistory = {
    lastColours: new Map([['roundel', { colour: '#111111', name: 'sluice black', dye: true }]])
  };

  it('is changed for another that holds as much, where the shelf has one', () => {
    const shelf = withMould('roundel', { id: 'roundel-2', name: 'Second roundel' });
    const after = mended(rockpool, 'mould-residue', { shelf, learned });
    expect(after.groups[0]!.mouldId).toBe('roundel-2');
    expect(says(rockpool, 'mould-residue', { shelf })).toBe(false);
  });

  it('stays where no other is as large, or it is torn, and nothing is offered', () => {
    const offered = (shelf: Shelf) =>
      problemsOf(rockpool, { shelf, learned }).find((p) => p.code === 'mould-residue')?.edit;
    expect(offered(cards)).toBeUndefined();
    expect(offered(withMould('roundel', { id: 'roundel-2', condition: 'torn' }))).toBeUndefined();
    const [roundel] = cards.moulds.filter((m) => m.id === 'roundel');
    const holding = (ml: number) => ({
      ...roundel!,
      id: `roundel-${ml}`,
      name: `${ml} ml`,
      cavities: roundel!.cavities.map((c) => ({ ...c, capacity: { from: 'pour' as const, ml } }))
    });
    // The roundel holds 55 ml.
    const moulds = new Map([roundel!, ...[70, 59, 56, 45].map(holding)].map((m) => [m.id, m]));
    expect(otherMoulds({ moulds }, rockpool.groups[0]!).map((m) => m.words)).toEqual([
      'Pour it in the 56 ml',
      'Pour it in the 59 ml'
    ]);
  });
});

describe('a mould whose walls hold the piece', () => {
  const leaning = (draft: number): Shelf => {
    const shelf = withMould('dome-knobs', { id: 'knobs-2', name: 'Second tray' });
    return {
      ...shelf,
      moulds: shelf.moulds.map((m) =>
        m.id === tideline.groups[0]!.mouldId
          ? { ...m, cavities: m.cavities.map((c) => ({ ...c, draft })) }
          : m
      )
    };
  };

  it('is changed for one whose walls lean out; a soft one may lean in a little', () => {
    const like = tideline.groups[0]!.mouldId;
    expect(like).toBe('dome-knobs');
    expect(mended(tideline, 'draft-grips', { shelf: leaning(-30) }).groups[0]!.mouldId).toBe('knobs-2');
    expect(says(tideline, 'draft-grips', { shelf: leaning(-5) })).toBe(false);
    expect(says(tideline, 'draft-grips', { shelf: leaning(0) })).toBe(false);
  });

  it('leaning in a little, shows the narrower face', () => {
    expect(tideline.showFace).toBe('mould face');
    for (const draft of [-5.1, -20]) {
      const after = mended(tideline, 'draft-grips', { shelf: leaning(draft) });
      expect([after.showFace, after.groups]).toEqual(['open face', tideline.groups]);
    }
    const other: Plan = { ...tideline, showFace: 'open face' };
    expect(says(other, 'draft-grips', { shelf: leaning(-20) })).toBe(false);
    expect(says(other, 'draft-grips', { shelf: leaning(-20.1) })).toBe(true);
  });
});

describe('what is taken out after dry colour', () => {
  it('is taken out no more', () => {
    const plan = applyEdit(sluice, { path: ['cups', 1, 'reserve'], value: 20 });
    expect(mended(plan, 'reserve-after-colour').cups[1]).not.toHaveProperty('reserve');
    expect(
      says(applyEdit(tideline, { path: ['cups', 1, 'reserve'], value: 20 }), 'reserve-after-colour')
    ).toBe(false);
  });
});

describe('a piece that is more than a shot', () => {
  const own = cards.bases.find((b) => b.id === eel.mixes[0]!.baseId)!;
  const large: Plan = { ...eel, groups: [{ ...eel.groups[0]!, mouldId: 'bookend', cavityId: 'bookend' }] };

  it('is poured from a base that takes no injector, or a larger one; none is offered where there is none', () => {
    if (!('injector' in own) || !own.injector) throw new Error('not injected');
    const { injector, ...byHand } = own;
    const shelfWith = (base: typeof own): Shelf => ({ ...cards, bases: [...cards.bases, base] });
    const hand = mended(large, 'injector-too-small', {
      shelf: shelfWith({ ...byHand, id: 'by-hand', name: 'Plastisol by hand' })
    });
    expect(hand.mixes.every((m) => m.baseId === 'by-hand')).toBe(true);
    const bigger = { ...own, id: 'bigger', name: 'Bigger', injector: { ...injector, ml: 20_000 } };
    expect(mended(large, 'injector-too-small', { shelf: shelfWith(bigger) }).mixes[0]!.baseId).toBe('bigger');
    expect(
      problemsOf(large, {}).find((p) => p.code === 'injector-too-small')?.edit,
      'cards have one injected base'
    ).toBeUndefined();
    expect(says(eel, 'injector-too-small')).toBe(false);
  });
});
