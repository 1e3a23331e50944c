import { asc, eq } from 'drizzle-orm';
import type { z } from 'zod';
import { TrialCard } from '$core/colour';
import { Scale } from '$core/dosing';
import { Base, Colourant } from '$core/material';
import { Mould } from '$core/mould';
import type { Shelf } from '$core/plan';
import { Lot, Vessel } from '$core/shelf';
import type { Db, Store } from './open';
import { bases, colourants, cardPhotos, lots, moulds, scales, trialcards, vessels } from './schema';

/** The kinds of card on the shelf: where each is kept and what it must look like. */
export const CARD_KINDS = {
  moulds: { table: moulds, schema: Mould },
  bases: { table: bases, schema: Base },
  colourants: { table: colourants, schema: Colourant },
  scales: { table: scales, schema: Scale },
  vessels: { table: vessels, schema: Vessel },
  lots: { table: lots, schema: Lot },
  trialcards: { table: trialcards, schema: TrialCard }
} as const;
export type CardKind = keyof typeof CARD_KINDS;
/** The kinds that a plan draws on, and that plan files carry. */
export const SHELF_KINDS = ['moulds', 'bases', 'colourants', 'scales', 'vessels', 'lots'] as const;
export type CardOf<K extends CardKind> = z.infer<(typeof CARD_KINDS)[K]['schema']>;

// The tables share their columns but not their types; one view of them keeps the queries single.
const tableOf = (kind: CardKind) => CARD_KINDS[kind].table as typeof moulds;

/** All cards of a kind, by name. */
export async function listCards<K extends CardKind>(db: Db, kind: K): Promise<CardOf<K>[]> {
  const table = tableOf(kind);
  const rows = await db.select({ card: table.card }).from(table).orderBy(asc(table.name));
  return rows.map((r) => r.card) as unknown as CardOf<K>[];
}

/** One card, or undefined. */
export async function findCard<K extends CardKind>(
  db: Db,
  kind: K,
  id: string
): Promise<CardOf<K> | undefined> {
  const table = tableOf(kind);
  const [row] = await db.select({ card: table.card }).from(table).where(eq(table.id, id));
  return row?.card as unknown as CardOf<K> | undefined;
}

/** Stores a card, new or changed. */
export async function saveCard<K extends CardKind>(
  store: Store,
  kind: K,
  card: CardOf<K>,
  now: number
): Promise<void> {
  const table = tableOf(kind);
  const row = { id: card.id, name: card.name, card: card as Mould, changedAt: now };
  await store.write((tx) => tx.insert(table).values(row).onConflictDoUpdate({ target: table.id, set: row }));
}

/** Takes a card off the shelf; says whether it was there. Plans and runs keep their own copies. */
export async function removeCard(store: Store, kind: CardKind, id: string): Promise<boolean> {
  const table = tableOf(kind);
  const gone = await store.write((tx) =>
    tx.delete(table).where(eq(table.id, id)).returning({ id: table.id })
  );
  return gone.length > 0;
}

/** The whole shelf. */
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
