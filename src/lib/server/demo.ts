import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { cards } from '$demo/cards';
import { demoLots } from '$demo/lots';
import { DEMO_PHOTOS } from '$demo/photos';
import { plans } from '$demo/plans';
import { demoRuns, MAKERS } from '$demo/runs';
import { demoTrialCards } from '$demo/trial-cards';
import {
  addEvents,
  listCards,
  saveCard,
  saveLesson,
  savePhoto,
  savePiece,
  savePlan,
  SHELF_KINDS,
  startRun,
  type Store
} from './database';
import { USUAL_PREFERENCES } from '$core/preferences';
import { storePreferences } from './preferences';

/** Loads the demo workshop into an empty database; says whether it did. What is there already is kept. */
export async function loadDemo(store: Store, now: number): Promise<boolean> {
  if ((await listCards(store.db, 'moulds')).length) return false;
  const fresh = { basedOn: 'new', now } as const;
  await store.write(async () => {
    await storePreferences(store, { ...USUAL_PREFERENCES, makers: MAKERS });
    for (const kind of SHELF_KINDS)
      for (const card of cards[kind]) await saveCard(store, kind, card as never, fresh);
    for (const lot of demoLots(now)) await saveCard(store, 'lots', lot, fresh);
    for (const card of demoTrialCards(now)) await saveCard(store, 'trialcards', card, fresh);
    for (const plan of plans) await savePlan(store, plan, fresh);
    for (const run of demoRuns(now)) {
      await startRun(store, run);
      await addEvents(store, run.id, run.events);
      for (const piece of run.pieces) {
        await savePiece(store, run.id, piece, run.finishedAt ?? run.startedAt);
        await keepPhoto(store, piece.id, run.finishedAt ?? run.startedAt);
      }
      if (run.lesson)
        await saveLesson(store, {
          id: `${run.id}-lesson`,
          runId: run.id,
          text: run.lesson,
          learnedAt: run.finishedAt ?? now
        });
    }
  });
  return true;
}

/** Where the photos of the demo workshop’s pieces lie. */
const PHOTOS = join(process.env.KIRAPEN_HOME ?? process.cwd(), 'demo', 'photos');

/** Keeps the photo of a piece, where one was made. */
async function keepPhoto(store: Store, pieceId: string, takenAt: number): Promise<void> {
  const made = DEMO_PHOTOS[pieceId];
  if (!made) return;
  const { width, height, shows } = made;
  const bytes = readFileSync(join(PHOTOS, `${shows.photo}.jpg`));
  await savePhoto(store, { id: shows.photo, pieceId, width, height, bytes, takenAt });
}
