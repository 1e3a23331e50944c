import pino from 'pino';

/** The server's log: one JSON line an event, to standard output. */
export const log = pino({ level: process.env.KIRAPEN_LOG ?? 'info' });
