/** 1/φ, 1/φ² and 1/φ³ of the root of φ⁴ = φ + 1: steps whose multiples fill a cube most evenly. */
const STEPS = [0.8191725133961645, 0.671043606703789, 0.5497004779019703] as const;

/**
 * The nth of a sequence of places that fills a cube of side 1 evenly, however many are taken: a share counted over n of them is off by
 * about 1/n, not by the 1/√n of places thrown at random.
 * @example evenPlace(0) // [0.5, 0.5, 0.5]
 */
export const evenPlace = (n: number): readonly [number, number, number] => {
  const [a, b, c] = STEPS;
  return [(0.5 + a * n) % 1, (0.5 + b * n) % 1, (0.5 + c * n) % 1];
};

/** The same in a plane: 1/φ and 1/φ² of the root of φ³ = φ + 1. */
const FLAT = [0.7548776662466927, 0.5698402909980532] as const;

/**
 * The nth of a sequence of places that fills a square of side 1 evenly, however many are taken.
 * @example evenSpot(0) // [0.5, 0.5]
 */
export const evenSpot = (n: number): readonly [number, number] => [
  (0.5 + FLAT[0] * n) % 1,
  (0.5 + FLAT[1] * n) % 1
];
