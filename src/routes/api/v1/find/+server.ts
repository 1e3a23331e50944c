import { json } from '@sveltejs/kit';
import { findAll } from '$lib/server/database';
import { store } from '$lib/server/store';

/** Plans, runs, cards, lessons and pieces that hold some words. */
export const GET = async ({ url }) =>
  json(await findAll((await store()).db, url.searchParams.get('q')?.slice(0, 200) ?? ''));
