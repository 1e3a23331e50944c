import { newId } from '$lib/id';
import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { LessonAbout } from '$core/inspect';
import { StoredId } from '$core/id';
import { listLessons, runExists, saveLesson } from '$lib/server/database';
import { notHere, readBody, taken } from '../../../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

const Lesson = z.object({
  id: StoredId.optional(),
  text: z.string().trim().min(1, 'needs some words').max(2000),
  /** What it hangs on: it comes back wherever that is planned. */
  about: LessonAbout.optional()
});

export const GET = async ({ params }) => {
  const { db } = await store();
  if (!(await runExists(db, params.id))) return notHere('run', params.id);
  return json(await listLessons(db, params.id));
};

export const POST = async ({ params, request }) => {
  const body = await readBody(request, Lesson);
  if ('refused' in body) return body.refused;
  const opened = await store();
  if (!(await runExists(opened.db, params.id))) return notHere('run', params.id);
  const lesson = {
    id: body.value.id ?? newId(),
    runId: params.id,
    text: body.value.text,
    learnedAt: Date.now(),
    about: body.value.about ? JSON.stringify(body.value.about) : null
  };
  if ((await saveLesson(opened, lesson)) === 'taken') return taken('lesson', lesson.id);
  return json({ ...lesson, about: body.value.about }, { status: 201 });
};
