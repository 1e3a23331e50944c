import { describe, expect, it } from 'vitest';
import type { Placed } from './place';
import { workDays } from './week';

const task = (jobId: string, taskId: string, from: number, to: number, frees?: true): Placed => ({
  jobId,
  orderId: jobId.split('~')[0]!,
  taskId,
  name: taskId,
  from,
  to,
  busy: [{ from, to }],
  ...(frees ? { frees } : {})
});
/** Poured on the first day at nine, out on the second at eight, sealed on the fourth at ten. */
const casting = (n: number) => [
  task(`knobs~${n}`, '~pour', 540, 570),
  task(`knobs~${n}`, 'demould', 1440 + 480, 1440 + 500, true),
  task(`knobs~${n}`, 'seal', 3 * 1440 + 600, 3 * 1440 + 615)
];
const hours = [0, 1, 2, 3, 4].map((d) => ({ from: d * 1440 + 480, to: d * 1440 + 1080 }));

describe('the days of work', () => {
  const days = workDays([...casting(1), ...casting(2)], hours, 5);

  it('are those on which hands do something, each with its hours', () => {
    expect(days.map((d) => d.day)).toEqual([0, 1, 3]);
    expect(days[0]).toMatchObject({ busyMinutes: 60, hourMinutes: 600 });
    expect(days[1]!.items).toMatchObject([{ name: 'demould', turns: [1, 2], minutes: 40, from: 1920 }]);
  });

  it('say what stands that night: in its mould until it is out, on the rack until all is done', () => {
    expect(days.map((d) => d.night)).toEqual([
      [{ orderId: 'knobs', where: 'mould', castings: 2 }],
      [{ orderId: 'knobs', where: 'rack', castings: 2 }],
      []
    ]);
  });

  it('have today even where there is nothing to do, and what was poured before stands there', () => {
    const [today] = workDays(casting(1).slice(1), hours, 1);
    expect(today).toMatchObject({ day: 0, items: [], night: [{ where: 'mould', castings: 1 }] });
  });

  it('say work that is gone on with once, with all its minutes and the latest it may begin', () => {
    const parts = [
      { from: 500, to: 510 },
      { from: 690, to: 700 }
    ];
    const long: Placed = { ...task('loaf~1', '~pour', 500, 700), latest: 520, busy: parts };
    const [day] = workDays([long], hours, 1);
    expect(day!.items).toEqual([
      { orderId: 'loaf', name: '~pour', from: 500, minutes: 20, turns: [1], latest: 520 }
    ]);
    expect(day!.busy).toEqual(parts);
  });
});
