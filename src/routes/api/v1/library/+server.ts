import { json } from '@sveltejs/kit';
import { startingLibrary } from '$core/shelf';
import { findRow, saveCard } from '$lib/server/database';
import { store } from '$lib/server/store';

/** Puts the starting library on the shelf; a card that is there under the same id is left alone. */
export const POST = async () => {
  const opened = await store();
  const added = await opened.write(async (tx) => {
    let count = 0;
    for (const kind of ['bases', 'colourants', 'scales', 'vessels'] as const) {
      for (const card of startingLibrary[kind]) {
        if (await findRow(tx, kind, card.id)) continue;
        await saveCard(opened, kind, card as never, { basedOn: 'new', now: Date.now() });
        count++;
      }
    }
    return count;
  });
  return json({ added }, { status: 201 });
};
