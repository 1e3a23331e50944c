import { type ActOf, count, maybe, quantity } from '../../fields';

/** Milled to a surface: what shows is the depth that the mill leaves. */
export const fields = {
  depth: quantity('Down by', 'mm', 1, { min: 0.1, max: 60 }),
  /** Settings of the machine, kept with the run so that two can be compared. */
  turns: maybe(count('Turns a minute', 8000, 60_000)),
  feed: maybe(count('Feed, mm a minute', 300, 20_000))
};
export type Mill = ActOf<'mill', typeof fields>;
