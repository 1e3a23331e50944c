import { json } from '@sveltejs/kit';
import { wholeShelf } from '$lib/server/database';
import { MatchRequest } from '$lib/server/match';
import { readBody, refuse } from '../../../../lib/server/http/respond';
import { store } from '$lib/server/store';
import { inThread } from '../../../../lib/server/workers';

/** Finds recipes for a colour from the shelf. */
export const POST = async ({ request }) => {
  const body = await readBody(request, MatchRequest);
  if ('refused' in body) return body.refused;
  const shelf = await wholeShelf((await store()).db);
  const found = await inThread('match', { request: body.value, shelf });
  return found.ok ? json({ answers: found.answers }) : refuse(found.problems);
};
