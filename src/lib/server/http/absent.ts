import { brokenAt, type Db } from '../database';
import { problem } from './body';
import { notHere, refuse } from './respond';

/** Answers for a document that was not found: it is not there, or it is and cannot be read. */
export async function absent(db: Db, kind: string, id: string, what: string): Promise<Response> {
  const broken = await brokenAt(db, kind, id);
  if (!broken) return notHere(what, id);
  return refuse([
    problem(
      'not-readable',
      `The ${what} “${id.slice(0, 80)}” cannot be read as it is stored.`,
      'Open it under Workshop, where it can be mended, downloaded or deleted.'
    )
  ]);
}
