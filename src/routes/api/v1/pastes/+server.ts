import { json } from '@sveltejs/kit';
import { addMonths } from 'date-fns/addMonths';
import { z } from 'zod';
import { PASTE_CARRIERS, shelvedPaste } from '$core/shelf';
import { newId } from '$lib/id';
import { findCard, saveCard } from '$lib/server/database';
import { notHere, readBody, refuse } from '../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

const cost = z.number().nonnegative('cannot be less than nothing').max(1_000_000).optional();

/** A paste that was made: of which pigment, in what, how much and how strong, and what its parts cost a gram. */
const Made = z.object({
  pigmentId: z.string().min(1).max(60),
  carrier: z.enum(PASTE_CARRIERS.map((c) => c.carrier)),
  /** The material whose part carries it. */
  carrierOf: z.string().min(1).max(80).optional(),
  make: z.number(),
  fraction: z.number(),
  division: z.number().positive(),
  /** What really went in, where that was kept: so much of this, so much of that. */
  put: z
    .array(
      z.object({
        of: z.enum(['pigment', 'carrier']),
        amount: z.number().positive('must be more than nothing').max(100_000),
        by: z.enum(['g', '⅛ tsp', 'drops']),
        each: z.number().positive().max(100).optional()
      })
    )
    .max(60)
    .optional(),
  shelfMonths: z.int().min(1).max(240),
  pigmentCost: cost,
  carrierCost: cost
});

/** Puts a paste on the shelf, its card and its lot together or neither. */
export const POST = async ({ request }) => {
  const body = await readBody(request, Made, 'paste');
  if ('refused' in body) return body.refused;
  const { pigmentId, carrier, carrierOf, shelfMonths, ...order } = body.value;
  const opened = await store();
  const pigment = await findCard(opened.db, 'colourants', pigmentId);
  if (!pigment) return notHere('colourant', pigmentId);
  const now = Date.now();
  const shelved = shelvedPaste(
    {
      pigment,
      carrier,
      carrierOf,
      order,
      shelfMonths,
      madeAt: now,
      useBy: addMonths(now, shelfMonths).getTime()
    },
    { card: newId(), lot: newId() }
  );
  if (!shelved.ok) return refuse([shelved.problem]);
  const { card, lot } = shelved.value;
  await opened.write(async () => {
    await saveCard(opened, 'colourants', card, { basedOn: 'new', now });
    await saveCard(opened, 'lots', lot, { basedOn: 'new', now });
  });
  return json({ card, lot }, { status: 201 });
};
