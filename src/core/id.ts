import { z } from 'zod';

/**
 * The id of a thing inside a document: one safe pattern, so that it stands in an address, a file name and a path
 * without being escaped. Ids made by joining others use `~`, `@` and `+`, which no id may hold.
 */
const ID_PATTERN = /^[A-Za-z0-9][A-Za-z0-9_.-]{0,59}$/;
export const Id = z
  .string()
  .regex(ID_PATTERN, 'must be letters, digits, “-”, “_” or “.”, beginning with a letter or digit');

/** The id of something that is stored by itself: a card, a piece. Like an id inside a document, and a little longer. */
export const StoredId = z
  .string()
  .regex(
    /^[A-Za-z0-9][A-Za-z0-9_.:-]{0,79}$/,
    'must be letters, digits, “-”, “_”, “.” or “:”, beginning with a letter or digit'
  );

/** A name of something that stands elsewhere. What is not there is said where it is looked up. */
export const Ref = z.string().min(1, 'needs something to point to').max(80);

/** Says which of a list's ids come twice, at the later one. */
export function onlyOnce(
  list: readonly { id: string }[],
  path: (string | number)[],
  ctx: z.RefinementCtx
): void {
  const seen = new Set<string>();
  list.forEach(({ id }, i) => {
    if (seen.has(id))
      ctx.addIssue({
        code: 'custom',
        path: [...path, i, 'id'],
        message: `must be its own: “${id}” is taken`,
        input: id
      });
    seen.add(id);
  });
}
