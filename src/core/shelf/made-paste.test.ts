import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { tideline } from '../../../demo/plans';
import { usualFraction, type PutIn } from '../dosing';
import { Colourant } from '../material';
import { computePlan, type Plan } from '../plan';
import { metricWords } from '../quantity';
import { startingLibrary } from './library';
import { Lot } from './lot';
import { pigmentsToMull, shelvedPaste, type MadePaste } from './made-paste';

const pigments = pigmentsToMull(startingLibrary.colourants);
const pigment = { ...pigments[0]!, bulkDensity: 0.8 };
const order = { make: 40, fraction: 0.6, division: 0.01, pigmentCost: 0.05, carrierCost: 0.02 };
const made: MadePaste = { pigment, carrier: 'part B', order, shelfMonths: 12, madeAt: 1000, useBy: 5000 };
const ids = { card: 'paste-1', lot: 'lot-1' };

describe('a paste made here', () => {
  it('is mulled from dry pigments alone, no flakes', () => {
    expect(pigments.length).toBeGreaterThan(3);
    for (const c of pigments) {
      expect(c.pigmentFraction).toBe(1);
      expect(c.form).not.toMatch(/mica|pearl|glitter/);
    }
  });

  it('has a card that knows its carrier and strength, and a lot with its grams, dates and cost', () => {
    const shelved = shelvedPaste(made, ids);
    if (!shelved.ok) throw new Error('no paste');
    const { card, lot } = shelved.value;
    expect(Colourant.parse(card)).toMatchObject({
      id: 'paste-1',
      form: 'paste',
      carrier: 'part B',
      pigmentFraction: 0.6,
      shelfMonths: 12,
      notes: 'Made here: 24.00 g in 16.00 g hardener.'
    });
    expect(card).not.toHaveProperty('bulkDensity');
    // 24 g at 0.05 and 16 g at 0.02.
    expect(Lot.parse(lot)).toMatchObject({
      of: { kind: 'colourant', colourantId: 'paste-1' },
      grams: 40,
      price: 1.52,
      boughtAt: 1000,
      openedAt: 1000,
      useBy: 5000
    });
  });

  it('of water is a dispersion; without prices it costs nothing known', () => {
    const { pigmentCost: _p, carrierCost: _c, ...free } = order;
    const shelved = shelvedPaste({ ...made, carrier: 'water', order: free }, ids);
    expect(shelved.ok && shelved.value.card.form).toBe('dispersion');
    expect(shelved.ok && shelved.value.lot.price).toBe(0);
  });

  it('that does not mull is refused', () => {
    const stiff = shelvedPaste({ ...made, order: { ...order, fraction: 0.9 } }, ids);
    expect(stiff.ok ? '' : stiff.problem.code).toBe('paste-fraction');
  });

  it('is what really went in, weighed, by spoons and by drops, and says so', () => {
    const put: PutIn[] = [
      { of: 'pigment', amount: 20, by: 'g' },
      { of: 'pigment', amount: 2, by: '⅛ tsp', each: 0.5 },
      { of: 'carrier', amount: 12, by: 'g' },
      { of: 'carrier', amount: 50, by: 'drops', each: 0.04 }
    ];
    const shelved = shelvedPaste({ ...made, order: { ...order, put } }, ids);
    if (!shelved.ok) throw new Error('no paste');
    const { card, lot } = shelved.value;
    // 21 g of pigment in 14 g of hardener, whatever was meant.
    expect(card.pigmentFraction).toBeCloseTo(0.6, 4);
    expect(lot.grams).toBeCloseTo(35, 9);
    expect(metricWords(card.notes)).toBe(
      'Made here: 20.00 g + 2 × ⅛ tsp of pigment in 12.00 g + 50 drops of hardener; 21.00 g in 14.00 g.'
    );
  });

  it('of which only one part went in is none', () => {
    const one = shelvedPaste(
      { ...made, order: { ...order, put: [{ of: 'pigment', amount: 5, by: 'g' }] } },
      ids
    );
    expect(one.ok ? '' : one.problem.code).toBe('paste-nothing');
  });

  it('knows whose part carries it, and says so in another', () => {
    const shelved = shelvedPaste({ ...made, carrierOf: 'clear-slow' }, ids);
    if (!shelved.ok) throw new Error('no paste');
    const paste = shelved.value.card;
    const shelf = { ...cards, colourants: [...cards.colourants, paste] };
    const said = (baseId: string) => {
      const plan: Plan = {
        ...tideline,
        mixes: tideline.mixes.map((m) => ({ ...m, baseId })),
        cups: tideline.cups.map((c) => ({
          ...c,
          recipe: c.recipe.map((l) => ({ ...l, colourantId: paste.id }))
        }))
      };
      return computePlan(plan, shelf).problems.filter((p) => p.code === 'paste-of-another').length;
    };
    expect(said('clear-slow')).toBe(0);
    expect(said('clear-quick')).toBeGreaterThan(0);
  });

  it('usually holds much of a mineral and little of what is light', () => {
    expect(usualFraction({ form: 'powder', density: 4.2 })).toBe(0.6);
    expect(usualFraction({ form: 'powder' })).toBe(0.6);
    expect(usualFraction({ form: 'powder', density: 1.8 })).toBe(0.25);
    expect(usualFraction({ form: 'botanical' })).toBe(0.25);
  });
});
