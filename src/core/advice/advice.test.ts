import { beforeAll, describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { someOf } from '../soak.testing';
import { figuresOfAdvice, judgedCorpus, type Judged } from './corpus';
import { MISTAKES } from './mistakes';

/** The floors that advice is held to, shares of 1. */
const FLOORS = { recall: 0.97, precision: 0.95, mends: 0.9 };

let cases: Judged[];
beforeAll(async () => {
  cases = await judgedCorpus({ ...cards, lots: [] }, (all) => someOf(all, 3));
}, 300_000);

describe('advice over the corpus', () => {
  it('is silent about every plan that is well made, once its own mends are applied', () => {
    expect(
      cases.filter((c) => !c.mistake && c.false.length).map((c) => `${c.id}: ${c.false.join()}`)
    ).toEqual([]);
  });

  it('says what is wrong, little else, and how to mend it', () => {
    const { recall, precision, mends } = figuresOfAdvice(cases);
    const missed = cases.filter((c) => c.missed.length).map((c) => c.id);
    const falses = cases.filter((c) => c.false.length).map((c) => `${c.id}: ${c.false.join()}`);
    expect(recall, missed.join('\n')).toBeGreaterThanOrEqual(FLOORS.recall);
    expect(precision, falses.join('\n')).toBeGreaterThanOrEqual(FLOORS.precision);
    expect(mends).toBeGreaterThanOrEqual(FLOORS.mends);
  });

  it('offers no mend that does not mend, or that brings another warning', () => {
    expect(cases.flatMap((c) => c.badMends.map((bad) => `${c.id}: ${bad}`))).toEqual([]);
  });

  it('makes every mistake somewhere', () => {
    const made = new Set(cases.map((c) => c.mistake));
    const rare = MISTAKES.filter((m) => !made.has(m.id)).map((m) => m.id);
    // A third of the plans is looked at: what can be made in one or two of them may be missing.
    expect(rare.length).toBeLessThanOrEqual(3);
  });
});
