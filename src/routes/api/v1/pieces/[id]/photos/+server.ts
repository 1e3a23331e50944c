import { pieceExists, savePhoto } from '$lib/server/database';
import { keepsPhotos } from '../../../../../../lib/server/http/keep-photo';

/** Keeps a photo of a piece. */
export const POST = keepsPhotos({
  what: 'piece',
  find: pieceExists,
  save: (opened, pieceId, photo) => savePhoto(opened, { ...photo, pieceId, takenAt: Date.now() })
});
