import type { Base } from '../material';
import { cavityOf } from '../mould';
import type { LotLeft } from '../shelf';
import { applyTechnique } from './apply-technique';
import type { Plan, Shelf } from './document';
import { newPlan } from './new';

/** Share of a terrazzo's weight that is chips: the middle of the usual 35 to 55 %. */
const CHIPS = 0.45;
/** Of what is left, how much may be planned: some crumbs are too small to show. */
const USABLE = 0.95;

/** A piece that what is left would make: of which lot, in which mould, how many, and how much of it they take. */
export interface Offer {
  lotId: string;
  name: string;
  left: number;
  mouldId: string;
  mouldName: string;
  pieces: number;
  grams: number;
}

/**
 * Leftovers that are enough for a terrazzo in a mould of the shelf, each in the mould that takes the most of it: one in which
 * plans cast that material, where there is one.
 */
export function offersOf(stock: readonly LotLeft[], shelf: Shelf, plans: readonly Plan[] = []): Offer[] {
  return stock.flatMap(({ lot, left, expired }): Offer[] => {
    const base = lot.of.kind === 'leftover' ? baseFor(lot.of.material, shelf) : undefined;
    if (!base || expired) return [];
    const offers = shelf.moulds.flatMap((mould): Offer[] => {
      const kind = mould.cavities[0];
      if (!kind) return [];
      const each = CHIPS * cavityOf(kind).capacity * densityOf(base);
      const pieces = Math.min(kind.count, Math.floor((USABLE * left) / each));
      const grams = pieces * each;
      return pieces > 0
        ? [{ lotId: lot.id, name: lot.name, left, mouldId: mould.id, mouldName: mould.name, pieces, grams }]
        : [];
    });
    const known = mouldsOf(base.kind, shelf, plans);
    const usual = offers.filter((o) => known.has(o.mouldId));
    return (usual.length ? usual : offers).sort((a, b) => b.grams - a.grams).slice(0, 1);
  });
}

/** Moulds in which plans cast a material. */
function mouldsOf(kind: Base['kind'], { bases }: Shelf, plans: readonly Plan[]): Set<string> {
  const own = new Set(bases.filter((b) => b.kind === kind).map((b) => b.id));
  return new Set(
    plans.flatMap((p) => (p.mixes.some((m) => own.has(m.baseId)) ? p.groups.map((g) => g.mouldId) : []))
  );
}

/** The plan of an offer: a terrazzo with that lot's chips. Undefined where lot, mould or material are no longer there. */
export function planOfOffer(
  offer: Offer,
  stock: readonly LotLeft[],
  shelf: Shelf,
  id: string
): Plan | undefined {
  const lot = stock.find((s) => s.lot.id === offer.lotId)?.lot;
  if (lot?.of.kind !== 'leftover') return undefined;
  const base = baseFor(lot.of.material, shelf);
  const empty = newPlan(id, `Terrazzo of ${lot.name}`.slice(0, 80), shelf, offer.mouldId);
  if (!base || !empty.groups.length) return undefined;
  const based = { ...empty, mixes: empty.mixes.map((m) => ({ ...m, baseId: base.id })) };
  const poured = applyTechnique(based, shelf, {
    techniqueId: 'terrazzo',
    groupId: empty.groups[0]!.id,
    keep: 'nothing'
  });
  const chips = {
    id: 'chips',
    name: lot.name.slice(0, 60),
    percent: CHIPS * 100,
    density: lot.of.density,
    lotId: lot.id
  };
  return {
    ...poured,
    cups: poured.cups.map((c, i) => (i ? c : { ...c, fillers: [chips] })),
    groups: poured.groups.map((g) => ({ ...g, count: offer.pieces }))
  };
}

/** What chips are set in: a body of their own material. */
const baseFor = (material: string, { bases }: Shelf): Base | undefined =>
  ['gypsum', 'concrete', 'resin'].includes(material) ? bases.find((b) => b.kind === material) : undefined;

/** g/ml of a body, as its card says or as its parts make it; near 1.1 for a resin. */
const densityOf = (base: Base): number =>
  'density' in base && base.density ? base.density : base.kind === 'concrete' ? 2.2 : 1.1;
