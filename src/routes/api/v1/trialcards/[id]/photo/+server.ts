import { newId } from '$lib/id';
import { findCard, findCardPhoto, patchCard, saveCardPhoto } from '$lib/server/database';
import { document, notHere } from '../../../../../../lib/server/http/respond';
import { store } from '$lib/server/store';
import { sentPhoto } from '../../../../../../lib/server/http/upload';

/** Keeps the photo of a trial card; the card names it from then on. */
export const POST = async ({ params, request }) => {
  const opened = await store();
  const card = await findCard(opened.db, 'trialcards', params.id);
  if (!card) return notHere('trial card', params.id);
  const sent = await sentPhoto(request);
  if ('refused' in sent) return sent.refused;
  const id = newId();
  const named = await opened.write(async () => {
    await saveCardPhoto(opened, { id, cardId: card.id, bytes: sent.kept.bytes });
    return patchCard(opened, 'trialcards', card.id, {
      edits: [{ path: ['photo'], value: id }],
      now: Date.now()
    });
  });
  return named && 'card' in named
    ? document(named.card, named.revision, 201)
    : notHere('trial card', params.id);
};

export const GET = async ({ params }) => {
  const { db } = await store();
  const card = await findCard(db, 'trialcards', params.id);
  const bytes = card?.photo ? await findCardPhoto(db, card.photo) : undefined;
  if (!bytes) return notHere('photo of a trial card', params.id);
  return new Response(new Uint8Array(bytes), { headers: { 'content-type': 'image/jpeg' } });
};
