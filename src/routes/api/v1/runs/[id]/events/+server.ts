import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { AnyEvent } from '$core/run';
import { addEvents, eventsOf, runExists } from '$lib/server/database';
import { taughtByRuns } from '../../../../../../lib/server/learned-history';
import { notHere, readBody } from '../../../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

export const GET = async ({ params }) => {
  const { db } = await store();
  if (!(await runExists(db, params.id))) return notHere('run', params.id);
  return json(await eventsOf(db, params.id));
};

/** Most events taken at once; a device sends what waits in portions. */
const MOST_EVENTS = 500;

const Sent = z.unknown().transform((sent, ctx): AnyEvent[] => {
  const many = Array.isArray(sent);
  if (many && sent.length > MOST_EVENTS) {
    ctx.addIssue({ code: 'custom', message: `must be at most ${MOST_EVENTS} events at once` });
    return z.NEVER;
  }
  return (many ? sent : [sent]).flatMap((raw: unknown, i) => {
    const read = AnyEvent.safeParse(raw);
    if (read.success) return [read.data];
    for (const issue of read.error.issues)
      ctx.addIssue({ ...issue, path: [...(many ? [i] : []), ...issue.path] } as Parameters<
        typeof ctx.addIssue
      >[0]);
    return [];
  });
});

/** Takes one event or a list of them; an id that is here already is stored once. */
export const POST = async ({ params, request }) => {
  const body = await readBody(request, Sent);
  if ('refused' in body) return body.refused;
  const opened = await store();
  if (!(await runExists(opened.db, params.id))) return notHere('run', params.id);
  await addEvents(opened, params.id, body.value);
  await taughtByRuns.forget(opened, params.id);
  return json({ stored: body.value.map((e) => e.id) }, { status: 201 });
};
