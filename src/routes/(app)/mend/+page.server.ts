import { error } from '@sveltejs/kit';
import { brokenAt, storedText } from '$lib/server/database';
import { store } from '$lib/server/store';

export const load = async ({ url }) => {
  const kind = url.searchParams.get('kind') ?? '';
  const id = url.searchParams.get('id') ?? '';
  const { db } = await store();
  const text = await storedText(db, kind, id);
  if (text === undefined)
    error(404, { message: 'There is nothing to mend here.', mend: 'Go back to the list.' });
  const broken = await brokenAt(db, kind, id);
  return { kind, id, text, problems: broken?.problems ?? [], name: broken?.name ?? id };
};
