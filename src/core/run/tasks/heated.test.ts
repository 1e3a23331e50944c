import { describe, expect, it } from 'vitest';
import { cards } from '$demo/cards';
import { eel } from '$demo/plans';
import { metricWords } from '../../quantity';
import { couldDo, foldRun, freeze } from '../../run';
import { upTo } from '../run.testing';

const run = freeze(eel, cards);

describe('what is melted', () => {
  it('is weighed cold, heated, coloured, stirred and poured, cup by cup', () => {
    const kinds = run.tasks.filter((t) => 'cupId' in t && t.cupId === 'back').map((t) => t.kind);
    expect(kinds).toEqual(['weigh', 'make', 'weigh', 'stir', 'pour']);
    expect(run.tasks.filter((t) => t.kind === 'make')).toHaveLength(eel.cups.length);
  });

  it('is heated as its card says, never past it, with the cautions at hand', () => {
    const heat = run.tasks.find((t) => t.kind === 'make')!;
    const { rest, how } = heat as { rest: string; how: string };
    expect(metricWords(rest)).toBe('the plastisol to 170 °C');
    expect(metricWords(how)).toMatch(/gloves.*fumes.*never past 190 °C/);
  });

  it('is begun while the layer below cools, as long before its turn as weighing, heating and stirring take', () => {
    const events = upTo(run, run.tasks.find((t) => t.kind === 'pour')!.id, 1000);
    const state = foldRun(run.tasks, events, 0.1);
    const next = (now: number) =>
      couldDo(run, state, { now, dayStart: 0 }).find((c) => 'cupId' in c.task && c.task.cupId !== 'back');
    // The wait is shorter than the making.
    expect(next(events.at(-1)!.at)).toMatchObject({ task: { kind: 'weigh' } });
    expect(next(events.at(-1)!.at)!.notBefore).toBeUndefined();
  });

  it('has its clock from the moment it leaves the heat', () => {
    const heats = run.tasks.filter((t) => t.kind === 'make');
    expect(heats.every((t) => t.startsClock)).toBe(true);
    expect(run.tasks.some((t) => t.kind === 'weigh' && t.startsClock)).toBe(false);
    for (const window of run.computed.score.windows) {
      const heated = run.computed.score.blocks.find(
        (b) => b.act === 'make' && b.cupId === window.cupId && b.to <= window.to
      );
      expect(window.zero).toBeCloseTo(heated!.to, 9);
    }
  });
});
