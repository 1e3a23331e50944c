import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { nightHeron, rockpool, samphire, tideline } from '../../../demo/plans';
import { computePlan, type Plan } from '../plan';
import { buyerSheet, USUAL_TOLERANCE } from './buyer';
import { metricWords } from '../quantity';
import { freeze } from '../run';

const sheet = (plan: Plan, tolerance = USUAL_TOLERANCE) =>
  buyerSheet(plan, computePlan(plan, cards), tolerance);

describe('the sheet for a buyer', () => {
  it('promises what a mould and a scale can keep, with the figures agreed', () => {
    const { matches } = sheet(samphire, { deltaE: 2, weight: 0.03 });
    expect(matches.join(' ')).toMatch(/samphire\), each within a difference of 2 /);
    expect(metricWords(matches.join(' '))).toMatch(/hooks 1–5: 112 g, 3 % more or less/);
  });

  it('says of every act of chance that it never comes twice', () => {
    expect(sheet(rockpool).differs.join(' ')).toMatch(/outline of each ring/);
    expect(sheet(nightHeron).differs.join(' ')).toMatch(/how the swirl turns/);
    expect(sheet(samphire).differs.join(' ')).toMatch(/veins and specks/);
    const plain = { ...tideline, steps: tideline.steps.filter((s) => s.act.kind === 'lay') };
    expect(sheet(plain).differs).toEqual(['Colours look different in photos.']);
    expect(sheet(plain).matches.join(' ')).toMatch(/order of the layers/);
    expect(sheet(tideline).matches.join(' ')).not.toMatch(/order of the layers/);
  });

  it('says how to keep each material', () => {
    expect(sheet(nightHeron).care.join(' ')).toMatch(/For the skin/);
    expect(sheet(tideline).care.join(' ')).toMatch(/Not for food/);
  });
});

it('a cup that is filled from others is no colour: those it is filled from are', () => {
  const file = freeze(nightHeron, cards);
  const [, colours] = buyerSheet(nightHeron, file.computed, USUAL_TOLERANCE).matches;
  const jugs = file.computed.cups.filter((c) => c.jug).map((c) => c.name);
  const own = file.computed.cups.filter((c) => !c.jug).map((c) => c.name);
  expect(jugs.length).toBeGreaterThan(0);
  for (const name of jugs) expect(colours).not.toContain(name);
  for (const name of own) expect(colours).toContain(name);
});
