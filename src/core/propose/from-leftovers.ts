import { formulaOf, materials, type Base } from '../material';
import { cavityOf } from '../mould';
import type { LotLeft } from '../shelf';
import { applyTechnique } from '../edit/apply-technique';
import { figuresOf } from '../plan/compute';
import type { Plan } from '../document';
import type { Shelf } from '../shelf';
import { newPlan } from '../edit/new-plan';

/** g/ml of a body whose card does not say. */
const FALLBACK_DENSITY = 1.1;
/** Moulds that are tried for an offer, those that take most of it first. */
const TRIED = 6;
/** Of what is left, how much may be planned: some crumbs are too small to show. */
const USABLE = 0.95;

/** A piece that what is left would make: of which lot, in which mould, how many, and how much of it they take. */
export interface Offer {
  /** Set as chips into a body, or melted again with fresh base. */
  way: 'terrazzo' | 'remelt';
  lotId: string;
  name: string;
  left: number;
  mouldId: string;
  mouldName: string;
  pieces: number;
  grams: number;
}

/**
 * Leftovers that are enough for a piece (a terrazzo, or melted again where the material melts) in a mould of the shelf, each in the mould that takes the most of it: one in which
 * plans cast that material, where there is one.
 */
export function offersOf(stock: readonly LotLeft[], shelf: Shelf, plans: readonly Plan[] = []): Offer[] {
  return stock.flatMap(({ lot, left, expired }): Offer[] => {
    const base = lot.of.kind === 'leftover' ? baseFor(lot.of.material, shelf) : undefined;
    if (!base || expired) return [];
    const offers = shelf.moulds.flatMap((mould): Offer[] => {
      const kind = mould.cavities[0];
      if (!kind) return [];
      const each = shareOf(base) * cavityOf(kind).capacity * densityOf(base);
      const pieces = Math.min(kind.count, Math.floor((USABLE * left) / each));
      const grams = pieces * each;
      return pieces > 0
        ? [
            {
              way: wayOf(base),
              lotId: lot.id,
              name: lot.name,
              left,
              mouldId: mould.id,
              mouldName: mould.name,
              pieces,
              grams
            }
          ]
        : [];
    });
    const known = mouldsOf(base.kind, shelf, plans);
    const usual = offers.filter((o) => known.has(o.mouldId));
    const best = (usual.length ? usual : offers).sort((a, b) => b.grams - a.grams).slice(0, TRIED);
    // What could not be poured is not offered.
    return best.filter((o) => isPourable(planOfOffer(o, stock, shelf, 'tried'), shelf)).slice(0, 1);
  });
}

const isPourable = (plan: Plan | undefined, shelf: Shelf): boolean =>
  plan !== undefined && figuresOf(plan, shelf).problems.every((p) => p.level !== 'stop');

/** Moulds in which plans cast a material. */
function mouldsOf(kind: Base['kind'], { bases }: Shelf, plans: readonly Plan[]): Set<string> {
  const own = new Set(bases.filter((b) => b.kind === kind).map((b) => b.id));
  return new Set(
    plans.flatMap((p) => (p.mixes.some((m) => own.has(m.baseId)) ? p.groups.map((g) => g.mouldId) : []))
  );
}

/** The plan of an offer: a terrazzo with that lot's chips, or fresh base with the lot melted into it. Undefined where lot, mould or material are no longer there. */
export function planOfOffer(
  offer: Offer,
  stock: readonly LotLeft[],
  shelf: Shelf,
  id: string
): Plan | undefined {
  const lot = stock.find((s) => s.lot.id === offer.lotId)?.lot;
  if (lot?.of.kind !== 'leftover') return undefined;
  const base = baseFor(lot.of.material, shelf);
  const again = offer.way === 'remelt';
  const name = `${again ? 'Remelted' : 'Terrazzo of'} ${lot.name}`.slice(0, 80);
  const empty = newPlan(id, name, shelf, offer.mouldId);
  if (!base || !empty.groups.length) return undefined;
  const based = { ...empty, mixes: empty.mixes.map((m) => ({ ...m, baseId: base.id })) };
  const poured = again
    ? { ...based, notes: REMELTED }
    : applyTechnique(based, shelf, {
        techniqueId: 'terrazzo',
        groupId: empty.groups[0]!.id,
        keep: 'nothing'
      });
  const chips = {
    id: again ? 'remelt' : 'chips',
    name: lot.name.slice(0, 60),
    percent: shareOf(base) * 100,
    density: lot.of.density,
    lotId: lot.id
  };
  return {
    ...poured,
    cups: poured.cups.map((c, i) => (i ? c : { ...c, fillers: [chips] })),
    groups: poured.groups.map((g) => ({ ...g, count: offer.pieces }))
  };
}

/** What a plan of a remelt says of itself: nobody knows what colour comes along. */
const REMELTED =
  'Melted again with fresh soap: its own colour comes along and is not drawn. Look at a cooled drop before any colour goes in.';

/** What leftovers are set in or melted into: a base of their own material; cured soap and rubber are neither. */
const baseFor = (material: string, { bases }: Shelf): Base | undefined =>
  materials.find(material)?.leftovers ? bases.find((b) => b.kind === material) : undefined;

const wayOf = (base: Base): Offer['way'] =>
  materials.of(base).leftovers?.become === 'remelt' ? 'remelt' : 'terrazzo';

/** Share of a piece's weight that comes from the bin. */
const shareOf = (base: Base): number => materials.of(base).leftovers?.share ?? 0;

/** g/ml of a body, as its card says or as its parts make it. */
function densityOf(base: Base): number {
  const formula = formulaOf(base);
  return formula.ok ? formula.value.density : FALLBACK_DENSITY;
}
