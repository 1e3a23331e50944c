import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { DEFECTS } from '$core/inspect';
import { causesIn, takeChange } from '$lib/server/causes';
import { readRun } from '$lib/server/database';
import { problem } from '../../../../../../lib/server/http/body';
import { notHere, readBody, refuse } from '../../../../../../lib/server/http/respond';
import { store } from '$lib/server/store';

const Asked = z.object({ groupId: z.string().min(1).max(120), defect: z.enum(DEFECTS) });

/** Likely causes of every fault found on the run’s pieces; of one defect of one group where they are named. */
export const GET = async ({ params, url }) => {
  const { db } = await store();
  const read = await readRun(db, params.id);
  if (!read) return notHere('run', params.id);
  if (!read.ok) return refuse(read.broken.problems);
  const { defect, group } = Object.fromEntries(url.searchParams);
  if (defect === undefined) return json(await causesIn(db, read.value));
  const asked = Asked.safeParse({ groupId: group ?? read.value.frozen.file.plan.groups[0]?.id, defect });
  if (!asked.success)
    return refuse([
      problem('defect-unknown', 'There is no such defect.', `Ask for one of: ${DEFECTS.join(', ')}.`)
    ]);
  return json(await causesIn(db, read.value, asked.data));
};

/** Makes the change that a cause asks for in the plan, and returns the plan. */
export const POST = async ({ params, request }) => {
  const body = await readBody(request, Asked.extend({ cause: z.string().min(1).max(80) }));
  if ('refused' in body) return body.refused;
  const opened = await store();
  const read = await readRun(opened.db, params.id);
  if (!read) return notHere('run', params.id);
  if (!read.ok) return refuse(read.broken.problems);
  const plan = await takeChange(opened, read.value, body.value);
  return plan
    ? json(plan)
    : refuse(
        [
          problem(
            'cause-gone',
            'The log no longer points to this, or the plan is gone.',
            'Open the record again, or repeat the run as poured.'
          )
        ],
        409
      );
};
