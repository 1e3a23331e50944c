/** Numbers that look like chance and come out the same each time: 0 up to, not including, `below`. */
export function dice(seed: number): (below: number) => number {
  let state = seed;
  return (below) => {
    state = (state * 48271) % 2147483647;
    return state % below;
  };
}
