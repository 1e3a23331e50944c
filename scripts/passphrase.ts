// npm run passphrase: sets the passphrase that everyone signs in with when the workshop listens on a network.
import { createInterface } from 'node:readline/promises';
import { openStore } from '../src/lib/server/database';
import { setPassphrase } from '../src/lib/server/access';

const terminal = createInterface({ input: process.stdin, output: process.stdout });
const passphrase = process.env.KIRAPEN_PASSPHRASE ?? (await terminal.question('The new passphrase: '));
terminal.close();
const store = await openStore(process.env.KIRAPEN_DB ?? 'data/kirapen.db', 'drizzle');
try {
  await setPassphrase(store, passphrase);
  console.log('It is set; everyone signs in anew.');
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
}
await store.close();
