import { describe, expect, it } from 'vitest';
import { cards, knob } from '../../../demo/cards';
import {
  bollard,
  buoy,
  culvert,
  eel,
  fender,
  fogBank,
  gauge,
  kingfisher,
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

  it('K: fourteen pots in turns of two; the wall is one cup, thinned between its two goes', () => {
    const c = of(gauge);
    expect(c.order).toMatchObject({ cast: 14, turns: 7 });
    const kinds = c.sequence.flatMap((i) => ('stepId' in i ? [i.stepId] : []));
    const at = (id: string) => kinds.indexOf(id);
    expect(at('wall-first')).toBeLessThan(at('thin-wall'));
    expect(at('thin-wall')).toBeLessThan(at('wall-second'));
    // A wall of 9 mm round a core of 35 mm, 82 mm high, and a floor of 10 mm.
    const ml = (Math.PI * ((44 ** 2 - 35 ** 2) * 82 + 44 ** 2 * 10)) / 1000;
    expect(c.groups[0]!.capacity).toBeCloseTo(ml, 0);
  });

  it('L: balls of 52 mm in four bands, each of stock lye and stock oils that the scale can weigh', () => {
    const c = of(buoy);
    expect(c.groups[0]!.capacity).toBeCloseTo(((4 / 3) * Math.PI * 26 ** 3) / 1000, 1);
    for (const cup of c.cups) {
      expect(cup.weighings.map((w) => w.key).slice(0, 3)).toEqual(['water', 'stock-lye', 'stock-oils']);
      expect(cup.weighings.every((w) => w.weighable)).toBe(true);
    }
  });

  it('M: tiles less their birds, which are no pieces of the order', () => {
    const c = of(kingfisher);
    expect(c.totals.pieces).toBe(2);
    expect(c.order).toMatchObject({ cast: 8, turns: 4 });
    const [birds, tiles] = c.groups;
    const plain = of({ ...kingfisher, groups: kingfisher.groups.map((g) => ({ ...g, embeds: [] })) });
    expect(plain.groups[1]!.capacity - tiles!.capacity).toBeCloseTo(0.9 * birds!.capacity, 6);
    expect(c.score.sittings).toHaveLength(2);
  });

  it('N: two mixes of one recipe, a day apart, the second for the top alone', () => {
    const c = of(fogBank);
    expect(c.common.map((m) => m.sitting)).toEqual([1, 2]);
    expect(c.score.sittings[1]!.after).toBeGreaterThan(1000);
    const top = c.groups[0]!.layers.find((l) => l.stepId === 'pipe-foam')!;
    expect(c.common[1]!.balance.mixed).toBeGreaterThan(top.grams);
    expect(c.common[1]!.balance.mixed).toBeLessThan(top.grams * 1.3);
    expect(c.totals.pieces).toBe(10);
  });

  it('O: twelve cubes of both cups in the minutes that so little takes', () => {
    const c = of(bollard);
    const ml = (id: string) => c.groups[0]!.layers.find((l) => l.cupId === id)!.each;
    expect(ml('inked')).toBeCloseTo(0.55 * 8, 6);
    expect(ml('black')).toBeCloseTo(0.45 * 8, 6);
    // The ink that is dripped on is in the balance, and the balance closes.
    const { mixed, poured: into, clings, vessel, reserved, left } = c.totals.balance;
    expect(into + clings + vessel + reserved + left).toBeCloseTo(mixed, 6);
    const poured = c.score.blocks.filter((b) => b.stepId === 'pour-both');
    expect(poured.at(-1)!.to - poured[0]!.from).toBeLessThan(6);
    expect(c.cups.find((x) => x.cupId === 'inked')!.weighings.map((w) => w.colourantId)).toEqual([
      'magenta-ink'
    ]);
  });

  it('P: sand first, water last and by eye', () => {
    for (const cup of of(culvert).cups) {
      const keys = cup.weighings.map((w) => w.key);
      expect(keys[0]).toBe('sand');
      expect(keys.at(-1)).toBe('water');
      expect(cup.weighings.at(-1)!.creep).toEqual({ start: 0.8, step: 0.05 });
    }
  });

  it('Q: both colours held, the sprue topped before it sets', () => {
    const kinds = fender.steps.map((s) => s.act.kind);
    expect(kinds.filter((k) => k === 'hold')).toHaveLength(2);
    expect(kinds.indexOf('sprue')).toBeLessThan(kinds.indexOf('demould'));
    expect(of(fender).problems.filter((p) => p.level !== 'note')).toEqual([]);
  });
});
