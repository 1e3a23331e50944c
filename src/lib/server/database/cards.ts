import { LRUCache } from 'lru-cache';
import { eq } from 'drizzle-orm';
import type { z } from 'zod';
import { TrialCard } from '$core/colour';
import { Scale } from '$core/dosing';
import { applyEdit } from '$core/document/apply-edit';
import { Base, Colourant } from '$core/material';
import { Mould } from '$core/mould';
import type { Shelf } from '$core/shelf';
import type { Edit } from '$core/problem';
import { Lot, Vessel } from '$core/shelf';
import type { CardKind } from '../../store/cards';
import {
  allRows,
  deleteDocument,
  findRow,
  writeDocument,
  type BasedOn,
  type DocumentRow,
  type Written
} from './documents';
import type { Db, Store } from './connection';
import { cardPhotos } from './schema';
import { readStored, sorted, type Broken, type Read } from './stored';

/** The kinds of card on the shelf, and what each must look like. */
export const CARD_SCHEMAS = {
  moulds: Mould,
  bases: Base,
  colourants: Colourant,
  scales: Scale,
  vessels: Vessel,
  lots: Lot,
  trialcards: TrialCard
} as const satisfies Record<CardKind, z.ZodType>;
/** The kinds that a plan draws on, and that plan files carry. */
export const SHELF_KINDS = ['moulds', 'bases', 'colourants', 'scales', 'vessels', 'lots'] as const;
export type CardOf<K extends CardKind> = z.infer<(typeof CARD_SCHEMAS)[K]>;

/** What was read last of each card, with the text it was read from: most pages read the same shelf again. */
const remembered = new LRUCache<string, { text: string; name: string; read: Read<unknown> }>({ max: 5000 });

/** Reads a stored card. The same text gives the same (never changed) card without being checked again. */
function read<K extends CardKind>(kind: K, row: DocumentRow): Read<CardOf<K>> {
  const key = `${kind}/${row.id}`;
  const before = remembered.get(key);
  if (before?.text === row.text && before.name === row.name) return before.read as Read<CardOf<K>>;
  const fresh = readStored({ kind, id: row.id, name: row.name }, row.text, CARD_SCHEMAS[kind]);
  remembered.set(key, { text: row.text, name: row.name, read: fresh });
  return fresh as Read<CardOf<K>>;
}

/** All cards of a kind, by name, and those that cannot be read. */
export async function readCards<K extends CardKind>(
  db: Db,
  kind: K
): Promise<{ good: CardOf<K>[]; broken: Broken[] }> {
  const rows = await allRows(db, kind);
  rows.sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : 0));
  return sorted(rows.map((row) => read(kind, row)));
}

/** All cards of a kind that can be read, by name. */
export const listCards = async <K extends CardKind>(db: Db, kind: K): Promise<CardOf<K>[]> =>
  (await readCards(db, kind)).good;

/** One card with its revision, or undefined where it is not there or cannot be read. */
export async function findCard<K extends CardKind>(
  db: Db,
  kind: K,
  id: string
): Promise<CardOf<K> | undefined> {
  return (await findCardRow(db, kind, id))?.card;
}

/** One card and the revision it is at. */
export async function findCardRow<K extends CardKind>(
  db: Db,
  kind: K,
  id: string
): Promise<{ card: CardOf<K>; revision: number } | undefined> {
  const row = await findRow(db, kind, id);
  if (!row) return undefined;
  const found = read(kind, row);
  return found.ok ? { card: found.value, revision: row.revision } : undefined;
}

/** Stores a card, new or changed, if what it was based on still stands. */
export const saveCard = <K extends CardKind>(
  store: Store,
  kind: K,
  card: CardOf<K>,
  write: { basedOn: BasedOn; now: number }
): Promise<Written> => writeDocument(store, kind, card, write);

/**
 * Changes single fields of a card as it stands now, whoever else has changed others: photos, and figures that were
 * learned. Undefined where the card is gone.
 */
export async function patchCard<K extends CardKind>(
  store: Store,
  kind: K,
  id: string,
  { edits, now }: { edits: readonly Edit[]; now: number }
): Promise<{ card: CardOf<K>; revision: number } | { refused: z.ZodError; document: unknown } | undefined> {
  return store.write(async (tx) => {
    const here = await findCard(tx, kind, id);
    if (!here) return undefined;
    const changed = edits.reduce((card: unknown, edit) => applyEdit(card, edit), here);
    const checked = CARD_SCHEMAS[kind].safeParse(changed);
    if (!checked.success) return { refused: checked.error, document: changed };
    const card = { ...checked.data, id } as CardOf<K>;
    const written = await saveCard(store, kind, card, { basedOn: 'any', now });
    return { card, revision: written.ok ? written.revision : 0 };
  });
}

/** Takes a card off the shelf; says whether it was there. Plans and runs keep their own copies. */
export const removeCard = (store: Store, kind: CardKind, id: string, now: number): Promise<boolean> =>
  deleteDocument(store, kind, id, now);

/** The whole shelf, as far as it can be read. */
export async function wholeShelf(db: Db): Promise<Shelf> {
  const [m, b, c, s, v, l] = await Promise.all([
    listCards(db, 'moulds'),
    listCards(db, 'bases'),
    listCards(db, 'colourants'),
    listCards(db, 'scales'),
    listCards(db, 'vessels'),
    listCards(db, 'lots')
  ]);
  return { moulds: m, bases: b, colourants: c, scales: s, vessels: v, lots: l };
}

/** Keeps the photo of a trial card (JPEG); the card then names it. */
export async function saveCardPhoto(store: Store, photo: typeof cardPhotos.$inferInsert): Promise<void> {
  await store.write((tx) => tx.insert(cardPhotos).values(photo));
}

/** A trial card's photo (JPEG), or undefined. */
export async function findCardPhoto(db: Db, id: string): Promise<Buffer | undefined> {
  const [row] = await db.select({ bytes: cardPhotos.bytes }).from(cardPhotos).where(eq(cardPhotos.id, id));
  return row?.bytes;
}
