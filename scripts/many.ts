// npm run many -- FILE: the demo with thousands of invented runs beside it, as a database of its own to open and look at.
import { existsSync } from 'node:fs';
import { databaseOf, MANY } from './lib/many-runs';

const [path] = process.argv.slice(2);
if (!path || existsSync(path)) {
  console.error(
    path ? `${path} is there already: name another.` : 'Name the file: npm run many -- /tmp/many.db'
  );
  process.exit(1);
}
await databaseOf(path, MANY.runs);
console.log(
  `${path} holds ${MANY.runs} runs, ${MANY.runs * MANY.pieces} pieces and ${MANY.runs * MANY.events} events beside the demo.\n` +
    `Open it with: KIRAPEN_DB=${path} npm start`
);
