import { describe, expect, it } from 'vitest';
import { gradeOf, usualDestination, wilson, type Defect } from '.';

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

describe('a grade', () => {
  const face = (grade: 'good' | 'second' | 'reject' | undefined, ...defects: Defect[]) => ({
    face: 'mould face' as const,
    defects,
    ...(grade ? { grade } : {})
  });

  it('is that of the worst face', () => {
    expect(gradeOf({ faces: [face('good'), face('second')] })).toBe('second');
    expect(gradeOf({ faces: [face('good'), face(undefined)] })).toBe('good');
  });

  it('is none where a fault is noted and nobody graded the face, nor where nothing is said', () => {
    expect(gradeOf({ faces: [face(undefined, 'muddy blend'), face('good')] })).toBeUndefined();
    expect(gradeOf({ faces: [face(undefined), face(undefined)] })).toBeUndefined();
    expect(usualDestination(undefined)).toBeUndefined();
  });

  it('is a reject where one face is, whatever is open of the others', () => {
    expect(gradeOf({ faces: [face(undefined, 'muddy blend'), face('reject')] })).toBe('reject');
  });

  it('is good of a piece whose defect is a feature to its maker', () => {
    const feature = { ...face(undefined, 'muddy blend'), features: ['muddy blend' as const] };
    expect(gradeOf({ faces: [feature, face('good')] })).toBe('good');
  });
});
