import { describe, expect, it } from 'vitest';
import { cards } from '../../demo/cards';
import { tideline } from '../../demo/plans';
import { Base } from './material';
import { applyEdit } from './document/apply-edit';
import { Plan } from './plan';
import { problemsOf } from './validate';

const faults = (edit: { path: (string | number)[]; value: unknown }) => {
  const read = Plan.safeParse(applyEdit(tideline, edit));
  return read.success ? [] : problemsOf(read.error, 'plan', applyEdit(tideline, edit));
};

describe('what is wrong with a document', () => {
  it.each([
    [{ path: ['groups', 0, 'count'], value: 0 }, 'plan/groups/knobs/count', 'Count must be one or more.'],
    [
      { path: ['bench', 'roomCelsius'], value: 90 },
      'plan/bench/roomCelsius',
      'Room celsius is too hot to cast.'
    ],
    [{ path: ['name'], value: '' }, 'plan/name', 'Name needs a name.'],
    [
      { path: ['bench', 'readings'], value: 'sideways' },
      'plan/bench/readings',
      'Readings must be one of: cumulative, tared.'
    ],
    [
      { path: ['bench', 'losses', 'cling'], value: -1 },
      'plan/bench/losses/cling',
      'Cling must be at least 0.'
    ],
    [
      { path: ['cups', 0, 'recipe', 0, 'percent'], value: 140 },
      'plan/cups/mudflat/recipe/mudflat-brown/percent',
      'Percent cannot be over 100 %.'
    ],
    [
      { path: ['mixes', 0, 'baseId'], value: undefined },
      'plan/mixes/mix-mudflat/baseId',
      'Base id is missing.'
    ],
    [
      { path: ['steps', 0, 'act', 'amount'], value: { kind: 'heap' } },
      'plan/steps/lay-mudflat/act/amount/kind',
      'Kind is not one of the kinds known here.'
    ]
  ])('%j', (edit, path, sentence) => {
    expect(faults(edit)[0]).toMatchObject({ path, sentence });
    expect(faults(edit)[0]!.mend.length).toBeGreaterThan(5);
  });

  it.each([
    ['lye purity over 100 %', 'bar-soap', { path: ['lyePurity'], value: 1.2 }, 'cannot be over 100 %'],
    [
      'a lye too strong to dissolve',
      'bar-soap',
      { path: ['lyeConcentration'], value: 0.6 },
      'would not dissolve'
    ],
    ['a negative superfat', 'bar-soap', { path: ['superfat'], value: -0.02 }, 'lye would be left over'],
    ['a bone-dry concrete', 'fine-concrete', { path: ['waterCement'], value: 0.1 }, 'too dry to mix'],
    ['a resin like feathers', 'clear-quick', { path: ['densityA'], value: 0.01 }, 'lighter than anything']
  ])('%s on a card', (_, id, edit, words) => {
    const card = cards.bases.find((b) => b.id === id)!;
    expect(Base.safeParse(card).success).toBe(true);
    const read = Base.safeParse(applyEdit(card, edit));
    expect(read.success ? '' : problemsOf(read.error)[0]!.sentence).toContain(words);
  });
});

describe('editing a document', () => {
  it('changes what it names, shares the rest, and leaves the original alone', () => {
    const next = applyEdit(tideline, { path: ['cups', 1, 'name'], value: 'eel' });
    expect(next.cups[1]!.name).toBe('eel');
    expect(tideline.cups[1]!.name).toBe('heron');
    expect(next.cups[0]).toBe(tideline.cups[0]);
    expect(next.steps).toBe(tideline.steps);
  });

  it('takes out what is set to nothing, in lists and in objects', () => {
    const less = applyEdit(tideline, { path: ['cups', 0], value: undefined });
    expect(less.cups.map((c) => c.id)).toEqual(['heron', 'foam']);
    const held = applyEdit(tideline, { path: ['cups', 0, 'atLeast'], value: 20 });
    expect('atLeast' in applyEdit(held, { path: ['cups', 0, 'atLeast'], value: undefined }).cups[0]!).toBe(
      false
    );
  });
});
