import { StoredId } from '$core/id';
import type { Row, TableName } from './tables';

/** Where a row names itself or another: in ids that stand in addresses and paths. */
const IDS = ['id', 'runId', 'planId', 'pieceId', 'cardId'] as const;
/** Where a row keeps a document as text. */
const DOCUMENTS = ['card', 'document', 'snapshot', 'frozen', 'body', 'report', 'about'] as const;

/** A JPEG begins so; every photo is made one before it is kept. */
const isJpeg = (bytes: Uint8Array): boolean => bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff;

/**
 * What of a row from elsewhere could not have been written here: an id that is none, a document that is no JSON, a photo that is
 * no picture. Undefined where there is nothing. What a document says is checked where it is read, as always.
 */
export function rowFault(table: TableName, row: Row): string | undefined {
  // An event is named by the device that told it, within its run.
  const own = table === 'events' ? IDS.slice(1) : IDS;
  for (const key of own) {
    const id = row[key];
    if (typeof id === 'string' && !StoredId.safeParse(id).success)
      return `has “${id.slice(0, 40)}” for an id`;
  }
  for (const key of DOCUMENTS) {
    const text = row[key];
    if (typeof text === 'string' && !isJson(text)) return `has a text in “${key}” that is no document`;
  }
  if (row.bytes instanceof Uint8Array && !isJpeg(row.bytes)) return 'has a photo that is no picture';
  return undefined;
}

function isJson(text: string): boolean {
  try {
    const value: unknown = JSON.parse(text);
    return typeof value === 'object';
  } catch {
    return false;
  }
}
