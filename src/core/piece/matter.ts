/** What stands at a place of a piece: a cup, by how rich it is in its colour there; a film of dry colour; a solid. */
export type Matter =
  | { kind: 'cup'; cupId: string; tone: 'full' | 'rich' | 'pale' }
  | { kind: 'chip'; cupId: string; sort: number }
  | { kind: 'drop'; cupId: string; colourantId: string }
  | { kind: 'film'; colourantId: string }
  /** A solid, by its own colour where that is said. */
  | { kind: 'solid'; hex?: string };

/** The cup that a matter came from; chips came in their body's, drops in the cup they fell into. */
export const cupIn = (matter: Matter | undefined): string | undefined =>
  matter && 'cupId' in matter && matter.cupId ? matter.cupId : undefined;

/** Of an unstirred cup, the share that holds most of its colour, and how rich that is and the rest: the mean is 1. */
export const TONES = {
  marbled: { share: 0.3, rich: 2.2, pale: (1 - 0.3 * 2.2) / 0.7 },
  speckled: { share: 0.12, rich: 5, pale: (1 - 0.12 * 5) / 0.88 }
} as const;
