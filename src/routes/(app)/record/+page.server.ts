import { DEFECTS, GRADES, UNGRADED, wilson } from '$core/inspect';
import {
  brokenRuns,
  FACETS,
  facetValues,
  inspectedCounts,
  noteMissingFacets,
  RECORD_PAGE,
  recordPage,
  type RecordAsked
} from '$lib/server/database';
import { store } from '$lib/server/store';

const ONLY = ['all', 'rejects', 'open', 'lessons'] as const;
/** Longest value of an address that is looked for, letters. */
const LONGEST = 200;
const DAY = /^\d{4}-\d{2}-\d{2}$/;

export const load = async ({ url }) => {
  const opened = await store();
  const { db } = opened;
  // Runs that came by an archive are found by what they are, too.
  await noteMissingFacets(opened);
  const asked = askedIn(url.searchParams);
  const [page, counts, values] = await Promise.all([
    recordPage(db, { ...asked, from: dayIn(asked.since), to: dayIn(asked.until, 1) }),
    inspectedCounts(db),
    facetValues(db)
  ]);
  return {
    asked,
    values: { ...values, grade: [...GRADES, UNGRADED], defect: [...DEFECTS] },
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

/** What an address asks of the record; what it says otherwise is passed over. */
function askedIn(params: URLSearchParams) {
  const text = (name: string) => params.get(name)?.slice(0, LONGEST) || undefined;
  const day = (name: string) => (DAY.test(params.get(name) ?? '') ? params.get(name)! : undefined);
  const having = Object.fromEntries(
    FACETS.flatMap((kind) => (text(kind) ? [[kind, text(kind)]] : []))
  ) as RecordAsked['having'];
  return {
    words: text('q') ?? '',
    only: ONLY.find((o) => o === params.get('only')) ?? ('all' as const),
    having,
    grade: [...GRADES, UNGRADED].find((g) => g === params.get('grade')),
    defect: DEFECTS.find((d) => d === params.get('defect')),
    since: day('since'),
    until: day('until'),
    page: Math.max(0, Math.min(10_000, Number(params.get('page')) || 0))
  };
}

/** The beginning of a day of the bench, ms; of so many days after it. */
function dayIn(day: string | undefined, after = 0): number | undefined {
  if (day === undefined) return undefined;
  const [year, month, date] = day.split('-').map(Number);
  return new Date(year!, month! - 1, date! + after).getTime();
}
