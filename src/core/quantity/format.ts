import { unit } from './units';

/**
 * Writes an internal value in a unit with a fixed number of decimals, e.g. `12.50 g`.
 * For showing only: figures are never rounded on their way through the core, except where a scale rounds.
 */
export function formatQuantity(value: number, symbol: string, decimals = 2): string {
  const u = unit(symbol);
  const shown = (value - (u.offset ?? 0)) / u.factor;
  return `${withoutMinusZero(shown.toFixed(decimals))} ${symbol}`;
}

/** Decimals that show a scale's division exactly: 0.01 → 2, 1 → 0, 0.5 → 1. Division in grams, > 0. */
export function decimalsOf(division: number): number {
  for (let d = 0; d < 6; d++)
    if (Math.abs(division * 10 ** d - Math.round(division * 10 ** d)) < 1e-9) return d;
  return 6;
}

/** Grams as a scale of this division shows them, without the unit. */
export function grams(value: number, division = 0.01): string {
  return withoutMinusZero(value.toFixed(decimalsOf(division)));
}

/** Minutes as a maker says them: `40 s`, `12 min`, `2 h 05`, `3 d 4 h`. Minutes ≥ 0. */
export function duration(minutes: number): string {
  if (!Number.isFinite(minutes)) return '—';
  if (minutes < 1) return `${Math.round(minutes * 60)} s`;
  const whole = Math.round(minutes);
  if (whole < 60) return `${whole} min`;
  if (whole < 48 * 60) {
    const m = whole % 60;
    return m ? `${Math.floor(whole / 60)} h ${String(m).padStart(2, '0')}` : `${whole / 60} h`;
  }
  const hours = Math.round(whole / 60);
  return hours % 24 ? `${Math.floor(hours / 24)} d ${hours % 24} h` : `${hours / 24} d`;
}

/** Seconds as a clock that can go below zero: `4:12`, `1:02:09`, `−0:30`. */
export function clock(seconds: number): string {
  const sign = seconds < 0 ? '−' : '';
  const s = Math.floor(Math.abs(seconds));
  const h = Math.floor(s / 3600);
  const m = Math.floor((s % 3600) / 60);
  const two = (n: number) => String(n).padStart(2, '0');
  return h ? `${sign}${h}:${two(m)}:${two(s % 60)}` : `${sign}${m}:${two(s % 60)}`;
}

const withoutMinusZero = (text: string) => (/^-0(\.0*)?$/.test(text) ? text.slice(1) : text);

/** A volume with the digits that a bench can use, ml ≥ 0: `4.21 ml`, `640.3 ml`, `1182 ml`. */
export function volume(ml: number): string {
  const decimals = ml < 200 ? 2 : 1;
  return `${withoutMinusZero(ml.toFixed(ml < 1000 ? decimals : 0))} ml`;
}

/** A weight where nothing is weighed by it, g ≥ 0: `4.2 g`, `579 g`, `5.44 kg`. */
export function mass(grams: number): string {
  if (grams >= 1000) return `${(grams / 1000).toFixed(2)} kg`;
  return `${grams.toFixed(grams < 10 ? 1 : 0)} g`;
}
