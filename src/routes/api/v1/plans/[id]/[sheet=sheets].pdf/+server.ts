import { shelfOf } from '$core/document';
import { USUAL_WAYS } from '$core/ways';
import type { SheetKind } from '$lib/sheets';
import { findPlan, wholeShelf } from '$lib/server/database';
import { paperOf } from '$lib/server/paper';
import { pastOf } from '$lib/server/past';
import { notHere, pdfResponse } from '$lib/server/respond';
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
  const size = paperOf(url.searchParams.get('paper'), ways.paper);
  const pdf = await inThread('sheet', { kind, size, of: { plan, shelf: shelfOf(plan, shelf), past, ways } });
  return pdfResponse(pdf, `${plan.id}-${kind}`);
};
