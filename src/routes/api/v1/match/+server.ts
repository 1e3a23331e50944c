import { json } from '@sveltejs/kit';
import { wholeShelf } from '$lib/server/database';
import { MatchRequest, matchFromShelf } from '$lib/server/match';
import { readBody, refuse } from '$lib/server/respond';
import { store } from '$lib/server/store';

/** Finds recipes for a colour from the shelf. */
export const POST = async ({ request }) => {
  const body = await readBody(request, MatchRequest);
  if ('refused' in body) return body.refused;
  const found = matchFromShelf(body.value, await wholeShelf((await store()).db));
  return found.ok ? json({ answers: found.answers }) : refuse(found.problems);
};
