import { coloursOf, mendInTurn, planToMake, potsApart } from '../edit';
import { materialsFor, TECHNIQUES, type Technique } from '../pour';
import { computePlan, type Plan } from '../plan';
import type { Base } from '../material';
import type { Mould, Shape } from '../mould';
import type { Shelf } from '../shelf';

/**
 * A plan as a careful maker would set it up. `plan` has had its own mends applied, so silence about it says that every
 * warning has a mend that works; `asMade` has not, and what is said of it may be true or a false alarm.
 */
export interface WellMade {
  id: string;
  material: string;
  technique: string;
  plan: Plan;
  asMade: Plan;
  shelf: Shelf;
}

const mouldOf = (id: string, count: number, shape: Shape): Mould => ({
  id,
  name: id,
  material: 'silicone',
  finish: 'gloss',
  notes: '',
  cavities: [{ id: 'piece', name: id, count, shape, capacity: { from: 'dimensions' } }]
});

/** Moulds such as are usual for a material: a few coasters and a tray of small pieces, a loaf and a slab for soap. */
const MOULDS = {
  coasters: mouldOf('coasters', 4, { kind: 'cylinder', radius: 48, depth: 9 }),
  'thin tray': mouldOf('thin tray', 1, { kind: 'box', length: 240, width: 160, depth: 12 }),
  loaf: mouldOf('loaf', 1, { kind: 'box', length: 250, width: 80, depth: 65 }),
  'soap slab': mouldOf('soap slab', 1, { kind: 'box', length: 300, width: 200, depth: 30 }),
  cord: mouldOf('cord', 6, { kind: 'cylinder', radius: 8, depth: 60 })
} as const;
const USUAL: Record<string, readonly (keyof typeof MOULDS)[]> = {
  soap: ['loaf', 'soap slab'],
  'melt and pour': ['loaf', 'coasters'],
  plastisol: ['cord']
};
const usualMoulds = (base: Base) =>
  (USUAL[base.kind] ?? (['coasters', 'thin tray'] as const)).map((m) => MOULDS[m]);

/** Every technique in every material it suits, in the moulds usual for it, mended as its own warnings would be. */
export async function wellMade(cards: Shelf): Promise<WellMade[]> {
  const shelf = { ...cards, moulds: Object.values(MOULDS) };
  const made: WellMade[] = [];
  for (const technique of TECHNIQUES)
    for (const material of materialsFor(technique)) {
      const bases = shelf.bases.filter((b) => b.kind === material.kind);
      for (const mould of bases[0] ? usualMoulds(bases[0]) : []) {
        // What stands long, or deep, is poured of the slower of two.
        const slow = bases.toSorted((a, b) => b.openMinutes - a.openMinutes)[0]!;
        const asMade = madeOf(shelf, technique, mould === MOULDS['thin tray'] ? slow : bases[0]!, mould);
        if (asMade)
          made.push({
            id: `${technique.id}, ${material.kind}, ${mould.id}`,
            material: material.kind,
            technique: technique.id,
            plan: await mendInTurn(asMade, (p) => computePlan(p, shelf).problems),
            asMade,
            shelf
          });
      }
    }
  return made;
}

function madeOf(shelf: Shelf, technique: Technique, base: Base, mould: Mould): Plan | undefined {
  const pots = potsApart(base, shelf.colourants).slice(0, coloursOf(technique));
  return planToMake(shelf, {
    id: 'case',
    techniqueId: technique.id,
    mouldId: mould.id,
    baseId: base.id,
    good: mould.cavities[0]!.count,
    colourantIds: pots.map((p) => p.id)
  });
}
