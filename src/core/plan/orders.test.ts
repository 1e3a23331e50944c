import { describe, expect, it } from 'vitest';
import { cards, knob } from '../../../demo/cards';
import {
  eel,
  lantern,
  nightHeron,
  plans,
  rockpool,
  saltings,
  samphire,
  shingle,
  sluice,
  tideline
} from '../../../demo/plans';
import { PORTION } from '../batch';
import { superfatOf, type Base } from '../material';
import { applyEdit } from '../document/apply-edit';
import { computePlan, type Computed, type Plan } from '.';
import { gramsIn } from './weighing/weighed';

const of = (plan: Plan): Computed => computePlan(plan, cards);
const sum = (xs: number[]) => xs.reduce((s, x) => s + x, 0);
const weight = (c: Computed, cup: number, key: string) =>
  c.cups[cup]!.weighings.find((w) => w.key === key)!.weight;

describe('the orders of the demo workshop', () => {
  it('all compute without a stop', () => {
    expect(plans).toHaveLength(17);
    for (const plan of plans)
      expect([plan.name, ...of(plan).problems.filter((p) => p.level === 'stop')]).toEqual([plan.name]);
  });

  it('A: a tray of six knobs, 58 to cast in ten turns', () => {
    const c = of(tideline);
    expect(c.groups[0]!.capacity).toBeCloseTo(10.29, 3);
    expect(c.order).toMatchObject({ cast: 58, turns: 10 });
  });

  it('B: four cups of one resin mix, inside two percent of its ratio', () => {
    const c = of(rockpool);
    expect(c.common).toHaveLength(1);
    expect(weight(c, 0, 'foam-white') / weight(c, 0, PORTION)).toBeCloseTo(0.024, 3);
    expect(Math.max(...c.cups.flatMap((x) => x.offRatio.map((o) => o.share)))).toBeLessThan(0.02);
    expect(c.order).toMatchObject({ cast: 16, turns: 3 });
    // Five percent of what is poured and clings stands by, since a swirl cannot be mixed again.
    expect(c.totals.balance.left).toBeCloseTo(0.05 * (c.totals.balance.poured + c.totals.balance.clings), 0);
  });

  it('C: a slab of 3.6 kg, forty bars, lye by its oils', () => {
    const c = of(saltings);
    expect(c.totals.balance.poured).toBeGreaterThan(3598);
    expect(c.totals.balance.poured).toBeLessThan(3640);
    expect(c.totals.pieces).toBe(40);
    const soap = cards.bases.find((b) => b.id === 'bar-soap') as Extract<Base, { kind: 'soap' }>;
    expect(superfatOf(soap, gramsIn(c.common[0]!.held))).toBeCloseTo(0.05, 2);
  });

  it('D: a loaf less its embeds', () => {
    const c = of(nightHeron);
    const plain = of(applyEdit(nightHeron, { path: ['groups', 0, 'embeds'], value: undefined }));
    expect(plain.groups[0]!.capacity - c.groups[0]!.capacity).toBeCloseTo(32 / 1.04, 6);
  });

  it('E: a detail coat in its zone, then the body, two at a time', () => {
    const c = of(sluice);
    expect(c.cups[0]!.balance.pouredMl).toBeCloseTo(2 * 144.7, 0);
    expect(weight(c, 1, 'sluice-brown') / weight(c, 1, 'cement')).toBeCloseTo(0.04, 3);
  });

  it('F: five hooks of 64 ml, 22 good from 26', () => {
    const c = of(samphire);
    expect(c.totals.balance.mixed).toBeCloseTo(578.8, 1);
    expect(c.order).toMatchObject({ cast: 26, turns: 6 });
  });

  it('G: chips are 45 % of what is mixed, and come from the offcuts', () => {
    const c = of(shingle);
    expect(c.totals.fillers[0]!.grams / c.totals.balance.mixed).toBeCloseTo(0.45, 2);
    expect(c.needs.some((n) => n.key === 'lot:samphire-offcuts')).toBe(true);
  });

  it('H: two shots a cord, sprue and nozzle counted', () => {
    const c = of(eel);
    expect(c.losses).toMatchObject({ cling: 0.05, vessel: 5.05, from: 'injector' });
    expect(c.craft.find((f) => f.label.startsWith('shots'))?.value).toContain('20 a filling');
  });

  it('I: twelve tags in two mixes the resin can stand', () => {
    const c = of(lantern);
    expect(c.groups[0]!.capacity).toBeCloseTo(9.84, 2);
    expect(c.cups[0]!.mixes.map((m) => sum(m.pours.map((p) => p.count)))).toEqual([6, 6]);
  });

  it('J: rubber for a knob in two halves, equal parts', () => {
    const c = of(knob.plan);
    expect(c.groups[0]!.capacity).toBeCloseTo(384 - 42.4 / 0.9982, 1);
    for (const cup of c.cups) expect(cup.weighings[0]!.weight).toBeCloseTo(cup.weighings[1]!.weight, 0);
    expect(c.cautions.join()).toContain('sulphur');
  });
});
