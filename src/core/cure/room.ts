/** A room with a day and a night: °C of each, and the hour of the day, 0 … 24, at which what stands in it began. */
export interface Nights {
  day: number;
  night: number;
  hour: number;
  /** How many of the room’s minutes pass in one of the body’s own, where that runs ahead or lags behind; 1 when absent. */
  pace?: number;
}

/** The room as a body feels it from its zero on: one temperature, °C, or a day's and a night's. */
export type Room = number | Nights;

/** Nights last from eight in the evening to seven in the morning: when workshops are left unheated. */
export const NIGHT = { from: 20, to: 7 } as const;

const HOURS = 24;
const dark = (hour: number) => hour >= NIGHT.from || hour < NIGHT.to;
const hourAt = (room: Nights, minutes: number) =>
  (((room.hour + (minutes * (room.pace ?? 1)) / 60) % HOURS) + HOURS) % HOURS;

/**
 * °C in a room so many minutes after its zero.
 * @example celsiusAt(21) // 21
 */
export const celsiusAt = (room: Room, minutes = 0): number =>
  typeof room === 'number' ? room : dark(hourAt(room, minutes)) ? room.night : room.day;

/**
 * The same room as felt by what begins so many minutes later.
 * @example roomFrom(21, 60) // 21
 */
export const roomFrom = (room: Room, minutes: number): Room =>
  typeof room === 'number' ? room : { ...room, hour: hourAt(room, minutes) };

/**
 * The same nights with another temperature of the day, as it was read.
 * @example withDay(21, 25) // 25
 */
export const withDay = (room: Room, celsius: number): Room =>
  typeof room === 'number' ? celsius : { ...room, day: celsius };

/** A word for a room, the same for rooms that are alike. */
export const roomKey = (room: Room): string =>
  typeof room === 'number'
    ? String(room)
    : `${room.day}/${room.night}@${room.hour.toFixed(2)}x${(room.pace ?? 1).toPrecision(6)}`;

/**
 * The room as a body feels it whose own minutes are so many of the room’s.
 */
export const atPace = (room: Room, pace: number): Room =>
  typeof room === 'number' ? room : { ...room, pace: (room.pace ?? 1) * pace };

/**
 * Minutes from a moment to the next change between day and night, more than none; infinity where there is none.
 */
export function toChange(room: Room, minutes: number): number {
  if (typeof room === 'number' || room.day === room.night) return Infinity;
  const hour = hourAt(room, minutes);
  const until = dark(hour) ? NIGHT.to : NIGHT.from;
  return Math.max(1e-3, (((until - hour + HOURS) % HOURS) * 60) / (room.pace ?? 1));
}

/**
 * When something is done that would take so many minutes at 23 °C, by rates that follow the room.
 * @param slower how many times as long it takes at a temperature
 */
export function doneAfter(minutes: number, room: Room, slower: (celsius: number) => number): number {
  if (typeof room === 'number' || !Number.isFinite(minutes)) return minutes * slower(celsiusAt(room));
  let left = minutes;
  let now = 0;
  for (;;) {
    const long = slower(celsiusAt(room, now));
    const span = toChange(room, now);
    if (left * long <= span) return now + left * long;
    left -= span / long;
    now += span;
  }
}
