import { guessedPreferences, Preferences } from '$core/preferences';
import { findSetting, saveSetting, type Db, type Store } from './database';

const NAME = 'ways';

/** The workshop's own ways as kept, or undefined where nobody has said them, or what is kept cannot be read. */
export async function storedPreferences(db: Db): Promise<Preferences | undefined> {
  const text = await findSetting(db, NAME);
  if (text === undefined) return undefined;
  try {
    const read = Preferences.safeParse(JSON.parse(text));
    return read.success ? read.data : undefined;
  } catch {
    return undefined;
  }
}

/** Keeps them. */
export const storePreferences = (store: Store, ways: Preferences): Promise<void> =>
  saveSetting(store, NAME, JSON.stringify(ways));

/** The ways a browser's first language suggests: proposed, never applied unasked. */
export const proposedPreferences = (request: Request): Preferences =>
  guessedPreferences(request.headers.get('accept-language')?.split(/[,;]/)[0]?.trim() || 'en-GB');
