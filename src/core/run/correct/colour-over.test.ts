import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import * as demo from '../../../../demo/plans';
import { limitOf } from '../../material';
import { pourAlone } from '../../plan/plans.testing';
import { coloursOver } from './colour-over';
import { foldRun } from '../log/fold';
import { freeze } from '../snapshot/freeze';
import { type RunEvent } from '../log/events';

const tideline = pourAlone(demo.tideline);
const run = freeze(tideline, cards);
const target = run.tasks.find((t) => t.id === 'weigh:heron:heron-blue')!;
const aimed = target.kind === 'weigh' ? target.grams : 0;
const line = tideline.cups.find((c) => c.id === 'heron')!.recipe.find((r) => r.id === 'heron-blue')!;
const splitMix = cards.colourants.find((c) => c.id === line.colourantId)!;

/** The blue of heron weighed so many times over, all of its parts as planned. */
const after = (times: number) => {
  const events: RunEvent[] = run.tasks.flatMap((t, i) =>
    t.kind === 'weigh' && t.mixId === 'heron' && (t.part || t.key === 'heron-blue')
      ? [
          {
            id: `event-${String(i).padStart(5, '0')}`,
            at: 1000 + i,
            type: 'weighed' as const,
            task: t.id,
            grams: t.part ? t.grams : Number((t.grams * times).toFixed(4))
          }
        ]
      : []
  );
  return coloursOver(run, foldRun(run.tasks, events, 0.01), 'heron');
};

describe('a colour of which too much went in', () => {
  it('is said with the percentage it comes to, and how much more would bring it back', () => {
    const [over] = after(1.5);
    expect(over).toMatchObject({ name: splitMix.name, planned: line.percent });
    expect(over!.now).toBeCloseTo(line.percent * 1.5, 3);
    expect(over!.more).toBeCloseTo(0.5, 3);
    expect(over!.past).toBeUndefined();
  });

  it('is past its limit once it is, with the reason', () => {
    const { limit, reason } = limitOf(splitMix, 'resin');
    const to = limit / line.percent;
    expect(after(to * 0.99)[0]!.past).toBeUndefined();
    expect(after(to * 1.02)[0]!.past).toEqual({ limit, reason });
  });

  it('is not made much of: what a scale cannot tell, or what is less, is nothing', () => {
    expect(after(1)).toEqual([]);
    expect(after(0.6)).toEqual([]);
    expect(after(1 + 0.01 / aimed)).toEqual([]);
    expect(coloursOver(run, foldRun(run.tasks, [], 0.01), 'heron')).toEqual([]);
  });
});
