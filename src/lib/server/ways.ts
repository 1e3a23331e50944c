import { guessedWays, Ways } from '$core/ways';
import { findSetting, saveSetting, type Db, type Store } from './database';

const NAME = 'ways';

/** The workshop's own ways as kept, or undefined where nobody has said them, or what is kept cannot be read. */
export async function keptWays(db: Db): Promise<Ways | undefined> {
  const text = await findSetting(db, NAME);
  if (text === undefined) return undefined;
  try {
    const read = Ways.safeParse(JSON.parse(text));
    return read.success ? read.data : undefined;
  } catch {
    return undefined;
  }
}

/** Keeps them. */
export const keepWays = (store: Store, ways: Ways): Promise<void> =>
  saveSetting(store, NAME, JSON.stringify(ways));

/** The ways a browser's first language suggests: proposed, never applied unasked. */
export const proposedWays = (request: Request): Ways =>
  guessedWays(request.headers.get('accept-language')?.split(/[,;]/)[0]?.trim() || 'en-GB');
