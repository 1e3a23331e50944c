/**
 * A fault that a person can act on: one plain sentence and its mend. Anything else that goes wrong
 * is a fault of the program.
 */
export class Fault extends Error {
  readonly code:
    | 'disk-full'
    | 'store-readonly'
    | 'not-readable'
    | 'copy-failed'
    | 'took-too-long'
    | 'too-busy'
    /** The file of the database is not the one that was opened. */
    | 'file-gone'
    /** The database's server does not answer, or went away meanwhile. */
    | 'unreachable'
    /** What was sent is no backup, or a damaged one. */
    | 'no-backup'
    /** A precondition that cannot be read. */
    | 'if-match-unreadable'
    /** An id that is taken by something else. */
    | 'id-taken';
  readonly mend: string;

  constructor(code: Fault['code'], sentence: string, mend: string) {
    super(sentence);
    this.name = 'Fault';
    this.code = code;
    this.mend = mend;
  }
}

/** The codes an error and its causes carry. */
export function codesOf(error: unknown): string {
  const parts: string[] = [];
  for (let e: unknown = error, depth = 0; e && depth < 5; depth++) {
    if (typeof e !== 'object') break;
    if ('code' in e) parts.push(String(e.code));
    if ('rawCode' in e) parts.push(String(e.rawCode));
    if ('name' in e) parts.push(String(e.name));
    if ('message' in e) parts.push(String(e.message));
    e = 'cause' in e ? e.cause : undefined;
  }
  return parts.join(' ');
}

/** What a person can do about an error of the store; undefined where it is a fault of the program. */
export function faultOf(error: unknown, where: string): Fault | undefined {
  if (error instanceof Fault) return error;
  const codes = codesOf(error);
  if (/SQLITE_FULL|ENOSPC|disk is full/.test(codes))
    return new Fault(
      'disk-full',
      `The disk that holds ${where} is full: nothing more can be stored.`,
      'Make room on it, then try again; nothing that was stored is lost.'
    );
  // A write that broke off: a quota, a limit on the file's size, a disk taken away.
  if (/SQLITE_IOERR|EFBIG|EDQUOT|disk I\/O error/.test(codes))
    return new Fault(
      'disk-full',
      `The disk that holds ${where} takes no more: it is full, over its quota, or failing.`,
      'Make room on it or mend it, then try again; nothing that was stored is lost.'
    );
  if (/SQLITE_READONLY|EACCES|EROFS|EPERM|readonly database|attempt to write/.test(codes))
    return new Fault(
      'store-readonly',
      `The database ${where} cannot be written.`,
      'Check who owns the file and its folder, and that its disk is not read-only.'
    );
  if (/SQLITE_NOTADB|SQLITE_CORRUPT|not a database|malformed/.test(codes))
    return new Fault(
      'not-readable',
      `The database ${where} is damaged, or is no database.`,
      'Put a backup in its place (see the folder “backups” beside it), or name another with KIRAPEN_DB.'
    );
  if (
    /ECONNREFUSED|ENOTFOUND|EAI_AGAIN|ECONNRESET|EHOSTUNREACH|TimeoutError|timeout|fetch failed/.test(codes)
  )
    return new Fault(
      'unreachable',
      `The database server ${where} does not answer.`,
      'Check its address in KIRAPEN_DB, the network, and that it runs.'
    );
  if (/HTTP status 40[13]|SERVER_ERROR.*40[13]|Unauthorized/i.test(codes))
    return new Fault(
      'not-readable',
      `The database server ${where} does not let Kirapen in.`,
      'Give its token with KIRAPEN_DB_TOKEN.'
    );
  if (/SQLITE_CANTOPEN|ENOENT|ENOTDIR|unable to open/i.test(codes))
    return new Fault(
      'not-readable',
      `The database ${where} cannot be opened.`,
      'Check that its folder is there and can be entered, or name another with KIRAPEN_DB.'
    );
  return undefined;
}

/** What a person can do about an error that reading the store met; undefined where it is none of the store's. */
export function faultOfRead(error: unknown): Fault | undefined {
  const ofStore = error instanceof Fault || /Failed query:|LibsqlError/.test(codesOf(error));
  return ofStore ? faultOf(error, 'of the workshop') : undefined;
}
