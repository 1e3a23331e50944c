import { z } from 'zod';
import { acts } from '../pour';
import { planFrom1to2, Plan1 } from '../document/migrate';
import { PlanDocument } from '../document';
import { Shelf } from '../shelf';

/** A plan of version 2 whose acts have been read by their own definitions. An act that nobody knows passes as it is. */
const Plan2 = PlanDocument.transform((plan, ctx) => {
  const steps = plan.steps.map((step, i) => {
    const read = acts.find(step.act.kind)?.schema.safeParse(step.act);
    if (!read || read.success) return read ? { ...step, act: read.data as typeof step.act } : step;
    for (const issue of read.error.issues)
      ctx.addIssue({ ...issue, path: ['steps', i, 'act', ...issue.path] } as Parameters<
        typeof ctx.addIssue
      >[0]);
    return step;
  });
  return { ...plan, steps };
});

/** A plan of any version that was ever written, as version 2: read, migrated, its acts read. */
export const Plan = z.unknown().transform((raw, ctx): z.infer<typeof PlanDocument> => {
  const first = typeof raw === 'object' && raw !== null && 'version' in raw && raw.version === 1;
  const old = first ? Plan1.safeParse(raw) : undefined;
  const read = old && !old.success ? old : Plan2.safeParse(old ? planFrom1to2(old.data) : raw);
  if (read.success) return read.data as z.infer<typeof PlanDocument>;
  for (const issue of read.error.issues) ctx.addIssue(issue as Parameters<typeof ctx.addIssue>[0]);
  return z.NEVER;
});
export type Plan = z.infer<typeof PlanDocument>;

/** A plan with every card it needs: the file that is exported, imported and computed. Version 1 files are migrated. */
export const PlanFile = z
  .object({
    format: z.literal('kirapen.plan').default('kirapen.plan'),
    version: z.union([z.literal(1), z.literal(2)]).default(2),
    plan: Plan,
    shelf: Shelf
  })
  .transform((file) => ({ ...file, version: 2 as const }));
export type PlanFile = z.output<typeof PlanFile>;
