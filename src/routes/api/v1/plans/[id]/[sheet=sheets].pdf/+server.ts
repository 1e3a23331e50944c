import { shelfOf } from '$core/document';
import { USUAL_PREFERENCES } from '$core/preferences';
import type { SheetKind } from '../../../../../../lib/plan/sheets';
import { findPlan, wholeShelf } from '$lib/server/database';
import { paperOf } from '../../../../../../lib/server/print';
import { learnedOf } from '../../../../../../lib/server/learned-history';
import { notHere, pdfResponse } from '../../../../../../lib/server/http/respond';
import { store } from '$lib/server/store';
import { inThread } from '../../../../../../lib/server/workers';
import { storedPreferences } from '../../../../../../lib/server/preferences';

/** A sheet of a plan as PDF, in the workshop's own units, on its own paper or the one asked for. */
export const GET = async ({ params, url }) => {
  const { db } = await store();
  const found = await findPlan(db, params.id);
  if (!found) return notHere('plan', params.id);
  const { plan } = found;
  const kind = params.sheet as SheetKind;
  const [shelf, learned, kept] = await Promise.all([
    wholeShelf(db),
    learnedOf(db, plan, Date.now()),
    storedPreferences(db)
  ]);
  const ways = kept ?? USUAL_PREFERENCES;
  const size = paperOf(url.searchParams.get('paper'), ways.paper);
  const pdf = await inThread('sheet', {
    kind,
    size,
    of: { plan, shelf: shelfOf(plan, shelf), learned, ways }
  });
  return pdfResponse(pdf, `${plan.id}-${kind}`);
};
