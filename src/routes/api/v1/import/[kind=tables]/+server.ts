import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { readTable, type TableKind } from '$core/shelf';
import { newId } from '$lib/id';
import { listCards, saveCard } from '$lib/server/database';
import { readBody, refuse } from '../../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

const Sent = z.object({
  /** The table as CSV, headings first. */
  text: z.string().max(4_000_000),
  /** Which column, by its place from 0, fills which field; by the headings when absent. */
  mapping: z.record(z.string().max(40), z.number().int().min(0).max(200)).optional(),
  /** Stores the cards; without it the table is only read. */
  keep: z.boolean().default(false)
});

/** Most problems that are told at once. */
const MOST_PROBLEMS = 50;

/** Reads a table into cards; with `keep` stores all of them, or none where one row is wrong. */
export const POST = async ({ params, request }) => {
  const body = await readBody(request, Sent);
  if ('refused' in body) return body.refused;
  const kind = params.kind as TableKind;
  const { text, mapping, keep } = body.value;
  const opened = await store();
  const colourants = await listCards(opened.db, 'colourants');
  const read = readTable(kind, text, { idOf: () => newId(), today: Date.now(), colourants }, mapping);
  if (!read.ok) return refuse([read.problem]);
  if (!keep) return json(read.value);
  const problems = read.value.rows.flatMap((r) => r.problems);
  if (problems.length) return refuse(problems.slice(0, MOST_PROBLEMS));
  await opened.write(async () => {
    for (const { card } of read.value.rows)
      await saveCard(opened, kind, card as never, { basedOn: 'new', now: Date.now() });
  });
  return json({ stored: read.value.rows.length }, { status: 201 });
};
