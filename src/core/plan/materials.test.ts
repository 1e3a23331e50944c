import { times } from '../soak.testing';
import { evenly } from '../evenly.testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { plans, samphire, sluice, tideline } from '../../../demo/plans';
import { compatibilityOf, formulaOf, lyeFor, SAP, superfatOf, type Base, type Colourant } from '../material';
import { colouredDensity, roundParts, weighCup, weighingSpread } from '../dosing';
import { applyEdit } from '../document/apply-edit';
import { computePlan, figuresOf, Plan } from '.';
import { type Shelf } from '../shelf';
import { layer, withBase, withCups, withScales } from './plans.testing';
import { gramsIn } from './weighing/weighed';

const base = (id: string): Base => cards.bases.find((b) => b.id === id)!;
const colourant = (over: Partial<Colourant>): Colourant => ({ ...cards.colourants[0]!, limit: 50, ...over });

describe('gypsum cups', () => {
  const net = withScales(withCups(samphire, [{ ...samphire.cups[0]!, recipe: [] }]), 'fine-large');
  const shelf: Shelf = {
    ...cards,
    scales: [{ id: 'fine-large', name: 'fine', division: 0.01, repeatability: 0.01, capacity: 2000 }]
  };

  it('give the worked figures uncoloured', () => {
    const { cups, totals } = computePlan(net, shelf);
    expect(totals.balance.poured).toBeCloseTo(560, 9);
    expect(cups[0]!.balance.mixed).toBeCloseTo(578.8, 9);
    expect(cups[0]!.weighings.map((w) => w.weight)).toEqual([165.37, 413.43]);
  });

  it('take colour as a share of the finished mix', () => {
    const dry = colourant({ form: 'powder', pigmentFraction: 1, carrier: 'none' });
    const formula = formulaOf(base('acrylic-gypsum'));
    if (!formula.ok) throw new Error('no formula');
    const cup = weighCup(formula.value, [{ colourant: dry, percent: 1.2, of: 'supplied' }], 578.8);
    expect(cup.colourants[0]!.grams).toBeCloseTo(6.95, 2);
    expect(cup.parts.reduce((s, p) => s + p.grams, 0)).toBeCloseTo(571.85, 2);
    expect(
      roundParts(
        cup.parts.map((p) => p.grams),
        0.01
      ).weights
    ).toEqual([163.39, 408.46]);
  });

  it('count a dispersion’s water as liquid', () => {
    const { cups } = computePlan(samphire, { ...shelf, scales: cards.scales });
    const green = cups[0]!.weighings.find((w) => w.kind === 'colourant')!;
    expect(green.exact).toBeCloseTo(17.36, 1);
    const [liquid, powder] = cups[0]!.weighings;
    expect((liquid!.exact + green.exact * 0.6) / powder!.exact).toBeCloseTo(1 / 2.5, 9);
  });
});

describe('lye', () => {
  const oils = [
    { grams: 1000, sap: SAP.olive },
    { grams: 600, sap: SAP.coconut },
    { grams: 300, sap: SAP['rice bran'] },
    { grams: 100, sap: SAP.castor }
  ];

  it('gives the worked figures', () => {
    const lye = lyeFor(oils, { superfat: 0.05, purity: 0.99, concentration: 0.33 });
    expect(lye.naoh).toBeCloseTo(286.15, 2);
    expect(lye.water).toBeCloseTo(580.97, 2);
  });

  const soap = base('bar-soap') as Extract<Base, { kind: 'soap' }>;

  it('never exceeds what the oils can take, on any scale, in any amount', () => {
    fc.assert(
      fc.property(
        evenly(0.2, 12),
        fc.constantFrom('fine', 'middle', 'bench'),
        evenly(0, 0.2),
        (ml, scaleId, superfat) => {
          const card = { ...soap, superfat };
          const plan: Plan = {
            ...withScales(withBase(tideline, soap.id), scaleId),
            steps: [layer('only', 'mudflat', 'knobs', { kind: 'volume', ml })]
          };
          const out = figuresOf(plan, { ...cards, bases: [card] });
          const cup = out.cups[0]!;
          const really = superfatOf(card, gramsIn(cup.mixes[0]!.held));
          if (cup.weighings.some((w) => w.key !== 'naoh' && w.weight > 0))
            expect(really).toBeGreaterThanOrEqual(-1e-9);
          const naoh = cup.weighings.find((w) => w.key === 'naoh')!;
          expect(naoh.weight).toBeLessThanOrEqual(naoh.exact + 1e-9);
        }
      )
    );
  });

  it('warns when rounding moves the superfat of a micro-batch', () => {
    const small = withScales(withBase(tideline, soap.id), 'bench');
    const { problems, weighings } = (() => {
      const out = computePlan(small, cards);
      return { problems: out.problems, weighings: out.cups[1]!.weighings };
    })();
    expect(problems.map((p) => p.code)).toContain('superfat-moves');
    // The lye jug is read on its own.
    const [water, naoh] = weighings.filter((w) => w.vessel === 'lye');
    expect(naoh!.reading).toBeCloseTo(water!.weight + naoh!.weight, 9);
  });
});

describe('concrete by absolute volumes', () => {
  it('gives the worked figures', () => {
    const formula = formulaOf(base('fine-concrete'));
    if (!formula.ok) throw new Error('no formula');
    const oxide = cards.colourants.find((c) => c.id === 'brown-oxide')!;
    const doses = [{ colourant: oxide, percent: 4, of: 'supplied' as const }];
    const density = colouredDensity(formula.value, doses);
    const cup = weighCup(formula.value, doses, 2400 * density);
    const grams = Object.fromEntries(cup.parts.map((p) => [p.key, p.grams]));
    expect(density).toBeCloseTo(2.218, 3);
    expect(grams.cement).toBeCloseTo(1816.4, 1);
    expect(grams.sand).toBeCloseTo(2724.6, 1);
    expect(grams.water).toBeCloseTo(690.2, 1);
    expect(grams.plasticiser).toBeCloseTo(18.2, 1);
    expect(cup.colourants[0]!.grams).toBeCloseTo(72.7, 1);
  });

  it('weighs sand and colour first, then cement, water last, and keeps water/cement with water from a dispersion', () => {
    const body = computePlan(sluice, cards).cups[1]!;
    expect(body.weighings.map((w) => w.key)).toEqual([
      'sand',
      'sluice-brown',
      'cement',
      'plasticiser',
      'water'
    ]);
    const wet = applyEdit(sluice, {
      path: ['cups', 1, 'recipe', 0, 'colourantId'],
      value: 'green-dispersion'
    });
    const cup = computePlan(wet, cards).cups[1]!;
    const grams = (key: string) => cup.weighings.find((w) => w.key === key)!.exact;
    expect((grams('water') + grams('sluice-brown') * 0.6) / grams('cement')).toBeCloseTo(0.38, 9);
  });
});

describe('a let-down', () => {
  const withLetDown = () => {
    const edit = computePlan(tideline, cards).problems.find(
      (p) => p.code === 'not-weighable' && /black/.test(p.sentence)
    )!.edit!;
    return applyEdit(tideline, edit);
  };

  it('is one tap away, is planned as a weighing, and takes its carrier off the part it is', () => {
    const before = computePlan(tideline, cards).cups[0]!;
    const out = computePlan(withLetDown(), cards);
    const cup = out.cups[0]!;
    const dose = (c: typeof cup) => c.weighings.find((w) => w.key === 'mudflat-black')!;
    expect(dose(cup).exact).toBeCloseTo(10 * dose(before).exact, 6);
    expect(dose(cup).weighable).toBe(true);
    const partA = (c: typeof cup) => c.weighings.find((w) => w.key === 'A')!.exact;
    expect(partA(before) - partA(cup)).toBeCloseTo(9 * dose(before).exact, 6);
    expect(cup.batch).toBeCloseTo(before.batch, 9);
    expect(out.letDowns).toMatchObject([
      { colourantId: 'black-paste', parts: 9, uses: 1, carrierName: 'resin' }
    ]);
    expect(out.letDowns[0]!.make).toBeGreaterThanOrEqual(dose(cup).exact * 1.2 - 1e-9);
  });

  it.each(['fine', 'middle', 'bench'])(
    'is made in an amount whose pigment the %s scale can weigh',
    (scaleId) => {
      const out = figuresOf(withScales(withLetDown(), scaleId), cards);
      const [jar] = out.letDowns;
      const scale = cards.scales.find((s) => s.id === jar!.scaleId)!;
      expect(weighingSpread(scale, jar!.colourant)).toBeLessThanOrEqual(0.05 + 1e-12);
      expect(jar!.carrier / jar!.colourant).toBeCloseTo(9, 1);
      expect(jar!.make).toBeCloseTo(jar!.colourant + jar!.carrier, 9);
      expect(jar!.make).toBeGreaterThanOrEqual(jar!.least - 1e-9);
    }
  );

  it('fills a jar of as much as is asked, and never less than it needs', () => {
    const [least] = figuresOf(withLetDown(), cards).letDowns;
    const jar = (make: number) =>
      figuresOf(
        {
          ...withLetDown(),
          letDowns: [{ id: 'jar', colourantId: least!.colourantId, parts: 9, make }]
        },
        cards
      );
    expect(jar(50).letDowns[0]).toMatchObject({ colourant: 5, carrier: 45, make: 50, least: least!.least });
    expect(jar(least!.least / 2).letDowns[0]).toEqual(least);
    // What is made is what is taken from the shelf, whatever the cups take of it.
    const need = (c: ReturnType<typeof jar>) =>
      c.needs.find((n) => n.key === `colourant:${least!.colourantId}`)!.grams;
    expect(need(jar(50)) - need(figuresOf(withLetDown(), cards))).toBeCloseTo(5 - least!.colourant, 9);
  });

  it('delivers its dose within its stated spread', () => {
    // Weighings as a scale gives them: rounded to the division, with normal repeatability (Box–Muller).
    const scale = cards.scales[0]!;
    const out = computePlan(withLetDown(), cards);
    const [made] = out.letDowns;
    const dose = out.cups[0]!.weighings.find((w) => w.key === 'mudflat-black')!;
    let seed = 7;
    const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
    const weighed = (g: number) =>
      Math.round(
        (g + scale.repeatability! * Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random())) /
          scale.division
      ) * scale.division;
    const delivered = Array.from({ length: 4000 }, () => {
      const colour = weighed(made!.colourant);
      const share = colour / (colour + weighed(made!.carrier));
      return weighed(dose.exact) * share;
    });
    const mean = delivered.reduce((s, x) => s + x, 0) / delivered.length;
    const spread = Math.sqrt(delivered.reduce((s, x) => s + (x - mean) ** 2, 0) / delivered.length) / mean;
    const stated = Math.hypot(
      weighingSpread(
        cards.scales.find((s) => s.id === made!.scaleId)!,
        made!.colourant
      ),
      dose.spread
    );
    expect(mean / dose.letDown!.supplied).toBeCloseTo(1, 1);
    expect(spread).toBeLessThan(stated * 1.1);
    expect(spread).toBeGreaterThan(stated * 0.6);
  });
});

describe('every material, any mixture', () => {
  it('closes its balance and sums to its parts', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...cards.bases),
        fc.constantFrom('fine', 'middle', 'bench'),
        fc.array(fc.tuple(fc.nat(cards.colourants.length - 1), evenly(0, 4)), {
          minLength: 3,
          maxLength: 3
        }),
        fc.integer({ min: 1, max: 40 }),
        (material, scaleId, doses, count) => {
          const plan: Plan = {
            ...withScales(withBase(tideline, material.id), scaleId),
            groups: [{ ...tideline.groups[0]!, count }],
            cups: tideline.cups.map((cup, i) => ({
              ...cup,
              recipe: [
                {
                  id: `r${i}`,
                  colourantId: cards.colourants[doses[i]![0]]!.id,
                  percent: doses[i]![1],
                  of: 'supplied'
                }
              ]
            }))
          };
          const { cups, groups, division, losses } = figuresOf(plan, cards);
          for (const cup of cups) {
            const { poured, clings, vessel, left, mixed } = cup.balance;
            expect(poured + clings + vessel + left).toBeCloseTo(mixed, 7);
            expect(cup.weighings.reduce((s, w) => s + w.weight, 0)).toBeCloseTo(mixed, 7);
            // Each mix leaves its own share in its vessel; what is wanted of all of them is what is poured, clings
            // and stays, whatever the rounding then gives or takes.
            const wanted = poured * (1 + losses.cling) + cup.mixes.length * (losses.vessel ?? 2);
            expect(cup.weighings.reduce((s, w) => s + w.exact, 0)).toBeCloseTo(wanted, 6);
            expect(left).toBeGreaterThanOrEqual(0);
            expect(left).toBeLessThanOrEqual(division * cup.weighings.length * cup.mixes.length + 1e-6);
          }
          const received = groups.flatMap((g) => g.layers).reduce((s, l) => s + l.grams, 0);
          expect(received).toBeCloseTo(
            cups.reduce((s, c) => s + c.balance.poured, 0),
            6
          );
        }
      ),
      { numRuns: times(40, 200) }
    );
  });
});

describe('what belongs in what', () => {
  it('says why a colourant does not', () => {
    expect(compatibilityOf('dispersion', 'plastisol')).toEqual({
      verdict: 'avoid',
      reason: 'water in hot plastisol spits'
    });
    const wrong = applyEdit(sluice, { path: ['cups', 1, 'recipe', 0, 'colourantId'], value: 'black-paste' });
    expect(computePlan(wrong, cards).problems.map((p) => p.code)).toContain('colourant-unsuited');
  });

  it('has demo plans that compute without a stop', () => {
    for (const plan of plans) {
      expect(Plan.safeParse(plan).success).toBe(true);
      expect(computePlan(plan, cards).problems.filter((p) => p.level === 'stop')).toEqual([]);
    }
  });
});

describe('bad cards', () => {
  it('are refused with a sentence', () => {
    const soap = base('bar-soap') as Extract<Base, { kind: 'soap' }>;
    const lopsided = formulaOf({ ...soap, oils: soap.oils.slice(1) });
    expect(!lopsided.ok && lopsided.problem.code).toBe('oils-not-whole');
  });
});
