import { describe, expect, it } from 'vitest';
import {
  costByMonth,
  colourByDose,
  gelByRoom,
  goodByMonth,
  rejectsByAct,
  rejectsByDemould,
  secondsByAct,
  type RunPoint
} from './charts';
import { wilson } from './wilson';

const point = (told: Partial<RunPoint>): RunPoint => ({
  runId: 'r',
  at: Date.UTC(2026, 2, 5),
  kinds: ['lay'],
  hands: [],
  grades: [],
  ...told
});
const window = { from: 20, to: 30 };

describe('what the record shows', () => {
  it('rejects by act, with intervals; a run with two acts counts in both', () => {
    const points = [
      point({ kinds: ['lay', 'drag'], grades: ['good', 'reject', 'reject'] }),
      point({ grades: ['good', 'second'] }),
      point({ kinds: ['puddle'] })
    ];
    expect(rejectsByAct(points)).toEqual([
      { label: 'lay', count: 2, of: 5, ...wilson(2, 5) },
      { label: 'drag', count: 2, of: 3, ...wilson(2, 3) }
    ]);
  });

  it('rejects by when it was demoulded, at the very edges too', () => {
    const at = (after: number) => point({ demould: { after, ...window }, grades: ['reject'] });
    const counts = (...after: number[]) => rejectsByDemould(after.map(at)).map((r) => r.of);
    expect(counts(19.9)).toEqual([1, 0, 0, 0]);
    expect(counts(20, 24.9)).toEqual([0, 2, 0, 0]);
    expect(counts(25, 30)).toEqual([0, 0, 2, 0]);
    expect(counts(30.1)).toEqual([0, 0, 0, 1]);
    expect(rejectsByDemould([point({ grades: ['reject'] })]).every((r) => r.of === 0)).toBe(true);
  });

  it('good pieces month by month, without empty months', () => {
    const points = [
      point({ at: Date.UTC(2026, 3, 1), grades: ['good', 'reject'] }),
      point({ at: Date.UTC(2026, 0, 31), grades: ['good'] }),
      point({ at: Date.UTC(2026, 1, 1) })
    ];
    expect(goodByMonth(points).map((r) => [r.label, r.count, r.of])).toEqual([
      ['2026-01', 1, 1],
      ['2026-04', 1, 2]
    ]);
  });

  it('seconds a cavity as the median', () => {
    const hands = [0.5, 1, 3, 0.7].map((each) => ({ kind: 'lay', each }));
    const [lay] = secondsByAct([point({ hands })]);
    expect(lay).toMatchObject({ label: 'lay', of: 4 });
    expect(lay!.seconds).toBeCloseTo(51, 9);
    expect(secondsByAct([point({ hands: hands.slice(0, 3) })])[0]!.seconds).toBeCloseTo(60, 9);
  });

  it('what a good piece cost, over all that was spent in its month, rejects and all', () => {
    const may = Date.UTC(2026, 4, 2);
    const points = [
      point({ at: may, cost: 12, grades: ['good', 'good', 'reject'] }),
      point({ at: may, cost: 8, grades: ['reject'] }),
      // Not inspected, or with a price that is not known: says nothing.
      point({ at: may, cost: 100 }),
      point({ at: may, grades: ['good'] }),
      point({ at: Date.UTC(2026, 5, 2), cost: 5, grades: ['reject'] }),
      point({ cost: 3, grades: ['good', 'second'] })
    ];
    expect(costByMonth(points)).toEqual([
      { label: '2026-03', value: 3, of: 1 },
      { label: '2026-05', value: 10, of: 2 }
    ]);
  });

  it('when layers carried, base by base, the coolest first', () => {
    const gel = (base: string, celsius: number, minutes: number) => ({ base, celsius, minutes });
    const points = [
      point({ gels: [gel('slow', 24, 90), gel('quick', 21, 47)] }),
      point({ gels: [gel('slow', 18, 140)] }),
      point({})
    ];
    expect(gelByRoom(points)).toEqual([
      { base: 'quick', dots: [{ celsius: 21, minutes: 47 }] },
      {
        base: 'slow',
        dots: [
          { celsius: 18, minutes: 140 },
          { celsius: 24, minutes: 90 }
        ]
      }
    ]);
  });

  it('colours as measured by how far they were dosed, each against the colour it was to have then', () => {
    const doses = [
      { cupId: 'a', cup: 'heron', off: 0.1, poured: '#405060', finished: '#506070' },
      { cupId: 'b', cup: 'foam', off: -0.02, poured: '#f0f0e8', finished: '#f4f4ee' }
    ];
    const points = [
      point({
        doses,
        measured: [
          { cupId: 'a', colour: '#506070', as: 'as finished' },
          { cupId: 'a', colour: '#506070', as: 'as poured' },
          { cupId: 'gone', colour: '#000000', as: 'as finished' }
        ]
      }),
      point({
        doses: [{ ...doses[0]!, off: -0.3 }],
        measured: [{ cupId: 'a', colour: '#000000', as: 'as finished' }]
      }),
      point({ measured: [{ cupId: 'a', colour: '#506070', as: 'as finished' }] })
    ];
    const [heron, ...others] = colourByDose(points);
    expect(others).toEqual([]);
    expect(heron!.cup).toBe('heron');
    expect(heron!.dots.map((d) => d.off)).toEqual([-0.3, 0.1, 0.1]);
    const [far, same, lighter] = heron!.dots.map((d) => d.deltaE);
    expect(same).toBe(0);
    expect(lighter).toBeGreaterThan(3);
    expect(far).toBeGreaterThan(20);
  });
});
