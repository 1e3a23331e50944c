import { fail, ok, type Result } from '../problem';

const NOON = 12;

/** Reads a time of day as it is said: `8`, `8:30`, `18.00`, `6 pm`, `12:15 am`, `24:00`. Minutes since midnight, 0 to 1440. */
export function parseHour(text: string): Result<number> {
  const [, h, m, half] = /^\s*(\d{1,2})(?:[:.](\d{2}))?\s*(am|pm)?\s*$/i.exec(text) ?? [];
  const minutes = h === undefined ? NaN : hourOf(Number(h), half?.toLowerCase()) * 60 + Number(m ?? 0);
  if (minutes <= 1440 && Number(m ?? 0) < 60) return ok(minutes);
  return fail({
    code: 'hour-unreadable',
    path: '',
    sentence: `“${text}” is not a time of day.`,
    mend: 'Type it as 8:30, 18:00 or 6 pm.'
  });
}

/** Of 24, an hour of twelve with its half of the day; no number where there is no such hour. */
function hourOf(hour: number, half: string | undefined): number {
  if (!half) return hour;
  if (hour < 1 || hour > NOON) return NaN;
  return (hour % NOON) + (half === 'pm' ? NOON : 0);
}

/** Minutes since midnight by a workshop's clock: `8:30`, `18:00`, `6:00 pm`. */
export function formatHour(minutes: number, clock: '24 h' | '12 h'): string {
  const hour = Math.floor(minutes / 60);
  const rest = String(minutes % 60).padStart(2, '0');
  if (clock === '24 h') return `${hour}:${rest}`;
  return `${hour % NOON || NOON}:${rest} ${hour % 24 < NOON ? 'am' : 'pm'}`;
}
