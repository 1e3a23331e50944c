import { describe, expect, it } from 'vitest';
import { cards } from '../../../demo/cards';
import { kingfisher, nightHeron, plans, samphire, saltings, sluice, tideline } from '../../../demo/plans';
import { planDays, slackOf, type Span } from '.';
import { computePlan, type Plan } from '../plan';
import { jobsOf } from './jobs';
import { ordersOnDays } from './order-days';

const jobs = (plan: Plan, due?: number) => jobsOf(plan, computePlan(plan, cards), { notBefore: 0, due });
const DAY = 1440;
/** Every day from eight to six, Saturdays and Sundays off. */
const hours: Span[] = Array.from({ length: 140 }, (_, d) => d)
  .filter((d) => d % 7 < 5)
  .map((d) => ({ from: d * DAY + 480, to: d * DAY + 1080 }));
const cavities = new Map(
  cards.moulds.map((m) => [
    m.id,
    Math.max(1, ...plans.flatMap((p) => p.groups.filter((g) => g.mouldId === m.id).map((g) => g.count)))
  ])
);

describe('an order on the days', () => {
  it('is its turns, each from the first weighing to the last day', () => {
    const all = jobs(samphire);
    expect(all).toHaveLength(computePlan(samphire, cards).order!.turns);
    expect(all[0]!.tasks.map((t) => t.name)).toEqual(['Weigh and pour', 'Demould', 'Air-dry', 'Seal']);
    expect(all[0]!.moulds).toEqual([{ id: 'coat-hooks', cavities: 5 }]);
    expect(all[0]!.freedBy).toBe('demould-hooks');
  });

  it('has the hands only where its score has them', () => {
    const { score } = computePlan(sluice, cards);
    const [job] = jobs(sluice);
    const busy = job!.tasks[0]!.busy.reduce((s, b) => s + b.to - b.from, 0);
    const attended = score.blocks
      .filter((b) => !b.unattended && b.from < score.ends - 1e-9)
      .reduce((s, b) => s + b.to - b.from, 0);
    expect(busy).toBeCloseTo(attended, 6);
    expect(busy).toBeLessThan(job!.tasks[0]!.length);
  });

  it('keeps the windows of its gates: dry for a week before the seal, and no bar cut too late', () => {
    const seal = jobs(sluice)[0]!.tasks.find((t) => t.id === 'seal-bookends')!;
    expect(seal.after).toContainEqual({ task: 'demould-bookends', edge: 'end', min: 10_080 });
    const cut = jobs(nightHeron)[0]!.tasks.find((t) => t.id === 'cut-loaf')!;
    expect(cut.after).toContainEqual({ task: 'demould-loaf', edge: 'end', min: 0, max: 2880 });
  });

  it('leaves its mould inside the window that the score gives it', () => {
    const { demould } = computePlan(samphire, cards).score;
    const out = jobs(samphire)[0]!.tasks.find((t) => t.id === 'demould-hooks')!;
    expect(out.after).toContainEqual({
      task: '~pour',
      edge: 'start',
      min: demould[0]!.from,
      max: demould[0]!.to
    });
  });

  it('repeats what repeats, the hands free between', () => {
    const spray = jobs(saltings)[0]!.tasks.find((t) => t.id === 'spray-slab')!;
    expect(spray.busy.map((b) => b.from)).toEqual([0, 30, 60, 90]);
    expect(spray.busy.every((b) => Math.abs(b.to - b.from - 0.5) < 1e-9)).toBe(true);
  });

  it('tells how far it is while orders are placed: never back, from nothing to nearly all', () => {
    const told: number[] = [];
    const asked = [samphire, tideline].map((plan) => ({ plan, learned: {}, notBefore: 0 }));
    ordersOnDays(asked, cards, { hours }, { told: (share) => told.push(share) });
    expect(told[0]).toBe(0);
    expect(told.length).toBeGreaterThan(asked.length);
    expect(told).toEqual([...told].sort((a, b) => a - b));
    expect(told.at(-1)!).toBeGreaterThan(0.5);
    expect(told.at(-1)!).toBeLessThanOrEqual(1);
  });

  it('is demoulded all the same where the plan has no step for it', () => {
    const bare: Plan = { ...samphire, steps: samphire.steps.slice(0, 1) };
    const [job] = jobs(bare);
    expect(job!.tasks.map((t) => t.name)).toEqual(['Weigh and pour', 'Demould']);
    expect(job!.freedBy).toBe(job!.tasks[1]!.id);
    const { demould } = computePlan(bare, cards).score;
    expect(job!.tasks[1]!.after).toContainEqual({
      task: '~pour',
      edge: 'start',
      min: demould[0]!.from,
      max: demould[0]!.to
    });
  });
});

it('a night may come between two stretches of a pour: the birds are cast one day, their tiles another', () => {
  const [job] = jobs(kingfisher);
  const { score } = computePlan(kingfisher, cards);
  const pours = job!.tasks.filter((t) => t.id.startsWith('~pour'));
  expect(pours.length).toBeGreaterThan(1);
  const hands = pours.flatMap((t) => t.busy).reduce((s, b) => s + b.to - b.from, 0);
  const attended = score.blocks.filter((b) => !b.unattended && b.from < score.ends - 1e-9);
  expect(hands).toBeCloseTo(
    attended.reduce((s, b) => s + b.to - b.from, 0),
    6
  );
  const { placed, unplaced } = planDays([job!], { hours, cavities });
  expect(unplaced).toEqual([]);
  const at = (id: string) => placed.find((p) => p.taskId === id)!;
  for (const [i, t] of pours.slice(1).entries()) {
    const between = at(t.id).from - at(pours[i]!.id).from;
    expect(between).toBeGreaterThanOrEqual(t.after[0]!.min - 1e-6);
  }
  expect(Math.floor(at(pours.at(-1)!.id).from / DAY)).toBeGreaterThan(Math.floor(at('~pour').from / DAY));
});

it('a mould that serves two groups one after the other is held once', () => {
  const twice: Plan = {
    ...kingfisher,
    groups: kingfisher.groups.map((g) => ({ ...g, mouldId: 'square-tile', cavityId: 'tile' }))
  };
  expect(jobs(twice)[0]!.moulds).toEqual([{ id: 'square-tile', cavities: 2 }]);
  const atOnce = { ...twice, steps: twice.steps.filter((s) => s.id !== 'demould-birds') };
  expect(jobs(atOnce)[0]!.moulds).toEqual([{ id: 'square-tile', cavities: 4 }]);
});

it('all orders together find their days, and find them again when one slips a day', () => {
  const all = plans.flatMap((p) => jobs(p));
  const days = planDays(all, { hours, cavities });
  expect(days.unplaced).toEqual([]);
  expect(new Set(days.placed.map((p) => p.orderId)).size).toBe(plans.length);
  const slipped = planDays(
    all.map((j) => (j.orderId === 'sluice-bookends' ? { ...j, notBefore: DAY } : j)),
    { hours, cavities }
  );
  expect(slipped.unplaced).toEqual([]);
  for (const j of all) {
    const found = slackOf({ ...j, due: 120 * DAY });
    expect('slack' in found && Math.min(...found.slack.values())).toBeGreaterThan(0);
  }
});

it('an order that is due says by when its last turn has to be begun, and is late when it is begun after that', () => {
  const due = 12 * DAY;
  const ask = (notBefore: number) =>
    ordersOnDays([{ plan: samphire, learned: {}, notBefore, due }], cards, { hours }).orders[0]!;
  const first = ask(0);
  expect(first.late).toBeUndefined();
  expect(first.startBy).toBeLessThan(due);
  expect(ask(first.startBy! + 31).late).toBeGreaterThan(0);
});
