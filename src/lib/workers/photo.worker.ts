import {
  areasOf,
  measureFace,
  uprighted,
  type Areas,
  type MeasuredFace,
  type Photo,
  type Placed
} from '$core/photo';
import { cupsOnFace, pieceOf, type Face } from '$core/piece';
import type { Plan } from '$core/plan';
import { pouringLike, type AskedByPicture, type PouredLike } from '$core/propose';
import type { Shelf } from '$core/shelf';
import { asPhotographed } from '../photo/as-photographed';

/** What is asked of the photo worker. */
export type PhotoTask =
  | { kind: 'see'; photo: Photo; placed: Placed }
  | { kind: 'pour'; asked: AskedByPicture }
  | {
      kind: 'measure';
      photo: Photo;
      placed: Placed;
      plan: Plan;
      shelf: Shelf;
      cavitySetId: string;
      face: Face;
    };

/** A face measured beside the same face as it was planned, in the same way. */
export interface MeasuredBeside {
  measured: MeasuredFace | undefined;
  planned: MeasuredFace | undefined;
}

/** What comes back: what is seen, pours as far as they are sought, or a face measured. */
export type PhotoAnswer =
  { areas: Areas } | { pours: PouredLike[]; done: boolean } | { beside: MeasuredBeside };

/** Pixels to the root of a face's area while colours are told apart. */
const SEEN_AT = 96;

const tell = (answer: PhotoAnswer) => self.postMessage(answer);

self.onmessage = ({ data }: MessageEvent<PhotoTask>) => {
  if (data.kind === 'see') tell({ areas: areasOf(uprighted(data.photo, data.placed, SEEN_AT)) });
  else if (data.kind === 'measure') tell({ beside: measuredBeside(data) });
  else pour(data.asked);
};

/** What has come so far is told after every pour that was tried; the page ends the worker to stop it. */
function pour(asked: AskedByPicture): void {
  const search = pouringLike(asked);
  for (;;) {
    const { value, done } = search.next();
    tell({ pours: value, done: done === true });
    if (done) return;
  }
}

function measuredBeside({
  photo,
  placed,
  plan,
  shelf,
  cavitySetId,
  face
}: Extract<PhotoTask, { kind: 'measure' }>): MeasuredBeside {
  const piece = pieceOf(plan, shelf, {}, { cavitySetId });
  if (!piece) return { measured: undefined, planned: undefined };
  const drawn = cupsOnFace(piece, face, 2 * SEEN_AT);
  const colours = drawn.cups.map(({ cupId, hex }) => ({ id: cupId, hex }));
  const own = { ...placed, aspect: drawn.width / drawn.height };
  // The drawn face is measured by the same rule, so that what the rule leaves out is left out of both.
  const asDrawn = asPhotographed(drawn);
  return {
    measured: measureFace(photo, own, colours),
    planned: measureFace(asDrawn.photo, { ...asDrawn.placed, outline: placed.outline }, colours)
  };
}
