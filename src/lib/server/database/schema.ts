import { blob, index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { TrialCard } from '$core/colour';
import type { Scale } from '$core/dosing';
import type { Piece } from '$core/inspect';
import type { Base, Colourant } from '$core/material';
import type { Mould } from '$core/mould';
import type { Plan, PlanFile } from '$core/plan';
import type { RunEvent } from '$core/run';
import type { Lot, Vessel } from '$core/shelf';

/** Times are milliseconds since 1970. A card is one document; its name stands beside it for lists and search. */
const card = <T>() => ({
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  card: text('card', { mode: 'json' }).$type<T>().notNull(),
  changedAt: integer('changed_at').notNull()
});

export const moulds = sqliteTable('moulds', card<Mould>());
export const bases = sqliteTable('bases', card<Base>());
export const colourants = sqliteTable('colourants', card<Colourant>());
export const scales = sqliteTable('scales', card<Scale>());
export const vessels = sqliteTable('vessels', card<Vessel>());
export const lots = sqliteTable('lots', card<Lot>());
export const trialcards = sqliteTable('trialcards', card<TrialCard>());

export const plans = sqliteTable(
  'plans',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    document: text('document', { mode: 'json' }).$type<Plan>().notNull(),
    changedAt: integer('changed_at').notNull()
  },
  (t) => [index('plans_changed').on(t.changedAt)]
);

/** One performance of a plan. The snapshot is what was meant, whatever happens to the plan later. */
export const runs = sqliteTable(
  'runs',
  {
    id: text('id').primaryKey(),
    planId: text('plan_id').references(() => plans.id, { onDelete: 'set null' }),
    name: text('name').notNull(),
    snapshot: text('snapshot', { mode: 'json' }).$type<PlanFile>().notNull(),
    startedAt: integer('started_at').notNull(),
    finishedAt: integer('finished_at')
  },
  (t) => [index('runs_started').on(t.startedAt)]
);

export const events = sqliteTable(
  'events',
  {
    id: text('id').primaryKey(),
    runId: text('run_id')
      .notNull()
      .references(() => runs.id, { onDelete: 'cascade' }),
    at: integer('at').notNull(),
    body: text('body', { mode: 'json' }).$type<RunEvent>().notNull()
  },
  (t) => [index('events_run').on(t.runId, t.at)]
);

export const pieces = sqliteTable(
  'pieces',
  {
    id: text('id').primaryKey(),
    runId: text('run_id')
      .notNull()
      .references(() => runs.id, { onDelete: 'cascade' }),
    groupId: text('group_id').notNull(),
    number: integer('number').notNull(),
    grade: text('grade').notNull(),
    report: text('report', { mode: 'json' }).$type<Piece>().notNull(),
    changedAt: integer('changed_at').notNull()
  },
  (t) => [uniqueIndex('pieces_place').on(t.runId, t.groupId, t.number)]
);

export const photos = sqliteTable(
  'photos',
  {
    id: text('id').primaryKey(),
    pieceId: text('piece_id')
      .notNull()
      .references(() => pieces.id, { onDelete: 'cascade' }),
    width: integer('width').notNull(),
    height: integer('height').notNull(),
    bytes: blob('bytes', { mode: 'buffer' }).notNull(),
    takenAt: integer('taken_at').notNull()
  },
  (t) => [index('photos_piece').on(t.pieceId)]
);

/** The photo of a trial card. */
export const cardPhotos = sqliteTable('card_photos', {
  id: text('id').primaryKey(),
  cardId: text('card_id')
    .notNull()
    .references(() => trialcards.id, { onDelete: 'cascade' }),
  bytes: blob('bytes', { mode: 'buffer' }).notNull()
});

export const lessons = sqliteTable(
  'lessons',
  {
    id: text('id').primaryKey(),
    runId: text('run_id')
      .notNull()
      .references(() => runs.id, { onDelete: 'cascade' }),
    text: text('text').notNull(),
    learnedAt: integer('learned_at').notNull()
  },
  (t) => [index('lessons_run').on(t.runId)]
);
