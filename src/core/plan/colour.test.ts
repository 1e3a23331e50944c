import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { eel, nightHeron, rockpool, sluice, tideline } from '../../../demo/plans';
import { deltaE } from '../colour';
import { applyEdit } from '../document/apply-edit';
import { computePlan, type Plan } from '.';
import { inCup, layer, mixed } from './plans.testing';

const of = (plan: Plan) => computePlan(plan, cards);
const problem = (plan: Plan, code: string) => of(plan).problems.find((p) => p.code === code);

describe('the night loaf', () => {
  it('warns that heron and sluice black will read as one, and its mend tells them apart', () => {
    const warning = problem(nightHeron, 'reads-as-one')!;
    expect(warning.level).toBe('warn');
    expect(warning.sentence).toMatch(/heron.*will look the same/);
    expect(warning.mend).toMatch(/heron: 0\.\d+ % activated charcoal instead of 1 %/);
    const mended = applyEdit(nightHeron, warning.edit!);
    expect(problem(mended, 'reads-as-one')).toBeUndefined();
    const pair = of(mended).pairs.find((p) => p.letters === 'AB')!;
    expect(pair.contrast.verdict).toBe('clear');
    // Nothing but that one percentage has changed, and it is within its limit.
    expect({ ...mended, cups: [] }).toEqual({ ...nightHeron, cups: [] });
    expect(of(mended).problems.map((p) => p.code)).not.toContain('colourant-over-limit');
  });
});

describe('contrast in a plan', () => {
  it('judges neighbours in the section, and every pair of a swirl', () => {
    expect(
      of(tideline)
        .pairs.map((p) => p.letters)
        .sort()
    ).toEqual(['AB', 'BC']);
    expect(of(rockpool).pairs).toHaveLength(6);
    const closest = of(rockpool).pairs.map((p) => p.contrast.deltaE);
    expect(closest).toEqual([...closest].sort((a, b) => a - b));
  });

  it('judges what is poured from one jug side by side, and each against what it meets', () => {
    expect(
      of(nightHeron)
        .pairs.map((p) => p.letters)
        .sort()
    ).toEqual(['AB', 'AC', 'BC']);
  });

  it('offers white where no percentage of what is there will do', () => {
    const twins: Plan = {
      ...nightHeron,
      cups: nightHeron.cups.map((c, i) => (i < 2 ? { ...c, recipe: [] } : c))
    };
    const one = applyEdit(twins, {
      path: ['cups', 0, 'recipe'],
      value: [{ id: 'w', colourantId: 'white-powder', percent: 0.01, of: 'supplied' }]
    });
    const found = problem(one, 'reads-as-one');
    expect(found?.mend.length).toBeGreaterThan(10);
  });
});

describe('white that takes over', () => {
  const strong = applyEdit(rockpool, { path: ['cups', 0, 'recipe', 0, 'percent'], value: 4 });
  it('is said from its hiding and amount, and mended by less pigment', () => {
    const warning = problem(strong, 'white-takes-over')!;
    expect(warning.sentence).toMatch(/24 % of the swirl/);
    const foam = of(strong).groups[0]!.layers.filter((l) => l.cupId === 'foam');
    const face = foam.reduce((s, l) => s + l.shows.mouldFace, 0);
    expect(warning.sentence).toContain(`${(face * 100).toFixed(0)} % of the face`);
    const mended = applyEdit(strong, warning.edit!);
    expect(problem(mended, 'white-takes-over')).toBeUndefined();
    // Mixed by itself it swirls all the same; with a gate before each layer nothing does.
    expect(problem(mixed(strong, 'each'), 'white-takes-over')).toBeDefined();
    const gate = (i: number) => ({ id: `apart-${i}`, all: [{ kind: 'checked' as const, words: 'firm' }] });
    const apart = { ...strong, steps: strong.steps.map((s, i) => ({ ...s, gates: [gate(i)] })) };
    expect(problem(apart, 'white-takes-over')).toBeUndefined();
  });
});

describe('where a cup is seen', () => {
  it('concrete is darker wet in the cup than dry, and deeper sealed', () => {
    const body = of(sluice).cups[1]!.looks;
    expect(body.cup.lab.l).toBeLessThan(body.sealed.lab.l);
    expect(body.sealed.lab.l).toBeLessThan(body.own.lab.l);
  });

  it('a thin white lets the dark behind it through; a thick one does not', () => {
    const coat = (mm: number): Plan => ({
      ...tideline,
      steps: [
        layer('coat', 'foam', 'knobs', { kind: 'deep', mm }),
        layer('body', 'mudflat', 'knobs', { kind: 'rim' })
      ]
    });
    const own = of(coat(0.3)).cups[2]!.looks.own.lab;
    const seen = (mm: number) => of(coat(mm)).groups[0]!.layers[0]!.look.lab;
    expect(deltaE(seen(0.3), own)).toBeGreaterThan(7);
    expect(deltaE(seen(8), own)).toBeLessThan(1.5);
  });

  it('a clear cup is drawn as deep as it stands, a cup that hides as its own colour', () => {
    const inked = (percent: number, count: number) =>
      of({
        ...inCup(tideline, 'mudflat', {
          recipe: [{ id: 'ink', colourantId: 'magenta-ink', percent, of: 'supplied' }]
        }),
        groups: [{ ...tideline.groups[0]!, count }]
      }).cups[0]!;
    const [small, large] = [inked(0.02, 1), inked(0.02, 40)];
    expect(small.mixes[0]!.ml).toBeLessThan(large.mixes[0]!.ml);
    // The deeper it stands, the more of the light it takes.
    expect(small.looks.own.lab.l).toBeGreaterThan(large.looks.own.lab.l + 3);
    const [heron, more] = [1, 40].map(
      (count) => of({ ...tideline, groups: [{ ...tideline.groups[0]!, count }] }).cups[1]!
    );
    expect(heron!.looks.own).toEqual(more!.looks.own);
  });

  it('an eel is translucent: it never hides what a black back hides at once', () => {
    const [back, belly] = of(eel).cups;
    expect(back!.hides).toBeLessThan(1);
    expect(belly!.hides === null || belly!.hides > 5).toBe(true);
  });
});
