import { ownSpread, type ShareSpread } from '$core/inspect';
import { handsOf, type AnyEvent } from '$core/run';
import { measuredPieces, type Db, type Run } from './database';

/** Measured pieces that say how far pours vary: those that were measured last. */
const MEASURED = 40;

/** How far the pours of a run's hands vary from their plans; of all here until that is known. */
export const spreadOf = async (
  db: Db,
  { frozen }: Run,
  events: readonly AnyEvent[]
): Promise<ShareSpread | undefined> =>
  ownSpread(await measuredPieces(db, MEASURED), handsOf(frozen.tasks, events).poured);
