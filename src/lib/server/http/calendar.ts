import { createEvents, type EventAttributes } from 'ics';
import type { DaysAhead } from '$core/days';
import { metricWords } from '$core/quantity';

const MINUTE = 60_000;

/** The days as a calendar file: every time the hands are wanted, by a stable id, so that a calendar that subscribes moves it. */
export function calendarOf({ placed, orders, origin }: DaysAhead): string {
  const names = new Map(orders.map((o) => [o.planId, o.name]));
  const events = placed.flatMap((p) =>
    p.busy.map((s, i): EventAttributes => {
      // Calendars count whole minutes.
      const start = origin + Math.round(s.from) * MINUTE;
      return {
        uid: `${p.jobId}.${p.taskId}.${i + 1}@kirapen`.replace(/[^\w.@-]/g, '-'),
        title: `${metricWords(p.name)}: ${names.get(p.orderId) ?? p.orderId}`,
        start,
        startInputType: 'utc',
        startOutputType: 'utc',
        duration: { minutes: Math.max(1, Math.round(s.to - s.from)) },
        productId: 'kirapen',
        calName: 'Kirapen'
      };
    })
  );
  const { error, value } = createEvents(events);
  if (error) throw error;
  return value ?? '';
}
