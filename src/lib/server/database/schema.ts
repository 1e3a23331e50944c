import { blob, index, integer, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
/**
 * Times are milliseconds since 1970. Documents are kept as text and read through `stored.ts`, which parses and migrates
 * them: one that is broken must not take its neighbours down. A card is one document; its name stands beside it for
 * lists and search. The revision counts the writes.
 */
const card = () => ({
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  card: text('card').notNull(),
  changedAt: integer('changed_at').notNull(),
  revision: integer('revision').notNull().default(1)
});

export const moulds = sqliteTable('moulds', card());
export const bases = sqliteTable('bases', card());
export const colourants = sqliteTable('colourants', card());
export const scales = sqliteTable('scales', card());
export const vessels = sqliteTable('vessels', card());
export const lots = sqliteTable('lots', card());
export const trialcards = sqliteTable('trialcards', card());

export const plans = sqliteTable(
  'plans',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    document: text('document').notNull(),
    changedAt: integer('changed_at').notNull(),
    revision: integer('revision').notNull().default(1)
  },
  (t) => [index('plans_changed').on(t.changedAt)]
);

/**
 * One performance of a plan. The snapshot is the plan file as it was begun; frozen are its tasks, its planned figures and
 * the version of the rules that made them. Neither is ever written again.
 */
export const runs = sqliteTable(
  'runs',
  {
    id: text('id').primaryKey(),
    planId: text('plan_id').references(() => plans.id, { onDelete: 'set null' }),
    name: text('name').notNull(),
    snapshot: text('snapshot').notNull(),
    frozen: text('frozen'),
    startedAt: integer('started_at').notNull(),
    finishedAt: integer('finished_at')
  },
  // What lists show stands in an index of its own: what a run froze is large, and is not read for them.
  (t) => [
    index('runs_started').on(t.startedAt),
    index('runs_listed').on(t.startedAt, t.finishedAt, t.planId, t.name, t.id)
  ]
);

export const events = sqliteTable(
  'events',
  {
    /** Its own within its run. */
    id: text('id').notNull(),
    runId: text('run_id')
      .notNull()
      .references(() => runs.id, { onDelete: 'cascade' }),
    at: integer('at').notNull(),
    body: text('body').notNull()
  },
  (t) => [primaryKey({ columns: [t.runId, t.id] }), index('events_run').on(t.runId, t.at)]
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
    report: text('report').notNull(),
    changedAt: integer('changed_at').notNull()
  },
  (t) => [
    uniqueIndex('pieces_place').on(t.runId, t.groupId, t.number),
    index('pieces_changed').on(t.changedAt),
    index('pieces_grade').on(t.runId, t.grade)
  ]
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

/** A photo taken while a run went on: its event says of which stage. */
export const runPhotos = sqliteTable(
  'run_photos',
  {
    id: text('id').primaryKey(),
    runId: text('run_id')
      .notNull()
      .references(() => runs.id, { onDelete: 'cascade' }),
    width: integer('width').notNull(),
    height: integer('height').notNull(),
    bytes: blob('bytes', { mode: 'buffer' }).notNull(),
    takenAt: integer('taken_at').notNull()
  },
  (t) => [index('run_photos_run').on(t.runId)]
);

/** A picture that a plan's regions are traced over. It outlives its plan: a copy of the plan may name it too. */
export const planPhotos = sqliteTable('plan_photos', {
  id: text('id').primaryKey(),
  planId: text('plan_id').references(() => plans.id, { onDelete: 'set null' }),
  width: integer('width').notNull(),
  height: integer('height').notNull(),
  bytes: blob('bytes', { mode: 'buffer' }).notNull()
});

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
    /** What it is about, as JSON: a mould, a colourant, a base or an act; the run alone when absent. */
    about: text('about'),
    learnedAt: integer('learned_at').notNull()
  },
  (t) => [index('lessons_run').on(t.runId)]
);

/** What a finished run is to stock, moulds and charts, worked out once: it can always be worked out again. */
export const runSummaries = sqliteTable('run_summaries', {
  runId: text('run_id')
    .primaryKey()
    .references(() => runs.id, { onDelete: 'cascade' }),
  /** The version of the rules it was worked out by. */
  rules: integer('rules').notNull(),
  body: text('body').notNull()
});

/** What a run is found by: its materials, moulds, colours, acts, and whose hands it was. It can always be worked out again. */
export const runFacets = sqliteTable(
  'run_facets',
  {
    runId: text('run_id')
      .notNull()
      .references(() => runs.id, { onDelete: 'cascade' }),
    kind: text('kind').notNull(),
    value: text('value').notNull()
  },
  (t) => [
    primaryKey({ columns: [t.runId, t.kind, t.value] }),
    index('run_facets_value').on(t.kind, t.value, t.runId)
  ]
);

/** What was deleted, so that a write from a bench that did not know is told. */
export const deletions = sqliteTable(
  'deletions',
  { kind: text('kind').notNull(), id: text('id').notNull(), deletedAt: integer('deleted_at').notNull() },
  (t) => [primaryKey({ columns: [t.kind, t.id] })]
);

/** The workshop's own settings, by name. */
export const settings = sqliteTable('settings', {
  name: text('name').primaryKey(),
  value: text('value').notNull()
});

/** Who is signed in: a hash of the cookie, never the cookie. */
export const sessions = sqliteTable('sessions', {
  token: text('token').primaryKey(),
  begunAt: integer('begun_at').notNull(),
  seenAt: integer('seen_at').notNull()
});

/** What was written, for other servers of the same database: whoever looks on there is told. Old rows are taken away. */
export const changes = sqliteTable('changes', {
  seq: integer('seq').primaryKey({ autoIncrement: true }),
  kind: text('kind').notNull(),
  id: text('id').notNull(),
  revision: integer('revision').notNull(),
  /** The server that wrote it. */
  by: text('by').notNull()
});

/** Devices that have a run open, by the server they are at: a run is conducted by one, wherever the others are. */
export const present = sqliteTable(
  'present',
  {
    runId: text('run_id').notNull(),
    device: text('device').notNull(),
    server: text('server').notNull(),
    /** By the clock of the database, s: those of the servers may differ. */
    seenAt: integer('seen_at').notNull()
  },
  (t) => [primaryKey({ columns: [t.runId, t.device, t.server] })]
);
