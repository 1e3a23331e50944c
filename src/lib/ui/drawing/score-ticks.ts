import type { FoldedAxis } from '$core/schedule';

const DAY = 1440;
/** Minutes from one tick to the next: figures that a clock or a calendar is read by. */
const STEPS = [
  1 / 6,
  1 / 2,
  1,
  2,
  5,
  10,
  15,
  30,
  60,
  120,
  360,
  720,
  DAY,
  2 * DAY,
  7 * DAY,
  14 * DAY,
  28 * DAY,
  91 * DAY
];
/** Ticks stand no closer than this, px: words of days are longer. */
const [CLOSE, CLOSE_DAYS] = [46, 74];

/** A tick every so many minutes inside each stretch that is not folded; `x` places a minute, px. */
export function ticksOf(stretches: FoldedAxis['stretches'], x: (minute: number) => number): number[] {
  const all = stretches
    .filter((s) => !s.folded)
    .flatMap((s) => {
      const px = x(s.to) - x(s.from);
      const room = s.to > DAY ? CLOSE_DAYS : CLOSE;
      const step = STEPS.find((m) => (m / (s.to - s.from)) * px >= room) ?? 182 * DAY;
      const first = Math.ceil(s.from / step) * step;
      const count = Math.max(0, Math.floor((s.to - first) / step) + 1);
      return Array.from({ length: count }, (_, i) => Math.round((first + i * step) * 60) / 60);
    });
  return [...new Set(all)];
}

/** A minute as its tick says it: `30 s`, `45 min`, `2:05`, `3 d 1:00`. */
export function tickWords(m: number): string {
  const seconds = Math.round((m % 1) * 60) % 60;
  if (seconds) return `${seconds} s`;
  if (m < 60) return `${Math.round(m)} min`;
  const clock = `${Math.floor((m % DAY) / 60)}:${String(Math.round(m % 60)).padStart(2, '0')}`;
  if (m < DAY) return clock;
  return m % DAY === 0 ? `${m / DAY} d` : `${Math.floor(m / DAY)} d ${clock}`;
}
