import { someOf } from '../soak.testing';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { saltings, tideline } from '../../../demo/plans';
import * as demo from '../../../demo/plans';
import { materialsFor, TECHNIQUES, type Technique } from '../pour';
import { applyTechnique, techniquesFor } from './apply-technique';
import { computePlan, Plan } from '../plan';
import { newPlan } from './new-plan';
import { splitAll } from '../document/mixing';
import { withNewCup } from './add-cup';
import { pourAlone } from '../plan/plans.testing';

const rockpool = pourAlone(demo.rockpool);

/** One base of each kind on the demo shelf. */
const baseFor = (kind: string) => cards.bases.find((b) => b.kind === kind);
const MOULDS = ['dome-knobs', 'roundel', 'slab', 'key-tags'];

/** An empty plan of a material in a mould, with so many cups of one batch. */
function bare(kind: string, mouldId: string, cups: number): Plan {
  const base = baseFor(kind)!;
  let plan = newPlan('trial', 'Trial', cards, mouldId);
  plan = { ...plan, steps: [], mixes: plan.mixes.map((m) => ({ ...m, baseId: base.id })) };
  for (let i = 1; i < cups; i++) plan = withNewCup(plan);
  return splitAll(plan, base.id);
}

const filledBy = (plan: Plan) => computePlan(plan, cards).groups[0]!;
const cases = TECHNIQUES.flatMap((t) =>
  materialsFor(t).flatMap(({ kind }) => (baseFor(kind) ? [[t.id, kind, t] as const] : []))
);

describe('every technique', () => {
  it.each(cases)('%s in %s fills a cavity of any shape, with as many cups as there are', (id, kind, t) => {
    for (const mouldId of someOf(MOULDS, 4, id.length))
      for (const cups of [t.least, t.least + 2]) {
        const plan = applyTechnique(bare(kind, mouldId, cups), cards, {
          techniqueId: id,
          groupId: 'group-1',
          keep: 'nothing'
        });
        expect(Plan.safeParse(plan).error?.issues ?? []).toEqual([]);
        const computed = computePlan(plan, cards);
        const wrong = computed.problems.filter(
          (p) =>
            (p.level === 'stop' && p.path.startsWith('plan/steps')) ||
            ['state-unknown', 'step-missing', 'gate-late'].includes(p.code)
        );
        expect(wrong.map((p) => `${p.path}: ${p.sentence}`)).toEqual([]);
        const [group] = computed.groups;
        // What was drawn out is no longer there.
        const withdraws = plan.steps.some((s) => s.act.kind === 'withdraw');
        expect(group!.filled).toBeGreaterThan(withdraws ? 0.9 : 0.985);
        expect(group!.filled).toBeLessThanOrEqual(1.2);
        // A second batch of a cup is that cup.
        const nameOf = (id: string) => plan.cups.find((c) => c.id === id)!.name.replace(/ 2$/, '');
        const poured = new Set(group!.layers.map((l) => nameOf(l.cupId)));
        const most = t.cups.at(-1) === '…' ? cups : Math.min(cups, t.cups.length);
        expect(poured.size).toBe(t.composite ? 1 : most);
      }
  });

  it('is there for every way that the trade pours', () => {
    expect(TECHNIQUES.length).toBeGreaterThanOrEqual(23);
    expect(new Set(TECHNIQUES.map((t) => t.id)).size).toBe(TECHNIQUES.length);
    for (const t of TECHNIQUES) {
      expect(t.about.length).toBeGreaterThan(10);
      expect(t.learn.length).toBeGreaterThan(0);
    }
  });

  it('is offered for its materials first', () => {
    const { suited, others } = techniquesFor(saltings, cards);
    expect(suited.map((t) => t.id)).toContain('column-pour');
    expect(others.map((t) => t.id)).toContain('piped-petals');
    expect(suited.length + others.length).toBe(TECHNIQUES.length);
  });
});

const apply = (plan: Plan, techniqueId: string, keep: 'nothing' | 'what comes after' | 'everything') =>
  applyTechnique(plan, cards, { techniqueId, groupId: plan.groups[0]!.id, keep });
const kinds = (plan: Plan) => plan.steps.map((s) => s.act.kind);

describe('a plan that has steps', () => {
  const withAfter: Plan = {
    ...rockpool,
    steps: [
      ...rockpool.steps,
      { id: 'out', act: { kind: 'demould' }, where: ['roundels'], gates: [] },
      { id: 'coat', act: { kind: 'seal', times: 2, every: 60 }, where: ['roundels'], gates: [] }
    ]
  };

  it('keeps nothing, what comes after, or everything, as it is told', () => {
    expect(kinds(apply(withAfter, 'layers', 'nothing'))).toEqual(['lay', 'lay', 'lay', 'lay', 'demould']);
    expect(kinds(apply(withAfter, 'layers', 'what comes after'))).toEqual([
      'lay',
      'lay',
      'lay',
      'lay',
      'demould',
      'seal'
    ]);
    const all = apply(withAfter, 'solid-with-pearl', 'everything');
    expect(all.steps.map((s) => s.id)).toEqual(expect.arrayContaining(withAfter.steps.map((s) => s.id)));
    expect(all.steps.length).toBeGreaterThan(withAfter.steps.length);
  });

  it('keeps what is done in other cavities', () => {
    const two: Plan = {
      ...tideline,
      groups: [...tideline.groups, { ...tideline.groups[0]!, id: 'others', name: 'others' }],
      steps: tideline.steps.map((s, i) => (i ? s : { ...s, where: ['knobs', 'others'] }))
    };
    const after = applyTechnique(two, cards, { techniqueId: 'layers', groupId: 'knobs', keep: 'nothing' });
    expect(after.steps.find((s) => s.id === two.steps[0]!.id)!.where).toEqual(['others']);
    expect(after.steps.filter((s) => s.where.includes('knobs')).map((s) => s.act.kind)).toContain('lay');
  });

  it('is left as it is by a technique or cavities that are not there', () => {
    expect(apply(rockpool, 'no-such-way', 'nothing')).toBe(rockpool);
    expect(
      applyTechnique(rockpool, cards, { techniqueId: 'layers', groupId: 'nowhere', keep: 'nothing' })
    ).toBe(rockpool);
  });
});

describe('a technique', () => {
  const gatesOf = (plan: Plan) => plan.steps.flatMap((s) => s.gates.flatMap((g) => g.all));

  it('waits for the state that keeps layers apart in its own material', () => {
    const soap = apply(bare('soap', 'slab', 3), 'layers', 'nothing');
    expect(gatesOf(soap)).toEqual([
      { kind: 'state', state: 'thick trace', of: 'layer below' },
      { kind: 'state', state: 'thick trace', of: 'layer below' }
    ]);
    const resin = apply(bare('resin', 'roundel', 2), 'layers', 'nothing');
    expect(gatesOf(resin)).toEqual([{ kind: 'state', state: 'gelled', of: 'layer below' }]);
  });

  it('pours its colours into one jug first, in equal shares, once', () => {
    const once = apply(bare('soap', 'loaf', 3), 'cup-swirl', 'nothing');
    const jugs = once.cups.filter((c) => 'cups' in c.from);
    expect(jugs).toHaveLength(1);
    expect('cups' in jugs[0]!.from && jugs[0]!.from.cups.map((c) => c.share)).toEqual([1 / 3, 1 / 3, 1 / 3]);
    const again = apply(once, 'cup-swirl', 'nothing');
    expect(again.cups).toEqual(once.cups);
  });

  it('fills each chamber of a divider, the outer ones first', () => {
    const chambers = ['a', 'b', 'c', 'd'].map((id) => ({ id, name: `chamber ${id}`, share: 0.25 }));
    const shelf = {
      ...cards,
      moulds: cards.moulds.map((m) =>
        m.id === 'slab' ? { ...m, cavities: m.cavities.map((c) => ({ ...c, chambers })) } : m
      )
    };
    const plan = applyTechnique(bare('soap', 'slab', 4), shelf, {
      techniqueId: 'divider-swirl',
      groupId: 'group-1',
      keep: 'nothing'
    });
    const into = plan.steps.flatMap((s) => (s.act.kind === 'chamber' ? [s.act.chamberId] : []));
    expect(into).toEqual(['a', 'd', 'b', 'c']);
    const { problems, groups } = computePlan(plan, shelf);
    expect(problems.map((p) => p.code)).not.toContain('chambers-uneven');
    expect(groups[0]!.filled).toBeCloseTo(1, 6);
  });

  it('cuts a slab into the pieces that it is meant for', () => {
    const bars = apply({ ...saltings, steps: [] }, 'column-pour', 'nothing');
    expect(bars.steps.find((s) => s.act.kind === 'cut')!.act).toMatchObject({
      pieces: 40,
      how: 'on the diagonal'
    });
    expect(filledBy(bars).filled).toBeCloseTo(1, 2);
    // The same grams a round for every jug.
    const columns = filledBy(bars)
      .layers.slice(0, 3)
      .map((l) => l.each);
    expect(Math.max(...columns) / Math.min(...columns)).toBeLessThan(1.01);
  });

  it('says which face comes to show, unless what stood there is kept', () => {
    const one = bare('resin', 'roundel', 2);
    expect(apply(one, 'region-inlay', 'nothing').showFace).toBe('open face');
    expect(apply(one, 'region-inlay', 'everything').showFace).toBe('mould face');
    expect(apply(one, 'layers', 'nothing').showFace).toBe('mould face');
  });

  it('makes the cups it lacks', () => {
    const one = bare('resin', 'roundel', 1);
    // And one of them once more, for the back the next day.
    expect(apply(one, 'drizzle-and-brush', 'nothing').cups.map((c) => c.name)).toEqual([
      'cup A',
      'cup B',
      'cup C',
      'cup A 2'
    ]);
  });
});

it.each(TECHNIQUES.filter((t: Technique) => t.composite).map((t) => [t.id] as const))(
  '%s draws all of its cups through the jug',
  (id) => {
    const kind = materialsFor(TECHNIQUES.find((t) => t.id === id)!)[0]!.kind;
    const plan = apply(bare(kind, 'roundel', 3), id, 'nothing');
    const { cups, groups } = computePlan(plan, cards);
    const jug = cups.find((c) => c.jug)!;
    expect(groups[0]!.layers.map((l) => l.cupId)).toEqual([jug.cupId]);
    for (const cup of cups.filter((c) => !c.jug)) expect(cup.balance.mixed).toBeGreaterThan(0);
  }
);
