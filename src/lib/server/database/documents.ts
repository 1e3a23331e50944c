import { isDeepStrictEqual } from 'node:util';
import { and, eq } from 'drizzle-orm';
import type { Db, Store } from './connection';
import { bases, colourants, deletions, lots, moulds, plans, scales, trialcards, vessels } from './schema';

/** Kinds whose documents are written with a revision. */
const DOCUMENTS = { plans, moulds, bases, colourants, scales, vessels, lots, trialcards } as const;
export type DocumentKind = keyof typeof DOCUMENTS;
export const isDocumentKind = (kind: string): kind is DocumentKind => Object.hasOwn(DOCUMENTS, kind);

/** One stored document, as text. */
export interface DocumentRow {
  id: string;
  name: string;
  text: string;
  changedAt: number;
  revision: number;
}

/**
 * What a write was based on: a revision, nothing (it is new), or whatever is there (a program that does not care).
 */
export type BasedOn = number | 'new' | 'any';

/** What came of a write: the new revision, or what stands in its way and is there now. */
export type Written =
  { ok: true; revision: number } | { ok: false; why: 'taken' | 'changed' | 'deleted'; current?: DocumentRow };

// Plans and cards differ in one column's name only; one view of them keeps the queries single.
const tableOf = (kind: DocumentKind) => DOCUMENTS[kind] as typeof moulds;
const column = (kind: DocumentKind) =>
  kind === 'plans' ? (plans.document as unknown as typeof moulds.card) : tableOf(kind).card;
const written = (kind: DocumentKind, text: string) =>
  kind === 'plans' ? { document: text } : { card: text };

const shape = (kind: DocumentKind) => {
  const table = tableOf(kind);
  return {
    id: table.id,
    name: table.name,
    text: column(kind),
    changedAt: table.changedAt,
    revision: table.revision
  };
};

/** All documents of a kind as they are stored. */
export const allRows = (db: Db, kind: DocumentKind): Promise<DocumentRow[]> =>
  db.select(shape(kind)).from(tableOf(kind));

/** One document as it is stored, or undefined. */
export async function findRow(db: Db, kind: DocumentKind, id: string): Promise<DocumentRow | undefined> {
  const table = tableOf(kind);
  const [row] = await db.select(shape(kind)).from(table).where(eq(table.id, id));
  return row;
}

const sameText = (a: string, b: string): boolean => {
  try {
    return a === b || isDeepStrictEqual(JSON.parse(a), JSON.parse(b));
  } catch {
    return false;
  }
};

/**
 * Writes a document, if what it was based on is still there. Writing the same thing again changes nothing and is no
 * conflict, so a request that is sent twice is safe.
 */
export async function writeDocument(
  store: Store,
  kind: DocumentKind,
  document: { id: string; name: string },
  write: { basedOn: BasedOn; now: number }
): Promise<Written> {
  const text = JSON.stringify(document);
  const { id, name } = document;
  return store.write(async (tx, tell): Promise<Written> => {
    const here = await findRow(tx, kind, id);
    if (here && sameText(here.text, text)) return { ok: true, revision: here.revision };
    const clash = await clashOf(tx, kind, here, { id, basedOn: write.basedOn });
    if (clash) return clash;
    const table = tableOf(kind);
    const revision = (here?.revision ?? (await lastRevision(tx, kind, id))) + 1;
    const row = {
      id,
      name,
      ...written(kind, text),
      changedAt: write.now,
      revision
    } as typeof moulds.$inferInsert;
    await tx.insert(table).values(row).onConflictDoUpdate({ target: table.id, set: row });
    if (!here) await tx.delete(deletions).where(and(eq(deletions.kind, kind), eq(deletions.id, id)));
    tell({ kind, id, revision });
    return { ok: true, revision };
  });
}

/** A document that comes back goes on counting, so that nobody takes it for the one they knew. */
async function lastRevision(tx: Db, kind: DocumentKind, id: string): Promise<number> {
  const [gone] = await tx
    .select()
    .from(deletions)
    .where(and(eq(deletions.kind, kind), eq(deletions.id, id)));
  return gone ? gone.deletedAt % 1_000_000_000 : 0;
}

async function clashOf(
  tx: Db,
  kind: DocumentKind,
  here: DocumentRow | undefined,
  { id, basedOn }: { id: string; basedOn: BasedOn }
): Promise<Written | undefined> {
  if (basedOn === 'new') return here ? { ok: false, why: 'taken', current: here } : undefined;
  if (!here) {
    const [gone] = await tx
      .select()
      .from(deletions)
      .where(and(eq(deletions.kind, kind), eq(deletions.id, id)));
    return gone || basedOn !== 'any' ? { ok: false, why: 'deleted' } : undefined;
  }
  if (basedOn !== 'any' && basedOn !== here.revision) return { ok: false, why: 'changed', current: here };
  return undefined;
}

/** Deletes a document and remembers that it was; says whether it was there. */
export async function deleteDocument(
  store: Store,
  kind: DocumentKind,
  id: string,
  now: number
): Promise<boolean> {
  const table = tableOf(kind);
  return store.write(async (tx, tell) => {
    const rows = await tx.delete(table).where(eq(table.id, id)).returning({ id: table.id });
    if (!rows.length) return false;
    await tx
      .insert(deletions)
      .values({ kind, id, deletedAt: now })
      .onConflictDoUpdate({ target: [deletions.kind, deletions.id], set: { deletedAt: now } });
    tell({ kind, id, revision: 0 });
    return true;
  });
}

/** Replaces the text of a stored document by hand: a broken one that is mended; its id may change with it. */
export async function mendDocument(
  store: Store,
  { kind, id: was }: { kind: DocumentKind; id: string },
  document: { id: string; name: string },
  now: number
): Promise<Written> {
  return store.write(async (tx) => {
    if (document.id !== was) {
      const other = await findRow(tx, kind, document.id);
      if (other) return { ok: false, why: 'taken', current: other } as const;
      await tx.delete(tableOf(kind)).where(eq(tableOf(kind).id, was));
    }
    return writeDocument(store, kind, document, { basedOn: 'any', now });
  });
}
