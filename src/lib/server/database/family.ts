import { eq, inArray, sql } from 'drizzle-orm';
import type { Plan } from '$core/plan';
import type { Db } from './connection';
import { findPlan } from './plans';
import { readRuns, type Run } from './runs';
import { plans, runs } from './schema';
import { gradesByRun } from './run-summaries';

/** A pour of a family, and how its pieces came out; a plan that was only copied on has no day. */
export interface Kin {
  kind: 'run' | 'plan';
  id: string;
  name: string;
  at?: number;
  good?: number;
  of?: number;
}

/** Where a pour comes from and what came of it. */
export interface Family {
  /** What its plan was made from, the nearest first. */
  from: Kin[];
  /** Other pours of the same plan, latest first. */
  beside: Kin[];
  /** Plans that were made from this pour, each with its own pours. */
  repeats: (Kin & { runs: Kin[] })[];
}

/** Most that is told of one generation, and generations back. */
const MOST_RUNS = 12;

/** The family of a run: by what its plan was made from, and which plans were made from it. */
export async function familyOf(db: Db, run: Run): Promise<Family> {
  const { plan } = run.frozen.file;
  const made = await db
    .select({ id: plans.id, name: plans.name })
    .from(plans)
    .where(
      sql`json_valid(${plans.document}) AND json_extract(${plans.document}, '$.madeFrom.run') = ${run.id}`
    )
    .limit(MOST_RUNS);
  const pours = await poursOf(db, [plan.id, ...made.map((p) => p.id)]);
  return {
    from: await ancestors(db, plan),
    beside: (pours.get(plan.id) ?? []).filter((k) => k.id !== run.id),
    repeats: made.map((p) => ({ kind: 'plan' as const, ...p, runs: pours.get(p.id) ?? [] }))
  };
}

/** The latest pours of each of some plans. */
async function poursOf(db: Db, planIds: readonly string[]): Promise<Map<string, Kin[]>> {
  const rows = await db
    .select({ id: runs.id, name: runs.name, at: runs.startedAt, planId: runs.planId })
    .from(runs)
    .where(inArray(runs.planId, [...planIds]))
    .orderBy(sql`${runs.startedAt} DESC`);
  const grades = await gradesByRun(db);
  const found = new Map<string, Kin[]>();
  for (const { planId, ...row } of rows) {
    const own = found.get(planId!) ?? [];
    if (own.length < MOST_RUNS)
      found.set(planId!, [...own, { kind: 'run', ...row, ...cameOut(grades.get(row.id)) }]);
  }
  return found;
}

const cameOut = (grades: readonly string[] | undefined) =>
  grades?.length ? { good: grades.filter((g) => g === 'good').length, of: grades.length } : {};

async function ancestors(db: Db, plan: Plan): Promise<Kin[]> {
  const found: Kin[] = [];
  const grades = await gradesByRun(db);
  let from = plan.madeFrom;
  while (from && found.length < MOST_RUNS) {
    const before: { kin: Kin; plan: Plan } | undefined = await oneBefore(db, from, grades);
    // What is gone ends the line; and nothing is its own ancestor.
    if (!before || found.some((k) => k.id === before.kin.id)) break;
    found.push(before.kin);
    from = before.plan.madeFrom;
  }
  return found;
}

async function oneBefore(
  db: Db,
  from: NonNullable<Plan['madeFrom']>,
  grades: ReadonlyMap<string, readonly string[]>
): Promise<{ kin: Kin; plan: Plan } | undefined> {
  if (from.run !== undefined) {
    const [row] = await db.select({ id: runs.id }).from(runs).where(eq(runs.id, from.run));
    const { good } = row ? await readRuns(db, [row.id]) : { good: [] };
    const [run] = good;
    if (run)
      return {
        kin: { kind: 'run', id: run.id, name: run.name, at: run.startedAt, ...cameOut(grades.get(run.id)) },
        plan: run.frozen.file.plan
      };
  }
  const found = from.plan === undefined ? undefined : await findPlan(db, from.plan);
  return found && { kin: { kind: 'plan', id: found.plan.id, name: found.plan.name }, plan: found.plan };
}
