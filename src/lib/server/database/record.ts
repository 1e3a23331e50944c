import { and, asc, desc, eq, like } from 'drizzle-orm';
import { gradeOf, Piece, UNGRADED, type MeasuredPiece } from '$core/inspect';
import type { Db, Store } from './connection';
import { facetsOfRuns } from './run-facets';
import { lessons, photos, pieces, planPhotos, runPhotos, runs } from './schema';

/** A piece as inspected, with the ids of its photos. */
export type InspectedPiece = Piece & { photos: string[] };

/** A report as stored, read; one that cannot be read is left out. */
export function readReport(text: string): Piece | undefined {
  try {
    const read = Piece.safeParse(JSON.parse(text));
    return read.success ? read.data : undefined;
  } catch {
    return undefined;
  }
}

/** The pieces of a run, by group and number. */
export async function piecesOf(db: Db, runId: string): Promise<InspectedPiece[]> {
  const rows = await db
    .select({ report: pieces.report, photo: photos.id })
    .from(pieces)
    .leftJoin(photos, eq(photos.pieceId, pieces.id))
    .where(eq(pieces.runId, runId))
    .orderBy(asc(pieces.groupId), asc(pieces.number), asc(photos.takenAt));
  const byId = new Map<string, InspectedPiece>();
  for (const { report, photo } of rows) {
    const own = readReport(report);
    if (!own) continue;
    const piece = byId.get(own.id) ?? { ...own, photos: [] };
    if (photo) piece.photos.push(photo);
    byId.set(own.id, piece);
  }
  return [...byId.values()];
}

/** The pieces whose faces were last measured by a photo, at most so many, the newest first, with who poured it and which acts. */
export async function measuredPieces(db: Db, most: number): Promise<(Piece & MeasuredPiece)[]> {
  const rows = await db
    .select({ report: pieces.report, runId: pieces.runId })
    .from(pieces)
    .where(like(pieces.report, '%"shares":%'))
    .orderBy(desc(pieces.changedAt))
    .limit(most);
  const facets = await facetsOfRuns(db, [...new Set(rows.map((r) => r.runId))]);
  const of = (runId: string, kind: 'pourer' | 'act') =>
    facets.filter((f) => f.runId === runId && f.kind === kind).map((f) => f.value);
  return rows.flatMap(({ report, runId }) => {
    const piece = readReport(report);
    return piece ? [{ ...piece, hands: of(runId, 'pourer'), acts: of(runId, 'act') }] : [];
  });
}

/**
 * Stores one piece's inspection; its place in the run (group and number) stays its own. Refused where the id is that
 * of a piece elsewhere: an id belongs to its run and place.
 */
export async function savePiece(
  store: Store,
  runId: string,
  piece: Piece,
  now: number
): Promise<'stored' | 'taken'> {
  return store.write(async (tx) => {
    const [here] = await tx
      .select({ id: pieces.id })
      .from(pieces)
      .where(
        and(eq(pieces.runId, runId), eq(pieces.groupId, piece.groupId), eq(pieces.number, piece.number))
      );
    const [other] = here
      ? []
      : await tx.select({ id: pieces.id }).from(pieces).where(eq(pieces.id, piece.id));
    if (other) return 'taken';
    const report = { ...piece, id: here?.id ?? piece.id };
    const row = {
      id: report.id,
      runId,
      groupId: piece.groupId,
      number: piece.number,
      grade: gradeOf(piece) ?? UNGRADED,
      report: JSON.stringify(report),
      changedAt: now
    };
    await tx.insert(pieces).values(row).onConflictDoUpdate({ target: pieces.id, set: row });
    return 'stored';
  });
}

/** The latest inspected pieces, with their run and first photo. */
export async function recentPieces(db: Db, most: number) {
  // The few that are shown are chosen first, along their index: the rest of a large record is not looked at.
  const latest = db
    .select()
    .from(pieces)
    .orderBy(desc(pieces.changedAt), asc(pieces.number))
    .limit(most)
    .as('latest');
  return db
    .select({
      id: latest.id,
      groupId: latest.groupId,
      number: latest.number,
      grade: latest.grade,
      runId: runs.id,
      runName: runs.name,
      changedAt: latest.changedAt,
      photo: photos.id
    })
    .from(latest)
    .innerJoin(runs, eq(runs.id, latest.runId))
    .leftJoin(photos, eq(photos.pieceId, latest.id))
    .groupBy(latest.id)
    .orderBy(desc(latest.changedAt), asc(latest.number));
}

/** Every piece of the record with its run, for lists and the CSV. */
export async function allPieces(db: Db) {
  const rows = await db
    .select({
      run: {
        id: runs.id,
        planId: runs.planId,
        name: runs.name,
        startedAt: runs.startedAt,
        finishedAt: runs.finishedAt
      },
      report: pieces.report,
      grade: pieces.grade
    })
    .from(pieces)
    .innerJoin(runs, eq(runs.id, pieces.runId))
    .orderBy(desc(runs.startedAt), asc(pieces.groupId), asc(pieces.number));
  return rows.flatMap(({ run, report, grade }) => {
    const read = readReport(report);
    return read ? [{ run, report: read, grade }] : [];
  });
}

/** Keeps a photo of a piece. */
export async function savePhoto(store: Store, photo: typeof photos.$inferInsert): Promise<void> {
  await store.write((tx) => tx.insert(photos).values(photo));
}

/** Keeps a photo that was taken in a run; one with that id is kept once. */
export async function saveRunPhoto(store: Store, photo: typeof runPhotos.$inferInsert): Promise<void> {
  await store.write((tx) => tx.insert(runPhotos).values(photo).onConflictDoNothing());
}

/** Keeps a picture that a plan is traced over. */
export async function savePlanPhoto(store: Store, photo: typeof planPhotos.$inferInsert): Promise<void> {
  await store.write((tx) => tx.insert(planPhotos).values(photo));
}

/** A photo's bytes (JPEG), of a piece, of a run or under a plan, or undefined. */
export async function findPhoto(db: Db, id: string): Promise<Buffer | undefined> {
  for (const table of [photos, runPhotos, planPhotos]) {
    const [own] = await db.select({ bytes: table.bytes }).from(table).where(eq(table.id, id));
    if (own) return own.bytes;
  }
  return undefined;
}

/** Whether a piece is in the record. */
export async function pieceExists(db: Db, id: string): Promise<boolean> {
  const rows = await db.select({ id: pieces.id }).from(pieces).where(eq(pieces.id, id));
  return rows.length > 0;
}

/** The lessons of one run, or of all, oldest first. */
export const listLessons = (db: Db, runId?: string) =>
  db
    .select()
    .from(lessons)
    .where(runId === undefined ? undefined : eq(lessons.runId, runId))
    .orderBy(asc(lessons.learnedAt));

/** The lessons that were learned last, latest first. */
export const latestLessons = (db: Db, most: number) =>
  db.select().from(lessons).orderBy(desc(lessons.learnedAt)).limit(most);

/** Keeps a lesson of a run. The same one sent twice is stored once; an id that is another's is refused. */
export async function saveLesson(
  store: Store,
  lesson: { id: string; runId: string; text: string; learnedAt: number; about?: string | null }
): Promise<'stored' | 'taken'> {
  return store.write(async (tx) => {
    const [here] = await tx.select().from(lessons).where(eq(lessons.id, lesson.id));
    if (here) return here.runId === lesson.runId && here.text === lesson.text ? 'stored' : 'taken';
    await tx.insert(lessons).values(lesson);
    return 'stored';
  });
}
