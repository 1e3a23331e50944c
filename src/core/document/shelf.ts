import type { Shelf } from '../shelf/cards';
import type { Plan } from './plan';

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
