import { z } from 'zod';
import { USUAL_TOLERANCE } from '$core/inspect';
import { problemsOf } from '$core/validate';
import { USUAL_PREFERENCES } from '$core/preferences';
import { findRun } from '$lib/server/database';
import { paperOf } from '../../../../../../lib/server/print';
import { picturePng } from '../../../../../../lib/server/http/picture';
import { notHere, pdfResponse, refuse } from '../../../../../../lib/server/http/respond';
import { store } from '$lib/server/store';
import { inThread } from '../../../../../../lib/server/workers';
import { storedPreferences } from '../../../../../../lib/server/preferences';

/** What is agreed to differ: a colour by ΔE00, a weight in percent. */
const Agreed = z.object({
  deltaE: z.coerce.number().min(0).max(20).default(USUAL_TOLERANCE.deltaE),
  weight: z.coerce
    .number()
    .min(0)
    .max(50)
    .default(USUAL_TOLERANCE.weight * 100)
});

/** The sheet for a buyer of a run as PDF, with the tolerances asked for. */
export const GET = async ({ params, url }) => {
  const agreed = Agreed.safeParse(Object.fromEntries(url.searchParams));
  if (!agreed.success) return refuse(problemsOf(agreed.error, 'buyer'));
  const { db } = await store();
  const run = await findRun(db, params.id);
  if (!run) return notHere('run', params.id);
  const { plan, shelf } = run.frozen.file;
  const [picture, kept] = await Promise.all([picturePng(plan, shelf), storedPreferences(db)]);
  const ways = kept ?? USUAL_PREFERENCES;
  const pdf = await inThread('buyer', {
    size: paperOf(url.searchParams.get('paper'), ways.paper),
    of: {
      name: run.name,
      startedAt: run.startedAt,
      plan,
      computed: run.frozen.computed,
      tolerance: { deltaE: agreed.data.deltaE, weight: agreed.data.weight / 100 },
      picture,
      ways
    }
  });
  return pdfResponse(pdf, `${run.id}-buyer`);
};
