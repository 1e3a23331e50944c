import { findRun, saveRunPhoto } from '$lib/server/database';
import { keepsPhotos } from '../../../../../../lib/server/http/keep-photo';

/** Keeps a photo taken in a run. Its event is told by whoever took it. */
export const POST = keepsPhotos({
  what: 'run',
  find: findRun,
  ownIds: true,
  save: (opened, runId, photo) => saveRunPhoto(opened, { ...photo, runId, takenAt: Date.now() })
});
