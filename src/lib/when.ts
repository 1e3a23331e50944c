import { preferences } from './preferences.svelte';

/** Formatters by what they show: making one takes longer than all it is used for. */
const formats = new Map<string, Intl.DateTimeFormat>();
function shown(ms: number, options: Intl.DateTimeFormatOptions): string {
  if (!Number.isFinite(ms)) return '';
  const key = JSON.stringify(options);
  const format = formats.get(key) ?? new Intl.DateTimeFormat(undefined, options);
  formats.set(key, format);
  return format.format(ms);
}

/** A moment as a maker says it: today by the clock, otherwise with the day. */
export function moment(ms: number, now: number): string {
  const time = hour(ms);
  const days = Math.round((startOfDay(ms) - startOfDay(now)) / 86_400_000);
  if (days === 0) return time;
  if (days === 1) return `tomorrow ${time}`;
  if (days === -1) return `yesterday ${time}`;
  return `${shown(ms, { weekday: 'short', day: 'numeric', month: 'short' })} ${time}`;
}

/** The time of day by the workshop's clock: `7:35`, `19:35`, or `7:35 PM`. */
export function hour(ms: number): string {
  if (preferences().clock === '12 h') return shown(ms, { hour: 'numeric', minute: '2-digit', hour12: true });
  const at = new Date(ms);
  return `${at.getHours()}:${String(at.getMinutes()).padStart(2, '0')}`;
}

/** A day of the week with its date: “Tue, Dec 1”. */
export const weekday = (ms: number): string =>
  shown(ms, { weekday: 'short', day: 'numeric', month: 'short' });

/** A month as it is stored, `2026-11`, in words: “November 2026”. */
export const monthOf = (stored: string): string =>
  shown(new Date(`${stored}-15T12:00`).getTime(), { month: 'long', year: 'numeric' });

/** A date without the time. */
export const day = (ms: number): string => shown(ms, { day: 'numeric', month: 'short' });

/** The last day that had a time of day, minutes after midnight, `2026-11-26`: today, or yesterday where it is still to come. */
export function lastDayAt(minutes: number, now: Date): string {
  const ahead = minutes > now.getHours() * 60 + now.getMinutes();
  const d = new Date(now.getFullYear(), now.getMonth(), now.getDate() - (ahead ? 1 : 0));
  const two = (n: number) => String(n).padStart(2, '0');
  return `${d.getFullYear()}-${two(d.getMonth() + 1)}-${two(d.getDate())}`;
}

/** The beginning of a day by this machine’s clock, ms. */
export function startOfDay(ms: number): number {
  const d = new Date(ms);
  return new Date(d.getFullYear(), d.getMonth(), d.getDate()).getTime();
}

/** A whole date, for labels. */
export const today = (ms: number): string => shown(ms, { day: 'numeric', month: 'long', year: 'numeric' });

/** The days of the week by name, from the one a week begins with: 0 for Sunday. */
export const weekdays = (from = 0): string[] =>
  Array.from({ length: 7 }, (_, i) =>
    // The first of November 2026 is a Sunday.
    shown(new Date(2026, 10, 1 + from + i).getTime(), { weekday: 'long' })
  );

/**
 * Whether hands are there at some time of a window, by the workshop's hours and days off; local time, ms. A window without
 * an end is asked for its first moment.
 */
export function inHours(from: number, to = from): boolean {
  const { hours, daysOff } = preferences();
  for (let day = startOfDay(from); day <= to; day = startOfDay(day + 36 * 3_600_000)) {
    const opens = day + hours.from * 60_000;
    const closes = day + hours.to * 60_000;
    if (!daysOff.includes(new Date(day).getDay()) && from <= closes && to >= opens) return true;
  }
  return false;
}
