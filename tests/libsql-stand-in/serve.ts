// npx tsx tests/libsql-stand-in/serve.ts FILE [PORT]: a database behind the protocol, until it is ended.
import { StandIn } from './server';

const [file, port = '8090'] = process.argv.slice(2);
if (!file) {
  console.error('Name the file of the database: npx tsx tests/libsql-stand-in/serve.ts /tmp/shared.db 8090');
  process.exit(1);
}
const standIn = await StandIn.begin(file, { port: Number(port), token: process.env.KIRAPEN_DB_TOKEN });
console.log(`A stand-in for a libSQL server is at ${standIn.url}`);
process.once('SIGTERM', () => void standIn.end().then(() => process.exit(0)));
