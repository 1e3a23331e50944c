import { describe, expect, it } from 'vitest';
import { gradeOf, wilson } from '.';

describe('inspection', () => {
  it('gives the worked intervals', () => {
    const some = wilson(3, 12);
    expect(some.low).toBeCloseTo(0.089, 3);
    expect(some.high).toBeCloseTo(0.532, 3);
    const none = wilson(0, 6);
    expect(none.low).toBeCloseTo(0, 6);
    expect(none.high).toBeCloseTo(0.39, 2);
  });

  it('grades a piece by its worst face', () => {
    const face = (grade: 'good' | 'second' | 'reject') => ({
      face: 'mould face' as const,
      grade,
      defects: []
    });
    expect(gradeOf({ faces: [face('good'), face('second')] })).toBe('second');
    expect(gradeOf({ faces: [face('good'), face('reject'), face('second')] })).toBe('reject');
    expect(gradeOf({ faces: [face('good')] })).toBe('good');
  });
});
