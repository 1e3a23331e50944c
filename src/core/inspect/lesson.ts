import { z } from 'zod';
import { Ref } from '../id';
import { mixIdOf } from '../document';
import type { Plan } from '../plan';
import type { Task } from '../run';

/** What a lesson hangs on: it comes back wherever that is planned again. */
export const LessonAbout = z.object({ kind: z.enum(['mould', 'colourant', 'base', 'act']), id: Ref });
export type LessonAbout = z.infer<typeof LessonAbout>;

/** A lesson as it comes back: its words, and the act it concerns where it is about one. */
export interface Lesson {
  text: string;
  about?: LessonAbout | undefined;
}

/** A lesson as the record keeps it, with the plan of the run it was learned in. */
export interface KeptLesson extends Lesson {
  plan: Plan | undefined;
}

/** Most lessons that are said at once: more is not read with wet gloves. */
const MOST_LESSONS = 6;

/**
 * Lessons that apply to a plan, the nearest first: of its own runs, then about its moulds, colourants, acts and bases, then of
 * other runs in the same moulds or bases. Among equals the order given stays.
 */
export function lessonsFor(plan: Plan, kept: readonly KeptLesson[]): Lesson[] {
  return kept
    .map((lesson) => ({ lesson, near: nearness(plan, lesson) }))
    .filter(({ near }) => near > 0)
    .sort((a, b) => b.near - a.near)
    .slice(0, MOST_LESSONS)
    .map(({ lesson: { text, about } }) => ({ text, ...(about ? { about } : {}) }));
}

function nearness(plan: Plan, { about, plan: other }: KeptLesson): number {
  if (about) return isIn(plan, about) ? 4 : 0;
  if (!other) return 0;
  if (other.id === plan.id) return 3;
  const moulds = new Set(plan.groups.map((g) => g.mouldId));
  if (other.groups.some((g) => moulds.has(g.mouldId))) return 2;
  const bases = new Set(plan.mixes.map((m) => m.baseId));
  return other.mixes.some((m) => bases.has(m.baseId)) ? 1 : 0;
}

/** Lessons that concern what is in hand: its act, its mould, the pot that is weighed, the base that is weighed or stirred. */
export const lessonsAt = (lessons: readonly Lesson[], plan: Plan, task: Task): Lesson[] =>
  lessons.filter(({ about }) => about && concerns(plan, task, about));

function concerns(plan: Plan, task: Task, { kind, id }: LessonAbout): boolean {
  const stepId = 'stepId' in task ? task.stepId : undefined;
  switch (kind) {
    case 'act':
      return plan.steps.some((s) => s.id === stepId && s.act.kind === id);
    case 'mould':
      return (
        (task.kind === 'pour' || task.kind === 'demould') &&
        plan.groups.some((g) => g.id === task.groupId && g.mouldId === id)
      );
    case 'colourant':
      return task.kind === 'weigh' && (task.takes ?? []).some((t) => t.key === `colourant:${id}`);
    case 'base':
      if (task.kind === 'weigh') return (task.takes ?? []).some((t) => t.key.startsWith(`part:${id}:`));
      return task.kind === 'stir' && basesOf(plan, task.cupId).has(id);
  }
}

/** The bases of what is stirred: of a cup's own mix, or of a pot by the mix it is. */
function basesOf(plan: Plan, cupId: string): Set<string> {
  const cup = plan.cups.find((c) => c.id === cupId);
  const mixId = cup ? mixIdOf(cup) : cupId.replace(/^~/, '');
  const mixes = plan.mixes.filter((m) => m.id === mixId);
  return new Set(mixes.map((m) => m.baseId));
}

/** Whether a plan has what a lesson is about. */
function isIn(plan: Plan, { kind, id }: LessonAbout): boolean {
  switch (kind) {
    case 'mould':
      return plan.groups.some((g) => g.mouldId === id);
    case 'colourant':
      return plan.cups.some((c) => c.recipe.some((r) => r.colourantId === id));
    case 'base':
      return plan.mixes.some((m) => m.baseId === id);
    case 'act':
      return plan.steps.some((s) => s.act.kind === id && !s.muted);
  }
}
