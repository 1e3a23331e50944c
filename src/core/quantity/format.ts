import { unit } from './units';

/**
 * Writes an internal value in a unit with a fixed number of decimals, e.g. `12.50 g`.
 * For showing only: figures are never rounded on their way through the core, except where a scale rounds.
 * @example formatQuantity(12.5, 'g') // '12.50 g'
 */
export function formatQuantity(value: number, symbol: string, decimals = 2): string {
  const u = unit(symbol);
  const shown = (value - (u.offset ?? 0)) / u.factor;
  return `${withoutMinusZero(shown.toFixed(decimals))} ${symbol}`;
}

/**
 * Minutes as a maker says them: `40 s`, `1.5 min`, `12 min`, `2 h 05`, `3 d 4 h`. Minutes ≥ 0.
 * @example duration(125) // '2 h 05'
 */
export function duration(minutes: number): string {
  if (!Number.isFinite(minutes)) return '—';
  if (minutes < 1) return `${Math.round(minutes * 60)} s`;
  // A step of a minute and a half is typed so, and told so.
  const halves = Math.round(minutes * 2);
  if (halves % 2 && halves < 20 && Math.abs(minutes * 2 - halves) < 1e-6) return `${halves / 2} min`;
  const whole = Math.round(minutes);
  if (whole < 60) return `${whole} min`;
  if (whole < 48 * 60) {
    const m = whole % 60;
    return m ? `${Math.floor(whole / 60)} h ${String(m).padStart(2, '0')}` : `${whole / 60} h`;
  }
  const hours = Math.round(whole / 60);
  return hours % 24 ? `${Math.floor(hours / 24)} d ${hours % 24} h` : `${hours / 24} d`;
}

/**
 * Whole minutes that a window surely holds, as a maker says them: never rounded up.
 * @example holdsFor(7.9) // '7 min'
 */
export const holdsFor = (minutes: number): string =>
  duration(minutes < 1 ? minutes : Math.floor(minutes + 1e-9));

/**
 * About how long, minutes: from two hours on to the quarter of an hour.
 * @example about(1439) // '24 h'
 */
export const about = (minutes: number): string =>
  duration(minutes >= 120 ? Math.round(minutes / 15) * 15 : minutes);

/** From so many hours on a clock tells days: nobody reads 671:59:59. */
const HOURS_ON_A_CLOCK = 48;

/**
 * Seconds as a clock that can go below zero: `4:12`, `1:02:09`, `−0:30`; in days and hours from two days on.
 * @example clock(252) // '4:12'
 * @example clock(2_419_199) // '27 d 23 h'
 */
export function clock(seconds: number): string {
  const sign = seconds < 0 ? '−' : '';
  const s = Math.floor(Math.abs(seconds));
  const h = Math.floor(s / 3600);
  const m = Math.floor((s % 3600) / 60);
  if (h >= HOURS_ON_A_CLOCK) return `${sign}${Math.floor(h / 24)} d ${h % 24} h`;
  const two = (n: number) => String(n).padStart(2, '0');
  return h ? `${sign}${h}:${two(m)}:${two(s % 60)}` : `${sign}${m}:${two(s % 60)}`;
}

/** A figure without the sign that rounding to nothing leaves. */
export const withoutMinusZero = (text: string) => (/^-0(\.0*)?$/.test(text) ? text.slice(1) : text);
