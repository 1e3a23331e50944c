import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { Piece } from '$core/inspect';
import { findRun, piecesOf, savePiece } from '$lib/server/database';
import { notHere, problem, readBody, refuse } from '$lib/server/respond';
import { store } from '$lib/server/store';

export const GET = async ({ params }) => {
  const { db } = await store();
  if (!(await findRun(db, params.id))) return notHere('run', params.id);
  return json(await piecesOf(db, params.id));
};

/** Stores the inspection of one piece or several. A piece that the run did not cast is refused. */
export const PUT = async ({ params, request }) => {
  const body = await readBody(request, z.union([Piece, z.array(Piece).max(500)]));
  if ('refused' in body) return body.refused;
  const opened = await store();
  const run = await findRun(opened.db, params.id);
  if (!run) return notHere('run', params.id);
  const pieces = Array.isArray(body.value) ? body.value : [body.value];
  const groups = new Map(run.snapshot.plan.groups.map((g) => [g.id, g.count]));
  const stray = pieces.find((p) => p.number > (groups.get(p.groupId) ?? 0));
  if (stray)
    return refuse([
      problem(
        'piece-not-cast',
        `This run cast no piece ${stray.number} in “${stray.groupId}”.`,
        'Check the group and the number.'
      )
    ]);
  await opened.write(async () => {
    for (const piece of pieces) await savePiece(opened, params.id, piece, Date.now());
  });
  return json(await piecesOf(opened.db, params.id));
};
