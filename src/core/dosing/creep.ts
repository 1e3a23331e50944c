/** Creeping up on a colour by eye: where to start and the size of each step, as shares of the target. */
export interface Creep {
  start: number;
  step: number;
}

/**
 * The additions of a creeping dose, g: the start, then steps up to the target (the last one shortened to meet it).
 * @example creepSteps(2, { start: 0.5, step: 0.25 }) // [1,0.5,0.5]
 */
export function creepSteps(target: number, creep: Creep): number[] {
  const steps = [target * Math.min(1, creep.start)];
  let at = steps[0]!;
  while (at < target * (1 - 1e-9) && steps.length < 40) {
    const next = Math.min(creep.step * target, target - at);
    steps.push(next);
    at += next;
  }
  return steps;
}
