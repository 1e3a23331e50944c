import { z } from 'zod';
import { problemsOf } from '$core/validate';
import { CARD_WORDS, type CardKind } from '../../../../../lib/store/cards';
import { absent } from '../../../../../lib/server/http/absent';
import { CARD_SCHEMAS, findCardRow, patchCard, removeCard, saveCard } from '$lib/server/database';
import { problem } from '../../../../../lib/server/http/body';
import {
  answerWrite,
  basedOn,
  document,
  notHere,
  readBody,
  refuse
} from '../../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

export const GET = async ({ params }) => {
  const kind = params.kind as CardKind;
  const { db } = await store();
  const found = await findCardRow(db, kind, params.id);
  return found ? document(found.card, found.revision) : absent(db, kind, params.id, CARD_WORDS[kind]);
};

export const PUT = async ({ params, request }) => {
  const kind = params.kind as CardKind;
  const body = await readBody(request, CARD_SCHEMAS[kind]);
  if ('refused' in body) return body.refused;
  if (body.value.id !== params.id)
    return refuse([
      problem('id-differs', 'The card’s id is not the one in the address.', 'Send it to its own address.')
    ]);
  const write = { basedOn: basedOn(request), now: Date.now() };
  return answerWrite(CARD_WORDS[kind], body.value, await saveCard(await store(), kind, body.value, write));
};

const Edits = z.object({
  edits: z
    .array(
      z.object({
        path: z
          .array(z.union([z.string().max(80), z.number().int().min(0).max(5000)]))
          .min(1)
          .max(12),
        value: z.unknown()
      })
    )
    .min(1)
    .max(50)
});

/** Changes single fields of a card as it stands now, whoever else changes others. */
export const PATCH = async ({ params, request }) => {
  const kind = params.kind as CardKind;
  const body = await readBody(request, Edits);
  if ('refused' in body) return body.refused;
  const edits = body.value.edits.map(({ path, value }) => ({ path, value }));
  const done = await patchCard(await store(), kind, params.id, { edits, now: Date.now() });
  if (!done) return notHere(CARD_WORDS[kind], params.id);
  if ('refused' in done) return refuse(problemsOf(done.refused, '', done.document));
  return document(done.card, done.revision);
};

export const DELETE = async ({ params }) => {
  const kind = params.kind as CardKind;
  const gone = await removeCard(await store(), kind, params.id, Date.now());
  return gone ? new Response(null, { status: 204 }) : notHere(CARD_WORDS[kind], params.id);
};
