import { LessonAbout, lessonsFor, type Lesson } from '$core/inspect';
import type { Plan } from '$core/plan';
import { listLessons, readRuns, type Db } from './database';

/** What was learned that applies to a plan, the nearest and latest first. */
export async function lessonsOf(db: Db, plan: Plan): Promise<Lesson[]> {
  const kept = (await listLessons(db)).toReversed();
  const { good } = await readRuns(db, [...new Set(kept.map((l) => l.runId))]);
  const plans = new Map(good.map((r) => [r.id, r.frozen.file.plan]));
  return lessonsFor(
    plan,
    kept.map((l) => ({ text: l.text, about: aboutOf(l.about), plan: plans.get(l.runId) }))
  );
}

/** What a stored lesson is about; one that cannot be read is about its run alone. */
function aboutOf(text: string | null): LessonAbout | undefined {
  if (text === null) return undefined;
  try {
    const read = LessonAbout.safeParse(JSON.parse(text));
    return read.success ? read.data : undefined;
  } catch {
    return undefined;
  }
}
