import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Workshop, type Bench } from './workshop';

let workshop: Workshop;
let bench: Bench;
beforeAll(async () => {
  workshop = await Workshop.open({ demo: true });
  bench = await workshop.page('/');
});
afterAll(async () => {
  await workshop.close();
});

interface Days {
  origin: number;
  hours: { from: number; to: number }[];
  placed: {
    jobId: string;
    orderId: string;
    taskId: string;
    from: number;
    to: number;
    busy: { from: number; to: number }[];
  }[];
  unplaced: unknown[];
  orders: { planId: string; ends?: number; late?: number; slack?: number }[];
}
const days = async (): Promise<Days> =>
  (await (await fetch(`${workshop.address}/api/v1/days`)).json()) as Days;
const endOf = async (id: string) => (await days()).orders.find((o) => o.planId === id)!.ends!;
/** A day so many days from today, as a date field takes it. */
const dayFrom = (n: number) => {
  const at = new Date();
  at.setDate(at.getDate() + n);
  const two = (v: number) => String(v).padStart(2, '0');
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
};

describe('the days', () => {
  it('are reached from the bench, and hold every open order', async () => {
    await bench.click('Days', 'link');
    await bench.says('[data-testid="week"]', /Today[^]*that night/);
    const found = await days();
    expect(found.unplaced).toEqual([]);
    await bench.says('[aria-label="Orders"]', /done/);
    const shown = await bench.page.$$eval('[data-order]', (all) =>
      all.map((e) => (e as HTMLElement).dataset.order)
    );
    expect(shown).toEqual(found.orders.map((o) => o.planId));
    expect(bench.errors.join(' | ')).toBe('');
  });

  it('never have the hands in two places, nor where nobody is', async () => {
    const { placed, hours } = await days();
    const busy = placed.flatMap((p) => p.busy).sort((a, b) => a.from - b.from);
    expect(busy.length).toBeGreaterThan(40);
    busy.forEach((s, i) => {
      if (i) expect(s.from).toBeGreaterThanOrEqual(busy[i - 1]!.to - 1e-6);
      expect(hours.some((h) => h.from <= s.from + 1e-6 && h.to >= s.to - 1e-6)).toBe(true);
    });
  });

  it('move with an order that may not begin before a day, and say what is late', async () => {
    const before = await endOf('rockpool-roundels');
    await bench.date('Not before: Rockpool roundels', dayFrom(10));
    await expect.poll(() => endOf('rockpool-roundels')).toBeGreaterThan(before + 5 * 1440);
    const plan = (await (await fetch(`${workshop.address}/api/v1/plans/rockpool-roundels`)).json()) as {
      order: { notBefore: string };
    };
    expect(plan.order.notBefore).toBe(dayFrom(10));
    await bench.date('Wanted by: Rockpool roundels', dayFrom(11));
    await bench.says('[data-order="rockpool-roundels"]', /late/);
    // Begun when there are hands, it would be done: that is what helps.
    await bench.says(
      '[data-order="rockpool-roundels"] [data-testid="helps"]',
      /an earlier start \(in time then\)/
    );
  });

  it('go out as a calendar file, an entry for every time the hands are wanted', async () => {
    const answer = await fetch(`${workshop.address}/api/v1/calendar.ics`);
    expect(answer.headers.get('content-type')).toContain('text/calendar');
    const text = await answer.text();
    const { placed } = await days();
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(placed.flatMap((p) => p.busy).length);
    const ids = text.match(/^UID:.*/gm)!;
    expect(new Set(ids).size).toBe(ids.length);
    expect(text).toContain('Rockpool roundels');
  });

  it('stay within two hands, one mould and every window when an order is refused a day that is none', async () => {
    const plan = (await (await fetch(`${workshop.address}/api/v1/plans/night-heron`)).json()) as {
      order: object;
    };
    const refused = await fetch(`${workshop.address}/api/v1/plans/night-heron`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...plan, order: { ...plan.order, due: '2026-13-40' } })
    });
    expect(refused.status).toBe(422);
    expect(JSON.stringify(await refused.json())).toContain('calendar');
  });
});
