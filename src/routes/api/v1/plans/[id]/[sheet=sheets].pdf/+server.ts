import { shelfOf } from '$core/plan';
import { USUAL_WAYS } from '$core/ways';
import type { SheetKind } from '$lib/sheets';
import { findPlan, wholeShelf } from '$lib/server/database';
import { PAPERS, type PaperSize } from '$lib/server/paper';
import { pastOf } from '$lib/server/past';
import { notHere } from '$lib/server/respond';
import { store } from '$lib/server/store';
import { inThread } from '$lib/server/sums';
import { keptWays } from '$lib/server/ways';

/** A sheet of a plan as PDF, in the workshop's own units, on its own paper or the one asked for. */
export const GET = async ({ params, url }) => {
  const { db } = await store();
  const found = await findPlan(db, params.id);
  if (!found) return notHere('plan', params.id);
  const { plan } = found;
  const kind = params.sheet as SheetKind;
  const [shelf, past, kept] = await Promise.all([wholeShelf(db), pastOf(db, plan, Date.now()), keptWays(db)]);
  const ways = kept ?? USUAL_WAYS;
  const size = PAPERS.find((p) => p === url.searchParams.get('paper')) ?? (ways.paper as PaperSize);
  const pdf = await inThread('sheet', { kind, size, of: { plan, shelf: shelfOf(plan, shelf), past, ways } });
  return new Response(new Uint8Array(pdf), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="${plan.id}-${kind}.pdf"`,
      'cache-control': 'no-cache'
    }
  });
};
