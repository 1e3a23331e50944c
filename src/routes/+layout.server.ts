import { USUAL_PREFERENCES } from '$core/preferences';
import { store } from '$lib/server/store';
import { storedPreferences } from '../lib/server/preferences';

/** How every page says its figures: the workshop's own ways, or the usual metric ones until they are kept. */
export const load = async ({ depends, url }) => {
  depends('kirapen:ways');
  // Who has not signed in is told nothing of the workshop, its units included.
  if (url.pathname === '/sign-in') return { ways: USUAL_PREFERENCES };
  const { db } = await store();
  return { ways: (await storedPreferences(db)) ?? USUAL_PREFERENCES };
};
