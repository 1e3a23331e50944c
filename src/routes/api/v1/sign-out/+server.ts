import { z } from 'zod';
import { COOKIE, signOut, signOutEverywhere } from '../../../../lib/server/access';
import { readBody } from '../../../../lib/server/http/respond';
import { endStreams } from '$lib/server/shutdown';
import { store } from '$lib/server/store';

/** Signs this device out, or every device. */
export const POST = async ({ request, cookies }) => {
  const body = await readBody(request, z.object({ everywhere: z.boolean().default(false) }));
  if ('refused' in body) return body.refused;
  const token = cookies.get(COOKIE);
  const opened = await store();
  if (body.value.everywhere) {
    await signOutEverywhere(opened);
    // Open streams were let in before; who is still signed in opens his again.
    endStreams();
  }
  if (!body.value.everywhere && token) await signOut(opened, token);
  cookies.delete(COOKIE, { path: '/' });
  return new Response(null, { status: 204 });
};
