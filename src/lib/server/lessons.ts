import type { Plan } from '$core/plan';
import { listLessons, readRuns, type Db } from './database';

/** Most lessons that are said at once: more is not read with wet gloves. */
const MOST = 5;

/** What was learned from runs like a plan: its own first, then those in the same moulds, then of the same bases; latest first. */
export async function lessonsFor(db: Db, plan: Plan): Promise<string[]> {
  const lessons = (await listLessons(db)).toReversed();
  const { good } = await readRuns(db, [...new Set(lessons.map((l) => l.runId))]);
  const likeness = (runId: string): number => {
    const other = good.find((r) => r.id === runId)?.frozen.file.plan;
    if (!other) return 0;
    if (other.id === plan.id) return 3;
    const moulds = new Set(plan.groups.map((g) => g.mouldId));
    if (other.groups.some((g) => moulds.has(g.mouldId))) return 2;
    const bases = new Set(plan.mixes.map((m) => m.baseId));
    return other.mixes.some((m) => bases.has(m.baseId)) ? 1 : 0;
  };
  return lessons
    .map((l) => ({ text: l.text, like: likeness(l.runId) }))
    .filter((l) => l.like > 0)
    .sort((a, b) => b.like - a.like)
    .slice(0, MOST)
    .map((l) => l.text);
}
