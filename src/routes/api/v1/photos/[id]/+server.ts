import { findPhoto } from '$lib/server/database';
import { notHere } from '../../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

export const GET = async ({ params }) => {
  const bytes = await findPhoto((await store()).db, params.id);
  if (!bytes) return notHere('photo', params.id);
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=31536000, immutable' }
  });
};
