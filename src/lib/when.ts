import { ways } from './ways.svelte';

/** A moment as a maker says it: today by the clock, otherwise with the day. */
export function moment(ms: number, now: number): string {
  const at = new Date(ms);
  const time = hour(ms);
  const days = Math.round((startOfDay(ms) - startOfDay(now)) / 86_400_000);
  if (days === 0) return time;
  if (days === 1) return `tomorrow ${time}`;
  if (days === -1) return `yesterday ${time}`;
  return `${at.toLocaleDateString(undefined, { weekday: 'short', day: 'numeric', month: 'short' })} ${time}`;
}

/** The time of day by the workshop's clock: `7:35`, `19:35`, or `7:35 PM`. */
export function hour(ms: number): string {
  const at = new Date(ms);
  if (ways().clock === '12 h')
    return at.toLocaleTimeString(undefined, { hour: 'numeric', minute: '2-digit', hour12: true });
  return `${at.getHours()}:${String(at.getMinutes()).padStart(2, '0')}`;
}

/** A date without the time. */
export const day = (ms: number): string =>
  new Date(ms).toLocaleDateString(undefined, { day: 'numeric', month: 'short' });

function startOfDay(ms: number): number {
  const d = new Date(ms);
  return new Date(d.getFullYear(), d.getMonth(), d.getDate()).getTime();
}

/** A whole date, for labels. */
export const today = (ms: number): string =>
  new Date(ms).toLocaleDateString(undefined, { day: 'numeric', month: 'long', year: 'numeric' });

/** The days of the week by name, from the one a week begins with: 0 for Sunday. */
export const weekdays = (from = 0): string[] =>
  Array.from({ length: 7 }, (_, i) =>
    // The first of November 2026 is a Sunday.
    new Date(2026, 10, 1 + from + i).toLocaleDateString(undefined, { weekday: 'long' })
  );

/**
 * Whether hands are there at some time of a window, by the workshop's hours and days off; local time, ms. A window without
 * an end is asked for its first moment.
 */
export function inHours(from: number, to = from): boolean {
  const { hours, daysOff } = ways();
  for (let day = startOfDay(from); day <= to; day = startOfDay(day + 36 * 3_600_000)) {
    const opens = day + hours.from * 60_000;
    const closes = day + hours.to * 60_000;
    if (!daysOff.includes(new Date(day).getDay()) && from <= closes && to >= opens) return true;
  }
  return false;
}
