import { json } from '@sveltejs/kit';
import { CARD_KINDS, listCards, saveCard } from '$lib/server/database';
import { readBody } from '$lib/server/respond';
import { store } from '$lib/server/store';
import type { CardKind } from '$lib/cards';

export const GET = async ({ params }) => json(await listCards((await store()).db, params.kind as CardKind));

export const POST = async ({ params, request }) => {
  const kind = params.kind as CardKind;
  const body = await readBody(request, CARD_KINDS[kind].schema);
  if ('refused' in body) return body.refused;
  await saveCard(await store(), kind, body.value, Date.now());
  return json(body.value, { status: 201 });
};
