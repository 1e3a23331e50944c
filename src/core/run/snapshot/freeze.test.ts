import { beforeEach, describe, expect, it, vi } from 'vitest';
import { cards } from '../../../../demo/cards';
import { tideline } from '../../../../demo/plans';
import { soon } from '../run.testing';

/** A changed core: resin twice as heavy, so that every gram and window comes out otherwise. */
const heavier = () =>
  vi.doMock('../../material/formula', async (original) => {
    const real = await original<typeof import('../../material/formula')>();
    return {
      ...real,
      idealDensity: (parts: Parameters<typeof real.idealDensity>[0]) => 2 * real.idealDensity(parts)
    };
  });

const load = async () => {
  vi.resetModules();
  return { ...(await import('..')), ...(await import('../../plan')), ...(await import('./frozen')) };
};

beforeEach(() => vi.doUnmock('../../material/formula'));

describe('a run that was begun', () => {
  it('keeps its figures, tasks and clocks when a constant of the core changes', async () => {
    const before = await load();
    const frozen = before.freeze(tideline, cards, { today: 0 });
    const stored = JSON.stringify(frozen);

    heavier();
    const after = await load();
    expect(after.freeze(tideline, cards, { today: 0 }).computed.totals.balance.mixed).toBeGreaterThan(
      1.5 * frozen.computed.totals.balance.mixed
    );

    const read = after.FrozenRun.parse(JSON.parse(stored));
    expect(JSON.parse(stored).computed).toMatchObject(JSON.parse(JSON.stringify(read.computed)));
    expect(read.computed.totals).toEqual(frozen.computed.totals);
    expect(read.tasks).toEqual(JSON.parse(JSON.stringify(frozen.tasks)));
    const begun = read.computed;
    expect(after.clocksOf({ ...frozen, computed: begun }, after.foldRun(read.tasks, [], 0), soon)).toEqual(
      before.clocksOf(frozen, before.foldRun(frozen.tasks, [], 0), soon)
    );
  });

  it('says by which rules it was planned', async () => {
    const { freeze } = await load();
    expect(freeze(tideline, cards)).toMatchObject({ version: 2, rules: 6 });
  });
});
