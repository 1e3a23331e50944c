import { beforeAll, describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { someOf } from '../soak.testing';
import { judgedRuns, type JudgedRun } from './bench-corpus';
import { figuresOfAdvice, judgedCorpus, type Judged } from './corpus';
import { MISTAKES } from './mistakes';
import { SLIPS } from './slips';
import { wellMade } from './well-made';

/** The floors that advice is held to, shares of 1. */
const FLOORS = { recall: 0.97, precision: 0.95, mends: 0.9 };

let cases: Judged[];
let runs: JudgedRun[];
beforeAll(async () => {
  const right = someOf(await wellMade({ ...cards, lots: [] }), 6);
  cases = judgedCorpus(right);
  runs = judgedRuns(right);
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
    // A sixth of the plans is looked at: what can be made in one or two of them may be missing.
    expect(rare.length).toBeLessThanOrEqual(6);
  });
});

describe('causes over the corpus', () => {
  it('names none for a run that went to plan, whatever the piece looks like', () => {
    expect(runs.filter((r) => !r.slip && r.false.length).map((r) => `${r.id}: ${r.false.join()}`)).toEqual(
      []
    );
  });

  it('names what was done wrong, and names it first', () => {
    const slipped = runs.filter((r) => r.slip);
    const missed = slipped.filter((r) => r.missed.length).map((r) => r.id);
    const second = slipped.filter((r) => r.false.length).map((r) => `${r.id}: ${r.false.join()}`);
    expect(1 - missed.length / slipped.length, missed.join('\n')).toBeGreaterThanOrEqual(FLOORS.recall);
    expect(1 - second.length / slipped.length, second.join('\n')).toBeGreaterThanOrEqual(FLOORS.precision);
    expect(new Set(slipped.map((r) => r.slip)).size).toBeGreaterThanOrEqual(SLIPS.length - 3);
  });

  it('changes the plan by every change it offers', () => {
    expect(runs.flatMap((r) => r.badChanges.map((bad) => `${r.id}: ${bad}`))).toEqual([]);
  });

  it('takes every warning that was poured past for a candidate, whose change leaves the plan without it', () => {
    const wrong = cases.filter((c) => c.mistake);
    const amiss = wrong.filter((c) => c.noCause.length).map((c) => `${c.id}: ${c.noCause.join()}`);
    expect(1 - amiss.length / wrong.length, amiss.join('\n')).toBeGreaterThanOrEqual(0.99);
  });
});
