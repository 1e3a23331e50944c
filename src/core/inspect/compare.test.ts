import { figure } from '../quantity';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { tideline } from '../../../demo/plans';
import { foldRun, freeze, type RunEvent } from '../run';
import { changesIn, differences } from './compare';

const frozen = freeze(tideline, cards);
const MINUTE = 60_000;
const events = (): RunEvent[] =>
  frozen.tasks.map((t, i) => ({
    id: `event-${String(i).padStart(4, '0')}`,
    at: i * 10 * MINUTE,
    ...(t.kind === 'weigh' ? { type: 'weighed' as const, grams: t.grams } : { type: 'done' as const }),
    task: t.id
  }));
const run = (list: RunEvent[], of = frozen) => ({ frozen: of, state: foldRun(of.tasks, list, 0.01) });

describe('two runs set side by side', () => {
  it('that were the same differ in nothing', () =>
    expect(differences(run(events()), run(events()))).toEqual([]));

  it('differ in what was done otherwise, each once, with both figures', () => {
    const more = events().map((e) =>
      e.type === 'weighed' && e.task === 'weigh:mudflat:mudflat-brown' ? { ...e, grams: e.grams * 1.5 } : e
    );
    const room: RunEvent = { id: 'room-0001', at: 1, type: 'room', celsius: 17 };
    const found = differences(run(events()), run([...more, room]));
    expect(found).toEqual([
      { what: 'room', a: figure(21, '°C'), b: figure(17, '°C') },
      {
        what: 'mudflat: brown oxide paste',
        a: expect.stringMatching(/^2\.\d\d %$/),
        b: expect.stringMatching(/^3\.\d\d %$/)
      }
    ]);
    expect(changesIn(found)).toBe(2);
  });

  it('a wait and a demoulding that took longer are told; a hand’s own spread is not', () => {
    const from = events().findIndex((e) => 'task' in e && e.task === 'gate:gate-heron');
    const later = events().map((e, i) => (i >= from ? { ...e, at: e.at + 30 * MINUTE } : e));
    expect(differences(run(events()), run(later)).map((d) => d.what)).toEqual(['wait 1, until gelled']);
    const slip = events().map((e) => (e.type === 'weighed' ? { ...e, grams: e.grams * 1.005 } : e));
    expect(differences(run(events()), run(slip))).toEqual([]);
  });

  it('what was left out, cut short, told, read and weighed off its target is told, each once', () => {
    const all = events();
    const at = (task: string) => all.find((e) => 'task' in e && e.task === task)!;
    const stir = frozen.tasks.find((t) => t.kind === 'stir')!;
    const drag = frozen.tasks.find((t) => t.kind === 'do')!;
    const part = frozen.tasks.find((t) => t.kind === 'weigh' && t.part)!;
    const before = all[frozen.tasks.indexOf(stir) - 1]!;
    const other = all.map((e): RunEvent => {
      if (e === at(stir.id)) return { ...e, at: before.at + 0.3 * MINUTE };
      if (e === at(drag.id)) return { id: e.id, at: e.at, type: 'skipped', task: drag.id };
      return e.type === 'weighed' && e.task === part.id ? { ...e, grams: e.grams * 0.9 } : e;
    });
    const told: RunEvent[] = [
      { id: 'felt-00001', at: 5, type: 'felt', cupId: 'heron', state: 'honey' },
      { id: 'probe-0001', at: 6, type: 'probed', of: 'heron', celsius: 31 },
      { id: 'report-001', at: 9e9, type: 'reported', groupId: 'knobs', state: 'gelled' }
    ];
    const found = new Map(differences(run(all), run([...other, ...told])).map((d) => [d.what, d]));
    const of = (test: RegExp) => [...found.keys()].filter((what) => test.test(what));
    expect(of(/^stir cup \w, for$/)).toHaveLength(1);
    expect([...found.values()].filter((d) => d.b === 'left out')).toHaveLength(1);
    expect(of(/^cup \w: resin/)).toHaveLength(1);
    expect(of(/^told of/)).toEqual(
      expect.arrayContaining([expect.stringMatching(/^told of cup/), 'told of knobs 1–6'])
    );
    expect(of(/^probe in cup/)).toHaveLength(1);
    expect([...found.keys()].join()).not.toMatch(/heron\b.*~|knobs\b(?! 1)/);
  });

  it('a stir that was nearly as long as it should be is a hand’s own spread', () => {
    const stir = frozen.tasks.find((t) => t.kind === 'stir')!;
    if (stir.kind !== 'stir') throw new Error('no stir');
    const all = events();
    const before = all[frozen.tasks.indexOf(stir) - 1]!;
    const of = (share: number) =>
      differences(
        run(all),
        run(
          all.map((e) =>
            'task' in e && e.task === stir.id ? { ...e, at: before.at + share * stir.minutes * MINUTE } : e
          )
        )
      ).filter((d) => d.what.startsWith('stir'));
    expect(of(0.9)).toEqual([]);
    expect(of(0.5)).toHaveLength(1);
  });

  it('steps that are others are one change', () => {
    const plan = { ...tideline, steps: tideline.steps.filter((s) => s.act.kind !== 'drag') };
    const found = differences(run(events()), run([], freeze(plan, cards)));
    expect(found.filter((d) => d.what.startsWith('step ')).length).toBeGreaterThan(1);
    expect(changesIn(found.filter((d) => d.what.startsWith('step ')))).toBe(1);
  });
});
