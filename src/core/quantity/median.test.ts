import { expect, it } from 'vitest';
import { median } from '.';

it('the median is the middle one, or the mean of the middle two, and leaves the list as it is', () => {
  const list = [9, 1, 5];
  expect([median(list), median([4, 1, 3, 2]), median([7])]).toEqual([5, 2.5, 7]);
  expect(list).toEqual([9, 1, 5]);
  expect(median([])).toBeNaN();
});
