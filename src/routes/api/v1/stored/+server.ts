import { z } from 'zod';
import { Plan } from '$core/plan';
import {
  CARD_SCHEMAS,
  deleteDocument,
  findRow,
  isDocumentKind,
  mendDocument,
  removeRun,
  storedText
} from '$lib/server/database';
import { taughtByRuns } from '../../../../lib/server/learned-history';
import { answerWrite, notHere, readBody } from '../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

const asked = (url: URL) => ({
  kind: url.searchParams.get('kind') ?? '',
  id: url.searchParams.get('id') ?? ''
});

/** Something stored as it is, readable or not: its text. */
export const GET = async ({ url }) => {
  const { kind, id } = asked(url);
  const { db } = await store();
  const text = await storedText(db, kind, id);
  if (text === undefined) return notHere('stored thing', id);
  return new Response(text, {
    headers: {
      'content-type': 'text/plain; charset=utf-8',
      'content-disposition': `attachment; filename="${kind}-as-stored.json"`
    }
  });
};

/** Puts a mended document in the place of a stored one that cannot be read; its id may be another from then on. */
export const PUT = async ({ url, request }) => {
  const { kind, id } = asked(url);
  if (!isDocumentKind(kind)) return notHere('stored thing', id);
  const opened = await store();
  if (!(await findRow(opened.db, kind, id))) return notHere('stored thing', id);
  const schema: z.ZodType<{ id: string; name: string }> = kind === 'plans' ? Plan : CARD_SCHEMAS[kind];
  const body = await readBody(request, schema);
  if ('refused' in body) return body.refused;
  return answerWrite('one', body.value, await mendDocument(opened, { kind, id }, body.value, Date.now()));
};

/** Deletes something stored, whatever its id looks like. */
export const DELETE = async ({ url }) => {
  const { kind, id } = asked(url);
  const opened = await store();
  await taughtByRuns.forget(opened, id);
  const gone =
    kind === 'runs'
      ? await removeRun(opened, id)
      : isDocumentKind(kind) && (await deleteDocument(opened, kind, id, Date.now()));
  return gone ? new Response(null, { status: 204 }) : notHere('stored thing', id);
};
