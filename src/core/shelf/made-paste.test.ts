import { describe, expect, it } from 'vitest';
import { Colourant } from '../material';
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
});
