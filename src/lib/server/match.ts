import { z } from 'zod';
import { asWeighed, candidatesFor, labOfHex, matchColour } from '$core/colour';
import { formulaOf } from '$core/material';
import type { Shelf } from '$core/shelf';
import { Ref } from '$core/id';
import type { Problem } from '$core/problem';
import { problem } from './http/body';

const hex = z.string().regex(/^#[0-9a-f]{6}$/i, 'must be a colour such as #5b7d95');

/** A colour to match through the HTTP interface. */
export const MatchRequest = z.object({
  target: hex,
  baseId: Ref,
  /** A film of so many mm over a backing; the deep cup when absent. */
  film: z.object({ mm: z.number().positive().max(500), backing: hex }).optional(),
  /** A colour to see through; otherwise only what hides within a piece. */
  clear: z.boolean().default(false),
  /** At most so many colourants, 1 to 4. */
  colourants: z.number().int().min(1).max(4).default(4),
  without: z.array(z.string().max(80)).max(200).default([]),
  /** Base of the batch, g, and the scale's division, g, for the weights. */
  batch: z.number().positive().max(1_000_000).default(100),
  division: z.number().positive().max(1000).default(0.01)
});

/** Matches from the shelf: answers with grams for the batch and the difference after weighing, or what stands in the way. */
export function matchFromShelf(request: z.infer<typeof MatchRequest>, shelf: Shelf) {
  const refuse = (p: Problem) => ({ ok: false as const, problems: [p] });
  const base = shelf.bases.find((b) => b.id === request.baseId);
  if (!base)
    return refuse({
      ...problem('base-missing', 'This material is not on the shelf.', 'Choose one that is on the shelf.'),
      path: 'baseId'
    });
  const formula = formulaOf(base);
  if (!formula.ok) return refuse(formula.problem);
  const { candidates, mostInAll } = candidatesFor(base, formula.value, shelf.colourants, {
    without: request.without,
    weighing: { batch: request.batch, scale: { division: request.division } }
  });
  if (!candidates.length)
    return refuse({
      ...problem(
        'no-colourants',
        'No colourant on the shelf suits this material.',
        'Put one on the shelf that does.'
      ),
      path: 'baseId'
    });
  const order = {
    target: labOfHex(request.target),
    base: { kind: base.kind, colour: base.colour, density: formula.value.density },
    film: request.film,
    candidates,
    mostInAll,
    colourants: request.colourants,
    clear: request.clear
  };
  return {
    ok: true as const,
    answers: matchColour(order).map((answer) => ({
      ...answer,
      weighed: asWeighed(answer, order, request.batch, { division: request.division })
    }))
  };
}
