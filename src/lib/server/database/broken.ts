import { readCards } from './cards';
import type { Db } from './connection';
import { findRow, isDocumentKind } from './documents';
import { readPlans } from './plans';
import { findRunText, readRuns } from './runs';
import type { Broken } from './stored';

/** Cards of some kinds that cannot be read. */
export async function brokenCards(db: Db, kinds: readonly string[]): Promise<Broken[]> {
  const read = await Promise.all(
    kinds.flatMap((kind) => (isDocumentKind(kind) && kind !== 'plans' ? [readCards(db, kind)] : []))
  );
  return read.flatMap((r) => r.broken);
}

/** What is wrong with one stored thing; undefined where it can be read. */
export async function brokenAt(db: Db, kind: string, id: string): Promise<Broken | undefined> {
  const found =
    kind === 'runs'
      ? (await readRuns(db, [id])).broken
      : kind === 'plans'
        ? (await readPlans(db)).broken
        : await brokenCards(db, [kind]);
  return found.find((b) => b.id === id);
}

/** The text of one stored thing, readable or not; undefined where it is not there. */
export async function storedText(db: Db, kind: string, id: string): Promise<string | undefined> {
  if (kind === 'runs') return findRunText(db, id);
  return isDocumentKind(kind) ? (await findRow(db, kind, id))?.text : undefined;
}
