import { describe, expect, it } from 'vitest';
import { USUAL_PREFERENCES } from '$core/preferences';
import { inHours, lastDayAt, moment, weekdays } from './when';
import { setPreferences } from './preferences.svelte';

const at = (day: number, hour: number, minute: number) => new Date(2026, 10, day, hour, minute).getTime();
describe('a moment', () => {
  const now = at(25, 12, 0);

  it('is the clock alone today, as people say it', () => {
    expect(moment(at(25, 7, 35), now)).toBe('7:35');
    expect(moment(at(25, 0, 5), now)).toBe('0:05');
    expect(moment(at(25, 19, 35), now)).toBe('19:35');
  });

  it('follows the workshop’s clock', () => {
    setPreferences({ ...USUAL_PREFERENCES, clock: '12 h' });
    expect(moment(at(25, 19, 35), now)).toMatch(/^7:35\sPM$/i);
    expect(moment(at(25, 0, 5), now)).toMatch(/^12:05\sAM$/i);
    setPreferences(USUAL_PREFERENCES);
  });

  it('says tomorrow and yesterday by the calendar, not by the hours between', () => {
    expect(moment(at(26, 23, 35), now)).toBe('tomorrow 23:35');
    expect(moment(at(26, 0, 1), at(25, 23, 59))).toMatch(/^tomorrow /);
    expect(moment(at(24, 23, 59), at(25, 0, 1))).toMatch(/^yesterday /);
  });

  it('has the day further off', () => {
    expect(moment(at(27, 9, 0), now)).toContain('27');
    expect(moment(at(20, 9, 0), now)).toContain('20');
    expect(moment(at(27, 9, 0), now).endsWith(' 9:00')).toBe(true);
  });
});

describe('the workshop’s hours', () => {
  // The 25th of November 2026 is a Wednesday; hands are there from 8 to 18, Monday to Friday.
  it('say whether hands are there at some time of a window', () => {
    expect(inHours(at(25, 9, 0))).toBe(true);
    expect(inHours(at(25, 7, 59))).toBe(false);
    expect(inHours(at(25, 18, 1))).toBe(false);
    expect(inHours(at(25, 20, 0), at(26, 7, 0))).toBe(false);
    expect(inHours(at(25, 20, 0), at(26, 8, 30))).toBe(true);
    expect(inHours(at(25, 2, 0), at(25, 23, 0))).toBe(true);
  });

  it('leave days off out', () => {
    expect(inHours(at(28, 9, 0), at(29, 17, 0))).toBe(false);
    expect(inHours(at(28, 9, 0), at(30, 9, 0))).toBe(true);
    expect(inHours(at(27, 17, 0), at(29, 9, 0))).toBe(true);
  });

  it('begin a week where it begins', () => {
    const days = weekdays(1);
    expect(days).toHaveLength(7);
    expect(days[6]).toBe(weekdays(0)[0]);
  });
});

it('the last day that had an hour is today, or yesterday where it is still to come, over a month’s end too', () => {
  const now = new Date(2026, 11, 1, 1, 30);
  expect(lastDayAt(85, now)).toBe('2026-12-01');
  expect(lastDayAt(90, now)).toBe('2026-12-01');
  expect(lastDayAt(91, now)).toBe('2026-11-30');
});
