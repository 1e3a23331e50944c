import { describe, expect, it } from 'vitest';
import { moment } from './when';

const at = (day: number, hour: number, minute: number) => new Date(2026, 10, day, hour, minute).getTime();
/** The clock as this locale writes it, with no nought before an hour. */
const clock = (ms: number) =>
  new Date(ms).toLocaleTimeString(undefined, { hour: 'numeric', minute: '2-digit' });

describe('a moment', () => {
  const now = at(25, 12, 0);

  it('is the clock alone today, as people say it', () => {
    expect(moment(at(25, 7, 35), now)).toBe(clock(at(25, 7, 35)));
    expect(moment(at(25, 7, 35), now)).toMatch(/^7[:.]35/);
    expect(moment(at(25, 0, 5), now)).not.toMatch(/yesterday|tomorrow/);
  });

  it('says tomorrow and yesterday by the calendar, not by the hours between', () => {
    expect(moment(at(26, 23, 35), now)).toBe(`tomorrow ${clock(at(26, 23, 35))}`);
    expect(moment(at(26, 0, 1), at(25, 23, 59))).toMatch(/^tomorrow /);
    expect(moment(at(24, 23, 59), at(25, 0, 1))).toMatch(/^yesterday /);
  });

  it('has the day further off', () => {
    expect(moment(at(27, 9, 0), now)).toContain('27');
    expect(moment(at(20, 9, 0), now)).toContain('20');
    expect(moment(at(27, 9, 0), now).endsWith(clock(at(27, 9, 0)))).toBe(true);
  });
});
