import { json } from '@sveltejs/kit';
import { CARD_WORDS, type CardKind } from '$lib/cards';
import { CARD_KINDS, findCard, removeCard, saveCard } from '$lib/server/database';
import { notHere, problem, readBody, refuse } from '$lib/server/respond';
import { store } from '$lib/server/store';

export const GET = async ({ params }) => {
  const kind = params.kind as CardKind;
  const card = await findCard((await store()).db, kind, params.id);
  return card ? json(card) : notHere(CARD_WORDS[kind], params.id);
};

export const PUT = async ({ params, request }) => {
  const kind = params.kind as CardKind;
  const body = await readBody(request, CARD_KINDS[kind].schema);
  if ('refused' in body) return body.refused;
  if (body.value.id !== params.id)
    return refuse([
      problem('id-differs', 'The card’s id is not the one in the address.', 'Send it to its own address.')
    ]);
  await saveCard(await store(), kind, body.value, Date.now());
  return json(body.value);
};

export const DELETE = async ({ params }) => {
  const kind = params.kind as CardKind;
  const gone = await removeCard(await store(), kind, params.id);
  return gone ? new Response(null, { status: 204 }) : notHere(CARD_WORDS[kind], params.id);
};
