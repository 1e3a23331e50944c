import { inThread } from '../../../../lib/server/workers';

/** Computes a plan with its shelf and answers every figure; stores nothing. */
export const POST = async ({ request }) => {
  // Read in the thread as well: a large plan takes as long to check as some pages take to draw.
  const { status, json } = await inThread('compute', { text: await request.text(), today: Date.now() });
  return new Response(json, { status, headers: { 'content-type': 'application/json' } });
};
