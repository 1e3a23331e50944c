import { describe, expect, it } from 'vitest';
import { rockpool, samphire, tideline } from '../../../demo/plans';
import { lessonsFor, type KeptLesson } from './lesson';

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
