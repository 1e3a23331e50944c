import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { cards } from '../../../../demo/cards';
import { tideline } from '../../../../demo/plans';
import { caseOf, causesOf, DEFECTS } from '../../inspect';
import { clocksOf } from '../times/clocks';
import { correctionsOf } from '../correct/corrections';
import { debriefOf } from '../after/debrief';
import { dueOf } from '../after/due';
import { factsOf } from '../amounts/actuals';
import { lossesOf, tookOf, usesOf } from '../amounts/used';
import { booksOf } from '../amounts/ledger';
import { planFromRun } from '../after/repeat';
import { done, event, soon } from '../run.testing';
import { AnyEvent, FrozenRun, foldRun, freeze } from '..';

/** Runs as every version of the rules froze them, one a version. */
const FOLDER = join(__dirname, 'fixtures');
const fixtures = readdirSync(FOLDER).map((name) => {
  const raw = JSON.parse(readFileSync(join(FOLDER, name), 'utf8')) as { rules: number };
  return [raw.rules, raw] as const;
});

describe.each(fixtures)('a run frozen by rules %i', (rules, raw) => {
  const frozen = FrozenRun.parse(raw);
  const events = frozen.tasks.map((t, i) =>
    t.kind === 'pour'
      ? event({ type: 'done', task: t.id, grams: t.gramsEach * t.count }, 1_000_000 + i * 60_000)
      : done(t, 1_000_000 + i * 60_000)
  );
  const state = foldRun(frozen.tasks, events, frozen.computed.division);

  it('is read as version 2, every figure as it was written', () => {
    expect(frozen).toMatchObject({ version: 2, rules });
    const before = (raw as unknown as FrozenRun).computed;
    expect(frozen.computed.totals).toEqual(before.totals);
    expect(frozen.computed.cups.map((c) => c.weighings)).toEqual(before.cups.map((c) => c.weighings));
    expect(frozen.computed.score.windows).toEqual(before.score.windows);
    expect(frozen.computed.groups.every((g) => g.cavitySetId.length > 0)).toBe(true);
    expect(frozen.tasks.some((t) => t.kind === 'pour' && t.cavitySetId !== undefined)).toBe(true);
  });

  it('can be gone on with, corrected, debriefed, inspected and repeated', () => {
    expect(state.now).toBeUndefined();
    const half = foldRun(frozen.tasks, events.slice(0, 9), frozen.computed.division);
    expect(clocksOf(frozen, half, soon).length).toBeGreaterThan(0);
    expect(correctionsOf(frozen, half)).toBeDefined();
    expect(booksOf(frozen, half).size).toBeGreaterThan(0);
    expect(dueOf(frozen, half, { now: 2_000_000, dayStart: 0 })).toBeDefined();
    expect(factsOf(frozen.computed, state).length).toBeGreaterThan(5);
    expect(usesOf(state).length).toBeGreaterThan(2);
    expect(lossesOf(frozen.computed, state)).toBeDefined();
    expect(tookOf(frozen.computed, state).length).toBeGreaterThan(0);
    expect(debriefOf(frozen, state)).toBeDefined();
    const inspected = caseOf(frozen, state, frozen.computed.groups[0]!.groupId);
    for (const defect of DEFECTS) expect(causesOf(inspected, defect).likely).toBeDefined();
    const again = planFromRun(frozen.file.plan, frozen.computed, state, { id: 'again', name: 'again' });
    expect(again.cups).toHaveLength(frozen.file.plan.cups.length);
  });
});

it('a run frozen today is read as it was written', () => {
  const frozen = freeze(tideline, cards, { today: 0 });
  const read = FrozenRun.parse(JSON.parse(JSON.stringify(frozen)));
  expect(read.computed.cups.map((c) => c.mixes)).toEqual(
    JSON.parse(JSON.stringify(frozen.computed.cups.map((c) => c.mixes)))
  );
  expect(read.tasks).toEqual(JSON.parse(JSON.stringify(frozen.tasks)));
});

it('an event that called a mix a cup is read as the mix’s', () => {
  const { mixId: _, ...rest } = event({ type: 'spilled', mixId: 'x', grams: 4 }, 5) as { mixId: string };
  expect(AnyEvent.parse({ ...rest, cupId: 'heron' })).toMatchObject({
    type: 'spilled',
    mixId: 'heron',
    grams: 4
  });
  expect(AnyEvent.parse({ ...rest, mixId: 'foam' })).toMatchObject({ mixId: 'foam' });
});
