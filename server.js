// The built application behind a plain HTTP server: both localhost and 127.0.0.1 are accepted as origins,
// foreign ones refused; on SIGTERM or SIGINT streams end, queued writes finish, the database is closed.
import { createServer } from 'node:http';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';

process.env.KIRAPEN_HOME ??= dirname(fileURLToPath(import.meta.url));
process.env.BODY_SIZE_LIMIT ??= '26M';
process.env.PROTOCOL_HEADER ??= 'x-forwarded-proto';

const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 5180);
const { handler } = await import('./build/handler.js');

const server = createServer((request, response) => {
  if (!process.env.KIRAPEN_BEHIND_PROXY) request.headers['x-forwarded-proto'] = 'http';
  handler(request, response);
});

server.on('error', (error) => {
  const taken = /** @type {NodeJS.ErrnoException} */ (error).code === 'EADDRINUSE';
  console.error(
    taken
      ? `Port ${port} is in use. Stop what runs there, or choose another: PORT=5190 npm start`
      : `The server cannot start: ${error.message}`
  );
  process.exit(1);
});
server.listen(port, host, () => console.log(`Kirapen is at http://${host}:${port}`));

let stopping = false;
function stop() {
  if (stopping) return;
  stopping = true;
  process.once('kirapen:stopped', () => process.exit(0));
  // A browser that holds its connection open must not hold the stop up for ever.
  setTimeout(() => process.exit(0), 5000).unref();
  server.close();
  server.closeIdleConnections();
  process.emit('kirapen:stop');
}
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
