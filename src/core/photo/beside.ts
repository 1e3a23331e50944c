/** The four pixels beside one: steps across and down. */
export const BESIDE = [
  [1, 0],
  [-1, 0],
  [0, 1],
  [0, -1]
] as const;
