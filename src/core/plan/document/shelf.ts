import { z } from 'zod';
import { Scale } from '../../dosing';
import { Base, Colourant } from '../../material';
import { Mould } from '../../mould';
import { Lot } from '../../shelf/lot';
import { Vessel } from '../../shelf/vessel';
import type { Plan } from './plan';

/** More cards of one kind than any workshop keeps. */
const MOST_CARDS = 2000;
const cards = <T extends z.ZodType>(card: T) => z.array(card).max(MOST_CARDS).default([]);

/** The cards a plan refers to. */
export const Shelf = z.object({
  moulds: cards(Mould),
  bases: cards(Base),
  colourants: cards(Colourant),
  scales: cards(Scale),
  vessels: cards(Vessel),
  lots: cards(Lot)
});
export type Shelf = z.infer<typeof Shelf>;

/**
 * The cards of a shelf that a plan uses, and no others, by id: the same plan writes the same file. Vessels are
 * those it names; lots are the maker's own stock and stay at home.
 */
export function shelfOf(plan: Plan, shelf: Shelf): Shelf {
  const moulds = new Set([...plan.groups, ...plan.spares].map((g) => g.mouldId));
  const bases = new Set(plan.mixes.map((m) => m.baseId));
  const colourants = new Set(plan.cups.flatMap((c) => c.recipe.map((r) => r.colourantId)));
  const scales = new Set(plan.bench.scaleIds);
  const named = [...plan.mixes, ...plan.cups].map((x) => x.vesselId);
  const vessels = new Set([...plan.bench.vesselIds, ...named]);
  const pick = <T extends { id: string }>(all: readonly T[], used: (id: string) => boolean): T[] =>
    all.filter((card) => used(card.id)).sort((a, b) => (a.id < b.id ? -1 : 1));
  return {
    moulds: pick(shelf.moulds, (id) => moulds.has(id)),
    bases: pick(shelf.bases, (id) => bases.has(id)),
    colourants: pick(shelf.colourants, (id) => colourants.has(id)),
    scales: pick(shelf.scales, (id) => scales.has(id)),
    vessels: pick(shelf.vessels, (id) => vessels.has(id)),
    lots: []
  };
}
