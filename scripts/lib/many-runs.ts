import { sql } from 'drizzle-orm';
import { cards } from '../../demo/cards';
import { samphire } from '../../demo/plans';
import { freeze } from '../../src/core/run';
import { loadDemo } from '../../src/lib/server/demo';
import { openStore } from '../../src/lib/server/database';

/** How much is invented: runs, pieces and events of each run. */
export const MANY = { runs: 5000, pieces: 12, events: 80 } as const;

/** A database of the demo and so many runs beside it: pieces, events and lessons of each. */
export async function databaseOf(path: string, runs: number): Promise<void> {
  const store = await openStore(path, 'drizzle');
  const now = Date.now();
  await loadDemo(store, now);
  if (runs) {
    const { file, ...rest } = freeze(
      { ...samphire, groups: samphire.groups.map((g) => ({ ...g, count: MANY.pieces })) },
      cards
    );
    const [snapshot, frozen] = [JSON.stringify(file), JSON.stringify(rest)];
    const numbers = (n: number) =>
      sql`WITH RECURSIVE n(i) AS (SELECT 0 UNION ALL SELECT i + 1 FROM n WHERE i + 1 < ${n})`;
    await store.write(async (tx) => {
      await tx.run(sql`${numbers(runs)} INSERT INTO runs (id, plan_id, name, snapshot, frozen, started_at, finished_at)
        SELECT 'big-' || i, 'samphire-hooks', 'Samphire hooks, turn ' || i, ${snapshot}, ${frozen},
          ${now} - (i + 30) * 7200000, ${now} - (i + 30) * 7200000 + 3600000 FROM n`);
      await tx.run(sql`${numbers(MANY.pieces)} INSERT INTO pieces (id, run_id, group_id, number, grade, report, changed_at)
        SELECT r.id || '-' || i, r.id, 'hooks', i + 1, CASE WHEN (i * 7 + length(r.id)) % 11 = 0 THEN 'reject' ELSE 'good' END,
          json_object('id', r.id || '-' || i, 'groupId', 'hooks', 'number', i + 1, 'note', 'piece ' || i,
            'faces', json_array(json_object('face', 'mould face', 'grade', 'good', 'defects', json_array()))),
          r.started_at FROM runs r, n WHERE r.id LIKE 'big-%'`);
      const told = rest.tasks.flatMap((t) =>
        t.kind === 'weigh'
          ? [{ type: 'weighed', task: t.id, grams: t.grams }]
          : [{ type: 'done', task: t.id }]
      );
      for (let e = 0; e < MANY.events; e++) {
        const body = JSON.stringify(told[e] ?? { type: 'note', text: `bubble ${e}` });
        await tx.run(sql`INSERT INTO events (id, run_id, at, body)
          SELECT 'event-' || ${1000 + e}, id, started_at + ${e * 40_000},
            json_patch(${body}, json_object('id', 'event-' || ${1000 + e}, 'at', started_at + ${e * 40_000}))
          FROM runs WHERE id LIKE 'big-%'`);
      }
      await tx.run(sql`INSERT INTO lessons (id, run_id, text, learned_at)
        SELECT 'lesson-' || id, id, 'turn ' || id || ': warm the liquid', started_at FROM runs WHERE id LIKE 'big-%9'`);
    });
  }
  await store.close();
}
