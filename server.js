// The built application behind a plain HTTP server: both localhost and 127.0.0.1 are accepted as origins,
// foreign ones refused; on SIGTERM or SIGINT streams end, queued writes finish, the database is closed.
import { createServer } from 'node:http';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';

process.env.KIRAPEN_HOME ??= dirname(fileURLToPath(import.meta.url));
// How much each request may send is held to by the application: a restore may be large, a passphrase may not.
process.env.BODY_SIZE_LIMIT ??= 'Infinity';
process.env.PROTOCOL_HEADER ??= 'x-forwarded-proto';

/** Says what stands in the way, in one sentence and its mend, and ends. */
function refuse(/** @type {string} */ sentence, mend = '') {
  console.error(mend ? `${sentence}\n${mend}` : sentence);
  process.exit(1);
}

const host = process.env.HOST || '127.0.0.1';
process.env.HOST = host;
const port = Number(process.env.PORT || 5180);
if (!Number.isInteger(port) || port < 1 || port > 65535)
  refuse(`“${process.env.PORT}” is no port.`, 'Choose one from 1 to 65535: PORT=5190 npm start');

const { handler } = await import('./build/handler.js').catch((/** @type {unknown} */ error) => {
  const { message = 'The server cannot start.', mend, code } = /** @type {any} */ (error ?? {});
  if (code === 'ERR_MODULE_NOT_FOUND' && /build.handler/.test(message))
    refuse('The application is not built yet.', 'Start it with npm start, which builds it.');
  return refuse(message, mend);
});

/** On every response, files too: no guessing of types, no framing, nothing told to other sites. */
const ALWAYS = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(self), geolocation=(), payment=()',
  // Of scripts and pictures; pages and data have their own, which is narrower.
  'content-security-policy': "default-src 'self'; frame-ancestors 'none'"
};

const server = createServer((request, response) => {
  if (!process.env.KIRAPEN_BEHIND_PROXY) request.headers['x-forwarded-proto'] = 'http';
  for (const [name, value] of Object.entries(ALWAYS)) response.setHeader(name, value);
  handler(request, response);
});

server.on('error', (error) => {
  const { code } = /** @type {NodeJS.ErrnoException} */ (error);
  if (code === 'EADDRINUSE')
    refuse(`Port ${port} is in use.`, 'Stop what runs there, or choose another: PORT=5190 npm start');
  if (code === 'EACCES')
    refuse(`Port ${port} is not for everyone.`, 'Choose one above 1023: PORT=5190 npm start');
  if (code === 'EADDRNOTAVAIL' || code === 'ENOTFOUND')
    refuse(
      `This machine has no address “${host}”.`,
      'Leave HOST out, or use 0.0.0.0 for every address it has.'
    );
  refuse(`The server cannot start: ${error.message}`);
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
