import { json } from '@sveltejs/kit';
import { CARD_WORDS, type CardKind } from '../../../../lib/store/cards';
import { CARD_SCHEMAS, listCards, saveCard } from '$lib/server/database';
import { answerWrite, readBody } from '../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

export const GET = async ({ params }) => json(await listCards((await store()).db, params.kind as CardKind));

/** Stores a new card; an id that is there already is refused. */
export const POST = async ({ params, request }) => {
  const kind = params.kind as CardKind;
  const body = await readBody(request, CARD_SCHEMAS[kind]);
  if ('refused' in body) return body.refused;
  const done = await saveCard(await store(), kind, body.value, { basedOn: 'new', now: Date.now() });
  return answerWrite(CARD_WORDS[kind], body.value, done, 201);
};
