import { inArray, sql, type SQL } from 'drizzle-orm';
import { acts } from '$core/pour';
import { PlanFile } from '$core/plan';
import { Initials } from '$core/preferences';
import type { Db, Store } from './connection';
import { runFacets } from './schema';

/** What runs are found by besides words: each kind of it, as it stands in an address. */
export const FACETS = ['material', 'mould', 'colour', 'act', 'person'] as const;
export type Facet = (typeof FACETS)[number];
/** Noted as well, and not asked for by itself: who poured. */
type Noted = Facet | 'pourer';

/** Runs that are read at once when facets are worked out for those that lack them. */
const AT_ONCE = 100;

/** What a run is found by, by the plan it was begun with: by names, as they were then. */
export function facetsOf({ plan, shelf }: PlanFile): { kind: Facet; value: string }[] {
  const named = (all: readonly { id: string; name: string }[], ids: readonly string[]) =>
    all.filter((x) => ids.includes(x.id)).map((x) => x.name);
  const of: [Facet, string[]][] = [
    [
      'material',
      named(
        shelf.bases,
        plan.mixes.map((m) => m.baseId)
      )
    ],
    [
      'mould',
      named(
        shelf.moulds,
        plan.groups.map((g) => g.mouldId)
      )
    ],
    ['colour', plan.cups.map((c) => c.name)],
    ['act', plan.steps.flatMap((s) => (s.muted ? [] : (acts.find(s.act.kind)?.name ?? [])))]
  ];
  return of.flatMap(([kind, values]) => [...new Set(values)].map((value) => ({ kind, value })));
}

/** Notes what a run is found by; what is noted already stays. */
export async function noteFacets(
  tx: Db,
  runId: string,
  facets: readonly { kind: Noted; value: string }[]
): Promise<void> {
  if (facets.length)
    await tx
      .insert(runFacets)
      .values(facets.map((f) => ({ runId, ...f })))
      .onConflictDoNothing();
}

/** Notes what runs are found by that came from elsewhere, or were begun before it was noted. One that cannot be read is passed over. */
export async function noteMissingFacets(store: Store): Promise<void> {
  for (let after = ''; ;) {
    const rows = await store.db.all<{ id: string; snapshot: string; signed: string }>(sql`
      SELECT r.id, r.snapshot,
        (SELECT json_group_array(json_object('by', json_extract(e.body, '$.by'), 'task', json_extract(e.body, '$.task')))
          FROM events e WHERE e.run_id = r.id) AS signed
      FROM runs r
      WHERE r.id > ${after} AND NOT EXISTS (SELECT 1 FROM run_facets f WHERE f.run_id = r.id)
      ORDER BY r.id LIMIT ${AT_ONCE}`);
    if (!rows.length) return;
    await store.write(async (tx) => {
      for (const row of rows) await noteFacets(tx, row.id, read(row));
    });
    after = rows.at(-1)!.id;
  }
}

/** Whose hands events were, and who of them poured. */
export function handsIn(
  events: readonly { by?: unknown; task?: unknown }[]
): { kind: Noted; value: string }[] {
  const named = events.flatMap(({ by, task }) => {
    const read = Initials.safeParse(by);
    return read.success ? [{ value: read.data, poured: String(task).startsWith('pour:') }] : [];
  });
  const each = (kind: Noted, all: typeof named) =>
    [...new Set(all.map((n) => n.value))].map((value) => ({ kind, value }));
  return [
    ...each('person', named),
    ...each(
      'pourer',
      named.filter((n) => n.poured)
    )
  ];
}

function read({ snapshot, signed }: { snapshot: string; signed: string }): { kind: Noted; value: string }[] {
  try {
    const file = PlanFile.safeParse(JSON.parse(snapshot));
    return [
      ...(file.success ? facetsOf(file.data) : []),
      ...handsIn(JSON.parse(signed) as { by?: unknown }[])
    ];
  } catch {
    return [];
  }
}

/** What some runs are found by. */
export const facetsOfRuns = (
  db: Db,
  runIds: readonly string[]
): Promise<{ runId: string; kind: string; value: string }[]> =>
  runIds.length
    ? db
        .select()
        .from(runFacets)
        .where(inArray(runFacets.runId, [...runIds]))
    : Promise.resolve([]);

/** Every value that runs can be found by, by kind and in the order of the alphabet. */
export async function facetValues(db: Db): Promise<Record<Facet, string[]>> {
  const rows = await db.all<{ kind: Facet; value: string }>(
    sql`SELECT DISTINCT kind, value FROM run_facets ORDER BY kind, value COLLATE NOCASE`
  );
  return Object.fromEntries(
    FACETS.map((kind) => [kind, rows.filter((r) => r.kind === kind).map((r) => r.value)])
  ) as Record<Facet, string[]>;
}

/** The runs (as `r`) that have a value of a kind. */
export const havingFacet = (kind: Facet, value: string): SQL =>
  sql`r.id IN (SELECT f.run_id FROM run_facets f WHERE f.kind = ${kind} AND f.value = ${value})`;
