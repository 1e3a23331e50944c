import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { z } from 'zod';
import { cards } from '../../demo/cards';
import { tideline } from '../../demo/plans';
import { byCardTimes } from './cure';
import { buyerSheet, caseOf, causesOf, USUAL_TOLERANCE } from './inspect';
import {
  Base,
  commonCard,
  defineMaterial,
  materials,
  type CommonCard,
  type MaterialDefinition
} from './material';
import { ok } from './problem';
import { computePlan, PlanFile, type Computed, type Plan } from './plan';
import { eachByItself } from './document';
import { type Shelf } from './shelf';
import { materialsFor, TECHNIQUES } from './pour';
import {
  checksNow,
  dueOf,
  factsOf,
  foldRun,
  freeze,
  planFromRun,
  standingOf,
  usesOf,
  type FrozenRun,
  type RunEvent
} from './run';
import { lessonPlan, practiceLessons } from './rehearse';
import { pieceOf, wholePicture } from './piece';

/** A material that no other file knows: a wax with a hardener stirred into the melt. */
const WaxCard = z.object({
  kind: z.literal('wax'),
  ...commonCard,
  hardener: z.number().positive().max(0.5),
  setMinutes: z.number().positive()
});
type WaxCard = z.infer<typeof WaxCard>;

const fine = { verdict: 'good', reason: '' } as const;
const never = { verdict: 'avoid', reason: 'it burns with the wick' } as const;

const beadWax: WaxCard = {
  kind: 'wax',
  id: 'bead-wax',
  name: 'Bead wax',
  hardener: 0.25,
  openMinutes: 14,
  stirMinutes: 1,
  setMinutes: 9,
  demouldHours: { from: 1, to: 30 },
  shelfMonths: 36,
  leastMix: 5,
  colour: '#f4efdf',
  cautions: [],
  source: 'Made up for this test.'
};

const wax: MaterialDefinition<WaxCard> = {
  kind: 'wax',
  name: 'candle wax',
  heading: 'wax',
  spoken: 'wax',
  schema: WaxCard,
  fields: () => [['hardener', 'Hardener, of the wax', '%']],
  traits: ['melts again', 'sets by cooling', 'grips when late', 'swirls fluid'],
  formula: (card) =>
    ok({
      parts: [
        { key: 'wax', name: 'wax', share: 1 / (1 + card.hardener) },
        { key: 'hardener', name: 'hardener', share: card.hardener / (1 + card.hardener) }
      ],
      density: 0.9,
      basis: { of: 'parts', parts: ['wax'], words: 'of the wax' },
      carriers: {},
      letDownIn: 'wax'
    }),
  making: () => ({ clockPart: 'hardener' }),
  behaviour: (card, joinedAt) =>
    byCardTimes(
      card,
      [
        { state: 'runny', tell: 'runs like water' },
        { state: 'cloudy', tell: 'a film begins at the rim' },
        { state: 'skinned over', tell: 'the skin carries a drop' }
      ],
      joinedAt,
      true
    ),
  carriesLayer: 'skinned over',
  demould: { early: 'it bends', late: 'it cracks in the mould' },
  limits: { rest: { limit: 1, reason: 'more clogs the wick' }, cup: { limit: 1.5, reason: 'it smokes' } },
  compatibility: {
    powder: fine,
    mica: never,
    'interference pearl': never,
    paste: fine,
    dispersion: never,
    ink: never,
    botanical: never,
    glitter: never,
    'plastisol colour': never,
    premix: fine
  },
  cautions: () => ['Hot wax burns: never over an open flame.'],
  thinners: [],
  overshoot: (_, { grams }) => ({
    words: `${((100 * grams('hardener')) / grams('wax')).toFixed(0)} % hardener`,
    harms: grams('hardener') / grams('wax') > 0.4
  }),
  optics: { scatters: 0.7, shifts: {} },
  mould: 'warm and dry',
  care: ['Keep it from the sun.'],
  lesson: { baseId: 'bead-wax', block: { length: 50, width: 40, depth: 30 } },
  leftovers: { become: 'remelt', share: 0.5 },
  starting: [beadWax]
};

const toy = beadWax as unknown as Base;
const shelf: Shelf = { ...cards, bases: [...cards.bases, toy] };
const plan: Plan = {
  ...eachByItself(
    { ...tideline, mixes: tideline.mixes.map((m) => ({ ...m, baseId: beadWax.id })) },
    beadWax.id
  ),
  steps: tideline.steps.map((s) => ({
    ...s,
    gates: s.gates.map((g) => ({
      ...g,
      all: g.all.map((c) => (c.kind === 'state' ? { ...c, state: 'skinned over' } : c))
    }))
  }))
};

/** Everything done as planned a minute apart, but for what `differently` says. */
const played = (
  frozen: FrozenRun,
  differently: (task: { id: string; kind: string }) => object = () => ({})
) =>
  frozen.tasks.map((t, i): RunEvent => {
    const at = 1_000_000 + i * 60_000;
    const id = `wax-${String(i).padStart(6, '0')}`;
    return t.kind === 'weigh'
      ? { id, at, type: 'weighed', task: t.id, grams: t.grams, ...differently(t) }
      : { id, at, type: 'done', task: t.id, ...differently(t) };
  });

describe('a material that only this file knows', () => {
  let c: Computed;
  beforeAll(() => {
    materials.add(wax);
    c = computePlan(plan, shelf);
  });
  afterAll(() => materials.remove('wax'));

  it('has cards that are read by its own schema, and refused at their own field', () => {
    expect(Base.safeParse(toy).success).toBe(true);
    const bad = Base.safeParse({ ...toy, hardener: 2 });
    expect(bad.error?.issues[0]?.path).toEqual(['hardener']);
    const file = PlanFile.parse({ plan, shelf: { ...shelf, lots: [] } });
    expect(file.shelf.bases.find((b) => b.id === 'bead-wax')).toEqual(beadWax);
  });

  it('is planned and weighed by its own formula', () => {
    const [cup] = c.cups;
    const grams = (key: string) => cup!.weighings.find((w) => w.key === key)!.exact;
    expect(cup!.density).toBeGreaterThan(0.89);
    expect(grams('hardener') / grams('wax')).toBeCloseTo(0.25, 6);
    expect(c.bases[0]).toMatchObject({ kind: 'wax', basis: 'of the wax', clockPart: 'hardener' });
    expect(c.cautions).toContain('Hot wax burns: never over an open flame.');
    // What it does not take is said by its own reasons.
    const [line] = plan.cups[0]!.recipe;
    const mica = shelf.colourants.find((x) => x.form === 'mica')!;
    const withMica = {
      ...plan,
      cups: plan.cups.map((x, i) => (i ? x : { ...x, recipe: [{ ...line!, colourantId: mica.id }] }))
    };
    expect(
      computePlan(withMica, shelf).problems.find((p) => p.code === 'colourant-unsuited')?.sentence
    ).toContain('it burns with the wick');
  });

  it('is scored by its own windows and states', () => {
    expect(c.score.windows[0]!.to - c.score.windows[0]!.zero).toBeCloseTo(14, 9);
    expect(c.score.demould[0]!.from - c.score.demould[0]!.lastPour).toBeCloseTo(60, 9);
    expect(c.problems.filter((p) => p.code === 'state-unknown')).toEqual([]);
    const wrong = {
      ...plan.steps[1]!.gates[0]!,
      all: [{ kind: 'state' as const, state: 'gelled', of: 'layer below' as const }]
    };
    const gelled = { ...plan, steps: plan.steps.map((s, i) => (i === 1 ? { ...s, gates: [wrong] } : s)) };
    expect(computePlan(gelled, shelf).problems.some((p) => p.code === 'state-unknown')).toBe(true);
  });

  it('is drawn', () => {
    const picture = wholePicture(pieceOf(plan, shelf, {}, {})!, { kind: 'mould face' }, { size: 40 });
    expect(picture.shows.reduce((s, x) => s + x.share, 0)).toBeCloseTo(1, 6);
  });

  it('is offered the techniques whose traits it has, and no other', () => {
    const done = TECHNIQUES.filter((t) => materialsFor(t).some((m) => m.kind === 'wax')).map((t) => t.id);
    expect(done).toEqual(expect.arrayContaining(['layers', 'cup-swirl', 'solid-with-pearl']));
    expect(done).not.toContain('divider-swirl');
  });

  it('is conducted, inspected, recorded and repeated', () => {
    const frozen = freeze(plan, shelf);
    const [first] = frozen.tasks;
    expect(first?.kind === 'prepare' && checksNow(first, [])[0]!.words).toContain('warm and dry');
    const late = { demouldLater: 40 * 3_600_000 };
    const events = played(frozen).map((e) =>
      'task' in e && frozen.tasks.find((t) => t.id === e.task)?.kind === 'demould'
        ? { ...e, at: e.at + late.demouldLater }
        : e
    );
    const state = foldRun(frozen.tasks, events, 0.01);
    expect(state.now).toBeUndefined();
    expect(standingOf(frozen, state, c.cups[0]!.mixes[0]!.mixId)).toMatchObject({ words: '25 % hardener' });
    const before = foldRun(
      frozen.tasks,
      events.filter((e) => !('task' in e) || frozen.tasks.find((t) => t.id === e.task)?.kind !== 'demould'),
      0.01
    );
    const due = dueOf(frozen, before, { now: 1_000_000, dayStart: 0 });
    expect(due.map((d) => d.late)).toContain('it cracks in the mould');
    const found = causesOf(caseOf(frozen, state, 'knobs'), 'snapped or chipped on demould');
    expect(found.likely.map((l) => l.id)).toEqual(
      expect.arrayContaining(['demoulded-late', 'colour-over-its-limit'])
    );
    expect(found.likely.find((l) => l.id === 'colour-over-its-limit')?.fact).toContain('more clogs the wick');
    expect(buyerSheet(frozen.file.plan, frozen.computed, USUAL_TOLERANCE).care).toEqual([
      'Keep it from the sun.'
    ]);
    expect(usesOf(state).some((u) => u.key === 'part:bead-wax:hardener')).toBe(true);
    expect(factsOf(frozen.computed, state).length).toBeGreaterThan(3);
    const again = planFromRun(plan, frozen.computed, state, { id: 'again', name: 'again' });
    expect(again.mixes.every((m) => m.baseId === 'bead-wax')).toBe(true);
  });

  it('has lessons of its own', () => {
    expect(practiceLessons().filter((l) => l.kind === 'wax')).toHaveLength(3);
    const known = materials.of({ kind: 'resin' });
    expect(() => lessonPlan(practiceLessons().find((l) => l.kind === known.kind)!)).not.toThrow();
  });
});

describe('the registry of materials', () => {
  it('refuses what is incomplete, and a kind that is taken', () => {
    const { optics: _, ...lacking } = wax;
    expect(() => defineMaterial(lacking as MaterialDefinition<WaxCard>)).toThrow('lacks optics');
    const { ink: __, ...forms } = wax.compatibility;
    expect(() =>
      defineMaterial({ ...wax, compatibility: forms } as unknown as MaterialDefinition<WaxCard>)
    ).toThrow('ink');
    expect(() => materials.add(materials.of({ kind: 'resin' }))).toThrow('there already');
    expect(materials.find('wax')).toBeUndefined();
    expect(Base.safeParse(toy).error?.issues[0]?.path).toEqual(['kind']);
  });

  it.each(materials.all().map((m) => [m.kind, m] as const))(
    '%s: its starting cards are read by its schema',
    (_, m) => {
      expect(m.starting.length).toBeGreaterThan(0);
      for (const card of m.starting as CommonCard[]) expect(Base.safeParse(card).data).toEqual(card);
      for (const [key] of m.fields(m.starting[0]!)) expect(Object.keys(m.starting[0]!)).toContain(key);
    }
  );
});
