import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { demoLots } from '../../../../demo/lots';
import { rockpool, saltings, samphire, sluice, tideline } from '../../../../demo/plans';
import { applyEdit } from '../../document/apply-edit';
import { superfatOf } from '../../material';
import { materialsFor, TECHNIQUES } from '../../pour';
import { applyTechnique, newPlan } from '../../edit';
import { figuresOf, type Plan } from '..';
import { type LearnedHistory } from '../../document';
import { atBench, atOnce, layer, mixed, withScales } from '../plans.testing';
import { gramsIn } from '../weighing/weighed';
import { metricWords } from '../../quantity';

type Shelf = typeof cards;
const found = (
  plan: Plan,
  code: string,
  { shelf = cards, learned = {} }: { shelf?: Shelf; learned?: LearnedHistory } = {}
) => figuresOf(plan, shelf, learned).problems.filter((p) => p.code === code);
const set = (plan: Plan, path: (string | number)[], value: unknown) => applyEdit(plan, { path, value });
const percentOf = (plan: Plan, cup: string, line: string, percent: number) =>
  set(plan, ['cups', cup, 'recipe', line, 'percent'], percent);

describe('carriers in a cup split from a common mix', () => {
  const split = mixed(tideline, 'split');
  const off = (percent: number) => {
    const plan = percentOf(split, 'foam', 'foam-white', percent);
    return {
      ...figuresOf(plan, cards).cups[2]!.offRatio[0]!,
      said: found(plan, 'split-off-ratio').filter((p) => p.path.includes('/foam/'))
    };
  };
  it('are said of a resin past 2 %, not before', () => {
    // White paste is 40 % part A: so much of it brings part A past 2 % of what the cup holds.
    const [below, above] = [off(3), off(5)];
    expect(below.share).toBeLessThan(0.02);
    expect(below.said).toEqual([]);
    expect(above.share).toBeGreaterThan(0.02);
    expect(above.said[0]!.path).toBe('plan/cups/foam/recipe');
    expect(above.said[0]!.sentence).toContain(`${(above.share * 100).toFixed(1)} % too rich`);
    const each = percentOf(tideline, 'foam', 'foam-white', 5);
    expect(found(each, 'split-off-ratio')).toEqual([]);
  });

  it('are said of a concrete past the thinning it bears, or past half its cement in water', () => {
    const water = cards.colourants.find((c) => c.carrier === 'water')!;
    const wet = (percent: number) => {
      const plan = mixed(sluice, 'split');
      const line = { id: 'wet', colourantId: water.id, percent, of: 'supplied' as const };
      return set(plan, ['cups', 1, 'recipe'], [line]);
    };
    const base = cards.bases.find((b) => b.id === sluice.mixes[0]!.baseId)!;
    if (base.kind !== 'concrete') throw new Error('not concrete');
    for (const percent of [0.5, 1, 2, 3, 4, 6, 8]) {
      const plan = wet(percent);
      const share = figuresOf(plan, cards).cups[1]!.offRatio[0]?.share ?? 0;
      const much = share > 0.05 || base.waterCement * (1 + share) > 0.5;
      expect(found(plan, 'split-off-ratio').length, `${percent} %`).toBe(much ? 1 : 0);
    }
    expect(found(wet(8), 'split-off-ratio')[0]!.sentence).toMatch(/0\.0\d\d higher in water\/cement/);
  });
});

describe('what a cup holds', () => {
  it('is said to be too many chips past six tenths by volume', () => {
    const chips = (percent: number) =>
      set(tideline, ['cups', 'heron', 'fillers'], [{ id: 'f', name: 'chips', percent, density: 1.08 }]);
    // Of the body's own density, percent by weight is percent by volume.
    expect(found(chips(59), 'chips-too-many')).toEqual([]);
    expect(found(chips(61), 'chips-too-many')[0]!.path).toBe('plan/cups/heron/fillers');
    expect(found(chips(61), 'chips-too-many')[0]!.sentence).toMatch(/is 61 % chips .* past 60 %/);
    const light = set(
      tideline,
      ['cups', 'heron', 'fillers'],
      [{ id: 'f', name: 'cork', percent: 45, density: 0.2 }]
    );
    expect(found(light, 'chips-too-many')).toHaveLength(1);
  });

  it('is said of a reserve that colour has met already, where colour goes in dry', () => {
    expect(found(set(sluice, ['cups', 1, 'reserve'], 20), 'reserve-after-colour')).toHaveLength(1);
    expect(found(set(tideline, ['cups', 'heron', 'reserve'], 20), 'reserve-after-colour')).toEqual([]);
  });

  it('is said to be over the limit of a colourant, and of the cup, just past each', () => {
    const over = (percent: number) => percentOf(tideline, 'mudflat', 'mudflat-brown', percent);
    expect(found(over(6), 'colourant-over-limit')).toEqual([]);
    expect(found(over(6.01), 'colourant-over-limit')[0]!.path).toBe(
      'plan/cups/mudflat/recipe/mudflat-brown/percent'
    );
    // With 0.4 % of black beside it the cup is full at 5.6 %.
    expect(found(over(5.6), 'cup-over-limit')).toEqual([]);
    expect(found(over(5.61), 'cup-over-limit')[0]!.path).toBe('plan/cups/mudflat/recipe');
    expect(found(over(5.61), 'cup-over-limit')[0]!.sentence).toMatch(/6\.01 % colourant in all; over 6 %/);
    expect(found(over(8), 'colourant-over-limit')[0]!.sentence).toMatch(/8 % of .* usual 6 %/);
  });

  it('is measured in drops and spoons only where the card knows theirs', () => {
    const by = (way: string) => set(tideline, ['cups', 'mudflat', 'recipe', 'mudflat-brown', 'by'], way);
    const knows = (card: object): Shelf => ({
      ...cards,
      colourants: cards.colourants.map((c) => (c.id === 'brown-paste' ? { ...c, ...card } : c))
    });
    const plain = knows({ drop: undefined, bulkDensity: undefined });
    expect(found(by('drops'), 'measure-unknown', { shelf: plain })).toHaveLength(1);
    expect(found(by('spoon'), 'measure-unknown', { shelf: plain })).toHaveLength(1);
    expect(found(by('scale'), 'measure-unknown', { shelf: plain })).toEqual([]);
    const drops = knows({ drop: { grams: 0.04, error: 0.001 } });
    expect(found(by('drops'), 'measure-unknown', { shelf: drops })).toEqual([]);
    expect(found(by('spoon'), 'measure-unknown', { shelf: knows({ bulkDensity: 0.8 }) })).toEqual([]);
  });
});

describe('what a scale can do', () => {
  const scale = (over: object): Shelf => ({
    ...cards,
    scales: cards.scales.map((s) => (s.id === 'fine' ? { ...s, ...over } : s))
  });
  const heaviest = Math.max(...figuresOf(tideline, cards).cups.map((c) => c.balance.mixed));
  it('ends at its capacity: a cup, and a pot', () => {
    const plan = withScales(tideline, 'fine');
    const at = (capacity: number) => found(plan, 'scale-overloaded', { shelf: scale({ capacity }) });
    expect(at(heaviest + 0.01)).toEqual([]);
    expect(at(heaviest - 0.01).map((p) => [p.path, p.level])).toEqual([['plan/cups/heron', 'stop']]);
    const split = mixed(atOnce(plan), 'split');
    const splitMix = figuresOf(split, cards).common[0]!.balance.mixed;
    const under = found(split, 'scale-overloaded', { shelf: scale({ capacity: splitMix - 0.01 }) });
    expect(under.map((p) => p.path)).toEqual(['plan/mixes/mix']);
    expect(found(split, 'scale-overloaded', { shelf: scale({ capacity: splitMix + 0.01 }) })).toEqual([]);
  });

  it('is said where rounding moves the ratio past 2 %', () => {
    const coarse = (division: number) =>
      found(withScales(tideline, 'fine'), 'ratio-off', {
        shelf: scale({ division, repeatability: division })
      });
    expect(coarse(0.01)).toEqual([]);
    expect(coarse(1).length).toBeGreaterThan(0);
    for (const division of [0.05, 0.1, 0.2, 0.5]) {
      const shelf = scale({ division, repeatability: division });
      const { cups } = figuresOf(withScales(tideline, 'fine'), shelf);
      const off = cups.filter((c) => c.mixes[0]!.ratioError > 0.02).map((c) => `plan/cups/${c.cupId}`);
      expect(coarse(division).map((p) => p.path)).toEqual(off);
      for (const p of coarse(division)) {
        const cup = cups.find((c) => p.path.endsWith(`/${c.cupId}`))!;
        expect(p.sentence).toContain(`${(cup.mixes[0]!.ratioError * 100).toFixed(1)} % off`);
      }
    }
  });

  it('is said of lye whose rounding moves the superfat by more than a point, in a cup or in a pot', () => {
    const lye = (plan: Plan, division: number) =>
      found(withScales(plan, 'fine'), 'superfat-moves', {
        shelf: scale({ division, repeatability: division, capacity: 10_000 })
      });
    expect(lye(mixed(saltings, 'split'), 0.01)).toEqual([]);
    const splitMix = lye(mixed(saltings, 'split'), 50)[0]!;
    expect(splitMix.path).toMatch(/^plan\/mixes\//);
    const coarse = scale({ division: 50, repeatability: 50, capacity: 10_000 });
    const { held } = figuresOf(withScales(mixed(saltings, 'split'), 'fine'), coarse).common[0]!;
    const soap = cards.bases.find((b) => b.id === saltings.mixes[0]!.baseId)!;
    if (soap.kind !== 'soap') throw new Error('not soap');
    const [really, asked] = [superfatOf(soap, gramsIn(held)), soap.superfat].map(
      (x) => `${(x * 100).toFixed(1)} %`
    );
    expect(splitMix.sentence).toContain(`the superfat is ${really}, not ${asked}`);
    expect(lye(mixed(saltings, 'each'), 50)[0]!.path).toMatch(/^plan\/cups\//);
  });
});

describe('what a mix is made in', () => {
  const ml = figuresOf(tideline, cards).cups[1]!.mixes[0]!.ml;
  /** One vessel at hand, of so many times what a third left free asks for. */
  const inVessel = (plan: Plan, times: number) => {
    const vessels = [{ id: 'tub', name: 'tub', ml: ml * 1.5 * times, loss: 2 }];
    return found(atBench(plan, { vesselIds: ['tub'] }), 'vessel-too-small', { shelf: { ...cards, vessels } });
  };
  const once = set(tideline, ['mixes', 'mix-heron', 'turns'], 1);

  it('leaves a third free to stir, and is said where it does not', () => {
    expect(inVessel(once, 1.001)).toEqual([]);
    const [small] = inVessel(once, 0.99);
    expect(small!.path).toBe('plan/cups/heron');
    expect(metricWords(small!.sentence)).toContain(`${(ml * 0.99).toFixed(0)} ml, a third left free`);
    // Left to itself it is made in as many mixes as the vessel stirs.
    expect(inVessel(tideline, 0.99)).toEqual([]);
  });

  it('is the one that the cup names, whatever else is at hand', () => {
    const named = set(once, ['cups', 'heron', 'vesselId'], 'tub');
    expect(inVessel(named, 0.99)).toHaveLength(1);
    expect(inVessel(named, 1.001)).toEqual([]);
  });

  it('is little past its base’s least, to half a division, and portions are judged in their pot', () => {
    const least = (grams: number): Shelf => ({
      ...cards,
      bases: cards.bases.map((b) => (b.id === 'clear-quick' ? { ...b, leastMix: grams } : b))
    });
    const mixed0 = figuresOf(tideline, cards).cups[0]!.balance.mixed;
    const small = (grams: number) =>
      found(tideline, 'mix-too-small', { shelf: least(grams) }).map((p) => p.path);
    expect(small(mixed0 + 0.004)).toEqual([]);
    expect(small(mixed0 + 0.006)).toEqual(['plan/cups/mudflat']);
    expect(metricWords(found(tideline, 'mix-too-small')[0]!.sentence)).toContain(
      `a mix of ${mixed0.toFixed(1)} g; 20 g and more stir well`
    );
    const split = mixed(tideline, 'split');
    const splitMix = figuresOf(split, cards).common[0]!.balance.mixed;
    expect(found(split, 'mix-too-small', { shelf: least(splitMix - 0.01) })).toEqual([]);
    expect(found(split, 'mix-too-small', { shelf: least(splitMix + 0.01) }).map((p) => p.path)).toEqual([
      'plan/mixes/mix'
    ]);
  });
});

describe('a dose too small for the scale', () => {
  it('is said with what it is and its spread', () => {
    const tiny = (percent: number) =>
      found(percentOf(tideline, 'mudflat', 'mudflat-black', percent), 'not-weighable').find((p) =>
        p.path.endsWith('mudflat-black')
      )!.sentence;
    expect(metricWords(tiny(0.4))).toMatch(/0\.029 g carbon black paste .*\(± \d+ %\)/);
    expect(metricWords(tiny(0.01))).toMatch(/0\.00072 g .*\(± \d+ %\)/);
  });
});

describe('which cups are judged', () => {
  it('those that are poured, and made from a mix', () => {
    const unpoured = { ...tideline, steps: tideline.steps.filter((s) => s.act.cupId !== 'mudflat') };
    const at = (plan: Plan, code: string) => found(plan, code).map((p) => p.path);
    expect(at(tideline, 'not-weighable').some((p) => p.includes('/mudflat/'))).toBe(true);
    expect(at(unpoured, 'not-weighable').some((p) => p.includes('/mudflat/'))).toBe(false);
    expect(at(tideline, 'mix-too-small')).toEqual(['plan/cups/mudflat']);
    expect(at(unpoured, 'mix-too-small')).toEqual([]);
    const jug = {
      ...tideline.cups[0]!,
      id: 'jug',
      letter: 'E',
      from: { cups: [{ cupId: 'mudflat', share: 1 }] },
      recipe: []
    };
    const filled = {
      ...tideline,
      cups: [...tideline.cups, jug],
      steps: tideline.steps.map((s) =>
        s.act.cupId === 'mudflat' ? { ...s, act: { ...s.act, cupId: 'jug' } } : s
      )
    } as Plan;
    expect(at(filled, 'mix-too-small')).toEqual(['plan/cups/mudflat']);
  });

  it('stop where colourants bring more of a part than the cup holds', () => {
    const letDown = (percent: number) =>
      set(
        percentOf(tideline, 'heron', 'heron-brown', percent),
        ['cups', 'heron', 'recipe', 'heron-brown', 'letDown'],
        99
      );
    expect(found(letDown(0.5), 'carrier-exceeds-part')).toEqual([]);
    const [drowned] = found(letDown(1), 'carrier-exceeds-part');
    expect(drowned).toMatchObject({ level: 'stop', path: 'plan/cups/heron/recipe' });
    expect(drowned!.sentence).toMatch(/heron: its colourants bring more resin/);
  });
});

describe('what is laid on what', () => {
  it('is said to run together where it is fluid, mixed apart and not waited for', () => {
    const apart = { ...tideline, steps: tideline.steps.map((s) => ({ ...s, gates: [] })) };
    // Once: the second of the layers that lie on a wet one says it.
    expect(found(apart, 'no-gate').map((p) => p.path)).toEqual(['plan/steps/lay-heron']);
    expect(found(tideline, 'no-gate')).toEqual([]);
    expect(found(mixed(apart, 'split'), 'no-gate')).toEqual([]);
  });

  it('is meant to meet what is fluid where it is a puddle, a line or more of the same', () => {
    const apart = { ...tideline, steps: tideline.steps.map((s) => ({ ...s, gates: [] })) };
    const onto = (change: (act: { kind: string }) => { kind: string }) => ({
      ...apart,
      steps: apart.steps.map((s) => (s.id === 'lay-heron' ? { ...s, act: change(s.act) } : s))
    });
    const puddle = onto((act) => ({ ...act, kind: 'puddle', at: { x: 0, y: 0 }, from: 'low' }));
    // Nor does a layer over a puddle say it: what lies there is no layer.
    expect(found(puddle, 'no-gate')).toEqual([]);
    const same = onto((act) => ({ ...act, cupId: 'mudflat' }));
    expect(found(same, 'no-gate').map((p) => p.path)).toEqual(['plan/steps/lay-foam']);
  });

  it('no technique is said to run together where it is meant to', () => {
    for (const { id, suits } of TECHNIQUES)
      for (const { kind } of materialsFor({ suits })) {
        const base = cards.bases.find((b) => b.kind === kind);
        if (!base) continue;
        const bare = newPlan('trial', 'Trial', cards, 'roundel');
        const plan = { ...bare, mixes: bare.mixes.map((m) => ({ ...m, baseId: base.id })) };
        const made = applyTechnique(plan, cards, { techniqueId: id, groupId: 'group-1', keep: 'nothing' });
        expect([id, kind, ...found(made, 'no-gate').map((p) => p.path)]).toEqual([id, kind]);
      }
  });

  it('is said to end short under 98.5 % of the cavity', () => {
    const to = (share: number) => ({
      ...tideline,
      steps: [layer('only', 'heron', 'knobs', { kind: 'to share' as const, of: share })]
    });
    expect(found(to(0.986), 'short-fill')).toEqual([]);
    expect(found(to(0.984), 'short-fill')[0]!).toMatchObject({ path: 'plan/groups/knobs', level: 'note' });
    expect(found(to(0.984), 'short-fill')[0]!.sentence).toContain('98 %');
    expect(found({ ...tideline, steps: [] }, 'short-fill')).toEqual([]);
  });

  it('is judged deep by the base’s own limit, resin alone', () => {
    const depth = (limit: number): Shelf => ({
      ...cards,
      bases: cards.bases.map((b) =>
        b.id === 'clear-quick' && b.kind === 'resin' ? { ...b, depthLimit: limit } : b
      )
    });
    const deepest = Math.max(...figuresOf(tideline, cards).groups[0]!.layers.map((l) => l.to - l.from));
    expect(found(tideline, 'layer-too-deep', { shelf: depth(deepest + 0.001) })).toEqual([]);
    const [deep] = found(tideline, 'layer-too-deep', { shelf: depth(deepest - 0.001) });
    expect(metricWords(deep!.sentence)).toContain(`${deepest.toFixed(1)} mm deep`);
    expect(found(sluice, 'layer-too-deep')).toEqual([]);
  });
});

describe('what the shelf and the record say', () => {
  const today = Date.UTC(2026, 10, 25);
  it('a lot past its date is said, one that is not is not', () => {
    const shelf = { ...cards, lots: demoLots(today) };
    expect(found(samphire, 'stock-expired', { shelf, learned: { today } })).toEqual([]);
    const late = found(samphire, 'stock-expired', { shelf, learned: { today: today + 500 * 86_400_000 } });
    expect(late.length).toBeGreaterThan(0);
    expect(late.every((p) => p.path === 'shelf/lots')).toBe(true);
    const short = found(samphire, 'stock-short', { shelf, learned: { today } })[0]!;
    const need = figuresOf(samphire, shelf, { today }).needs.find((n) => n.short)!;
    expect(metricWords(short.sentence)).toContain(
      `${need.inAll.toFixed(0)} g are needed for the whole order (${need.grams.toFixed(0)} g each pour)`
    );
    expect(metricWords(short.sentence)).toContain(`${need.have!.toFixed(0)} g are on the shelf`);
  });

  it('a mould’s last colour is said before a paler piece: a dye as a warning, a pigment as a note', () => {
    const last = (colour: string, dye: boolean): LearnedHistory => ({
      lastColours: new Map([['roundel', { colour, name: 'sluice black', dye }]])
    });
    expect(found(rockpool, 'mould-residue', { learned: last('#111111', true) })[0]).toMatchObject({
      level: 'warn'
    });
    expect(found(rockpool, 'mould-residue', { learned: last('#111111', false) })[0]).toMatchObject({
      level: 'note'
    });
    expect(found(rockpool, 'mould-residue', { learned: last('#eeeeee', true) })).toEqual([]);
    expect(found(rockpool, 'mould-residue')).toEqual([]);
  });

  it('nothing is judged while there is no scale', () => {
    const none = atBench(tideline, { scaleIds: ['gone'] });
    const codes = figuresOf(none, cards).problems.map((p) => p.code);
    expect(codes).toContain('scale-missing');
    expect(codes).not.toContain('not-weighable');
    expect(codes).not.toContain('mix-too-small');
  });
});

describe('one mould in two groups', () => {
  const [group] = tideline.groups;
  const twice = (gate?: number): Plan => ({
    ...tideline,
    groups: [group!, { ...group!, id: 'again', name: 'again' }],
    steps: [
      ...tideline.steps,
      ...tideline.steps.map((s) => ({
        ...s,
        id: `${s.id}-again`,
        where: ['again'],
        gates:
          gate === undefined
            ? []
            : [
                {
                  id: `gate-${s.id}-again`,
                  all: [{ kind: 'since' as const, zero: { demoulded: group!.id }, minutes: gate }]
                }
              ]
      }))
    ]
  });
  const told = (plan: Plan) => found(plan, 'mould-shared');

  it('at once takes as many moulds, by its own figure', () => {
    const [note] = told(twice());
    expect(note).toMatchObject({ level: 'note', groupId: 'again' });
    const { count } = cards.moulds.find((m) => m.id === group!.mouldId)!.cavities[0]!;
    expect(note!.sentence).toContain(`${Math.ceil((2 * group!.count) / count)} moulds`);
  });

  it('one after the other needs no second', () => expect(told(tideline)).toEqual([]));
});
