// npm run demo [-- --fresh]: installs, builds, migrates, loads the demo workshop and starts it.
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { build, install, ROOT, serve } from './lib/shell.js';

install();
build();
const database = process.env.KIRAPEN_DB ?? join(ROOT, 'data/demo.db');
if (process.argv.includes('--fresh')) {
  for (const tail of ['', '-wal', '-shm']) rmSync(database + tail, { force: true });
  console.log('The demo starts over.');
}
serve({ KIRAPEN_DEMO: '1', KIRAPEN_DB: database });
