import * as schema from '../schema';

/** The tables that are handed on with a workshop, each after those it points to, and what each is called. Who is signed in stays at home. */
export const TABLES = [
  ['settings', schema.settings, 'settings'],
  ['moulds', schema.moulds, 'moulds'],
  ['bases', schema.bases, 'materials'],
  ['colourants', schema.colourants, 'colourants'],
  ['scales', schema.scales, 'scales'],
  ['vessels', schema.vessels, 'cups and jugs'],
  ['lots', schema.lots, 'lots'],
  ['trialcards', schema.trialcards, 'trial cards'],
  ['plans', schema.plans, 'plans'],
  ['runs', schema.runs, 'runs'],
  ['events', schema.events, 'events'],
  ['pieces', schema.pieces, 'pieces'],
  ['photos', schema.photos, 'photos'],
  ['run_photos', schema.runPhotos, 'photos of runs'],
  ['plan_photos', schema.planPhotos, 'photos of plans'],
  ['card_photos', schema.cardPhotos, 'photos of trial cards'],
  ['lessons', schema.lessons, 'lessons'],
  ['deletions', schema.deletions, 'deletions']
] as const;

export type TableName = (typeof TABLES)[number][0];
export type Row = Record<string, unknown>;

/** A secret is no part of what is handed on. */
export const SECRET = 'passphrase';

/** How many there are of each thing, in the order of the tables. */
export type Counts = { what: string; count: number }[];
