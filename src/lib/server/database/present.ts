import { and, eq, lt, ne, sql } from 'drizzle-orm';
import type { Store } from './connection';
import { present } from './schema';

/** A server that has not said for so long who is there is gone, s. */
const GONE_AFTER_S = 25;

const since = sql<number>`unixepoch() - ${GONE_AFTER_S}`;

/** Notes who has which run open at this server, in place of what was noted before; `changed` runs are told to others. */
export async function notePresent(
  store: Store,
  here: readonly { runId: string; device: string }[],
  changed: readonly string[]
): Promise<void> {
  await store.write(async (tx, tell) => {
    await tx.delete(present).where(eq(present.server, store.name));
    await tx.delete(present).where(lt(present.seenAt, since));
    if (here.length)
      await tx
        .insert(present)
        .values(here.map((h) => ({ ...h, server: store.name, seenAt: sql`unixepoch()` })));
    for (const id of changed) tell({ kind: 'present', id, revision: 0 });
  });
}

/** Who has which run open at other servers: devices by run. */
export async function presentElsewhere(store: Store): Promise<Map<string, string[]>> {
  const rows = await store.db
    .select()
    .from(present)
    .where(and(ne(present.server, store.name), sql`${present.seenAt} >= ${since}`));
  const found = new Map<string, string[]>();
  for (const { runId, device } of rows) found.set(runId, [...(found.get(runId) ?? []), device]);
  return found;
}
