import { error } from '@sveltejs/kit';
import { lessonPlan, practiceLessons } from '$core/rehearse';
import { inThread } from '../../../../lib/server/workers';

export const load = async ({ params }) => {
  const lesson = practiceLessons().find((l) => l.id === params.id);
  if (!lesson) error(404, { message: 'There is no such lesson.', mend: 'See the list of lessons.' });
  const frozen = await inThread('freeze', { ...lessonPlan(lesson), learned: {} });
  return { frozen, lesson };
};
