import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { rockpool, samphire, tideline } from '../../../demo/plans';
import { freeze } from '../run';
import { lessonsAt, lessonsFor, type KeptLesson, type Lesson } from './lesson';

const texts = (kept: KeptLesson[], plan = tideline) => lessonsFor(plan, kept).map((l) => l.text);

describe('lessons that come back', () => {
  it('are of what the plan has: mould, colourant, base or act, and of nothing else', () => {
    const about = (kind: 'mould' | 'colourant' | 'base' | 'act', id: string): KeptLesson => ({
      text: `${kind} ${id}`,
      about: { kind, id },
      plan: samphire
    });
    expect(
      texts([
        about('mould', 'dome-knobs'),
        about('mould', 'roundel'),
        about('colourant', 'blue-paste'),
        about('colourant', 'green-dispersion'),
        about('base', 'clear-quick'),
        about('act', 'drag'),
        about('act', 'column')
      ])
    ).toEqual(['mould dome-knobs', 'colourant blue-paste', 'base clear-quick', 'act drag']);
  });

  it('stand nearest first: about a thing of it, its own runs, its moulds, its bases', () => {
    const of = (text: string, plan: KeptLesson['plan']): KeptLesson => ({ text, plan });
    const sameMould = { ...rockpool, groups: tideline.groups };
    const sameBase = { ...samphire, mixes: tideline.mixes };
    expect(
      texts([
        of('base', sameBase),
        of('stranger', samphire),
        of('mould', sameMould),
        of('own', tideline),
        { text: 'act', about: { kind: 'act', id: 'lay' }, plan: undefined }
      ])
    ).toEqual(['act', 'own', 'mould', 'base']);
  });

  it('are few, and a step that is left out asks for none', () => {
    const many = Array.from({ length: 12 }, (_, i): KeptLesson => ({ text: `${i}`, plan: tideline }));
    expect(texts(many)).toEqual(['0', '1', '2', '3', '4', '5']);
    const muted = { ...tideline, steps: tideline.steps.map((s) => ({ ...s, muted: true as const })) };
    expect(texts([{ text: 'drag', about: { kind: 'act', id: 'drag' }, plan: undefined }], muted)).toEqual([]);
  });
});

describe('lessons at what is in hand', () => {
  const frozen = freeze(tideline, cards);
  const about = (kind: 'mould' | 'colourant' | 'base' | 'act', id: string): Lesson => ({
    text: `${kind} ${id}`,
    about: { kind, id }
  });
  const all = [
    about('mould', 'dome-knobs'),
    about('mould', 'roundel'),
    about('colourant', 'blue-paste'),
    about('base', 'clear-quick'),
    about('base', 'clear-slow'),
    about('act', 'lay'),
    about('act', 'drag'),
    { text: 'of the run alone' }
  ];
  /** Every kind of lesson with the tasks it is said at. */
  const said = (text: string) =>
    frozen.tasks.filter((t) => lessonsAt(all, tideline, t).some((l) => l.text === text));

  it('are said at that act, that mould, that pot, that base, and nowhere else', () => {
    const pours = frozen.tasks.filter((t) => t.kind === 'pour');
    expect(said('act lay')).toEqual(
      frozen.tasks.filter((t) => (t.kind === 'pour' || t.kind === 'gate') && t.stepId.startsWith('lay'))
    );
    expect(said('mould dome-knobs')).toEqual(
      frozen.tasks.filter((t) => t.kind === 'pour' || t.kind === 'demould')
    );
    expect(pours.length).toBeGreaterThan(0);
    const blue = said('colourant blue-paste');
    expect(blue.length).toBeGreaterThan(0);
    for (const t of blue) expect(t.kind === 'weigh' && t.name).toContain('blue paste');
    const base = said('base clear-quick');
    expect(base.map((t) => t.kind)).toEqual(expect.arrayContaining(['weigh', 'stir']));
    for (const t of base) if (t.kind === 'weigh') expect(t.part).toBe(true);
    expect(said('act drag').map((t) => t.id)).toEqual(['do:drag-foam']);
    for (const text of ['mould roundel', 'base clear-slow', 'of the run alone'])
      expect(said(text)).toEqual([]);
  });
});
