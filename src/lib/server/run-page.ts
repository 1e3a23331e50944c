import { error } from '@sveltejs/kit';
import { readRun, type Db, type Run } from './database';

/** The run that a page is about; ends the request in words where it is not here or cannot be read. */
export async function runOfPage(db: Db, id: string): Promise<Run> {
  const read = await readRun(db, id);
  if (!read) error(404, { message: 'This run is not here.', mend: 'See the record for all runs.' });
  if (!read.ok)
    error(422, {
      message: `This run cannot be read: ${read.broken.problems[0]?.sentence ?? 'its text is damaged.'}`,
      mend: 'Mend, export or delete it from the record.'
    });
  return read.value;
}
