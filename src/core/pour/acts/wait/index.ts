import { z } from 'zod';
import { duration } from '../../../quantity';
import type { ActDefinition } from '../../act';

/** Nothing is done: minutes pass, or the gates on the step open. */
export const Wait = z.object({
  kind: z.literal('wait'),
  /** How long, minutes; only for its gates when absent. */
  minutes: z.number().positive('must be more than nothing').max(50_000).optional()
});
export type Wait = z.infer<typeof Wait>;

export const wait: ActDefinition<Wait> = {
  kind: 'wait',
  group: 'wait',
  schema: Wait,
  fresh: () => ({ kind: 'wait' }),
  cups: () => [],
  changed: (act) => act,
  draws: () => [],
  apply: (_, stand) => ({ stand, problems: [] }),
  hands: (act) => ({ attended: 0, unattended: act.minutes ?? 0 }),
  words: (act, { cavities }) => ({
    line: act.minutes === undefined ? 'wait' : `wait ${duration(act.minutes)}`,
    act: 'Wait',
    rest: [act.minutes === undefined ? '' : duration(act.minutes), cavities && `with ${cavities}`]
      .filter(Boolean)
      .join(', '),
    hint: 'hands off',
    confirm: 'Go on'
  })
};
