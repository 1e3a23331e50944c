import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { piecesIn } from '$core/document';
import { Piece } from '$core/inspect';
import { findRun, piecesOf, runExists, savePiece } from '$lib/server/database';
import { problem } from '../../../../../../lib/server/http/body';
import { notHere, readBody, refuse, taken } from '../../../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

/** Ends a write that would take another piece's id: nothing of it is stored. */
class Taken extends Error {}

export const GET = async ({ params }) => {
  const { db } = await store();
  if (!(await runExists(db, params.id))) return notHere('run', params.id);
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
  const groups = new Map(run.frozen.file.plan.groups.map((g) => [g.id, piecesIn(g)]));
  const stray = pieces.find((p) => p.number > (groups.get(p.groupId) ?? 0));
  if (stray)
    return refuse([
      problem(
        'piece-not-cast',
        `This run cast no piece ${stray.number} in “${stray.groupId}”.`,
        'Check the group and the number.'
      )
    ]);
  const clash = await opened
    .write(async () => {
      for (const piece of pieces)
        if ((await savePiece(opened, params.id, piece, Date.now())) === 'taken') throw new Taken(piece.id);
      return undefined;
    })
    .catch((error: unknown) => {
      if (error instanceof Taken) return error.message;
      throw error;
    });
  if (clash !== undefined) return taken('piece', clash);
  return json(await piecesOf(opened.db, params.id));
};
