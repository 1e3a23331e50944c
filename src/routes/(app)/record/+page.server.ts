import { wilson } from '$core/inspect';
import { brokenRuns, inspectedCounts, RECORD_PAGE, recordPage, type RecordAsked } from '$lib/server/database';
import { store } from '$lib/server/store';

const ONLY = ['all', 'rejects', 'open', 'lessons'] as const;

export const load = async ({ url }) => {
  const { db } = await store();
  const asked: RecordAsked = {
    words: url.searchParams.get('q')?.slice(0, 200) ?? '',
    only: ONLY.find((o) => o === url.searchParams.get('only')) ?? 'all',
    page: Math.max(0, Math.min(10_000, Number(url.searchParams.get('page')) || 0))
  };
  const [page, counts] = await Promise.all([recordPage(db, asked), inspectedCounts(db)]);
  return {
    asked,
    runs: page.rows,
    of: page.of,
    perPage: RECORD_PAGE,
    broken: await brokenRuns(
      db,
      page.rows.map((r) => r.id)
    ),
    rejects: { ...counts, ...wilson(counts.rejected, counts.inspected) }
  };
};
