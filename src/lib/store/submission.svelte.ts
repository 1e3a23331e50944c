import { superForm } from 'sveltekit-superforms';
import { zod4Client } from 'sveltekit-superforms/adapters';
import type { z } from 'zod';
import type { Problem } from '$core/problem';
import { problemsOf } from '$core/validate';

/**
 * A form that is filled in and then sent once: a new card. (A card that is on the shelf has nothing to send: each of
 * its fields is stored as it is typed.) Checked by the card's own schema before it leaves; what is wrong, or what the
 * server refuses, is said as problems, and nothing typed is lost. Made as its component is.
 *
 * @param schema what the card must be
 * @param start  the card as the form opens with it
 * @param keep   stores a card that is right; answers what was refused, or nothing
 */
export function submission<T extends { id: string }>(
  schema: z.ZodType<T>,
  start: T,
  keep: (card: T) => Promise<Problem[]>
) {
  let problems = $state.raw<Problem[]>([]);
  const held = superForm<T>(start, {
    id: start.id,
    SPA: true,
    dataType: 'json',
    applyAction: false,
    invalidateAll: false,
    resetForm: false,
    validationMethod: 'submit-only',
    validators: zod4Client(schema as z.ZodType<T & Record<string, unknown>>),
    // Twice pressed is once sent.
    multipleSubmits: 'prevent',
    async onUpdate({ form }) {
      const read = schema.safeParse(form.data);
      problems = read.success ? await keep(read.data) : problemsOf(read.error);
    }
  });
  return {
    form: held.form,
    enhance: held.enhance,
    get problems() {
      return problems;
    }
  };
}
