import type { Plan, Shelf } from './document';

/**
 * A plan to begin with: the first base and the finest scale of the shelf, one cup, and, when there is
 * just one mould, its first kind of cavity filled to the rim. Everything in it is the maker's to change.
 */
export function newPlan(id: string, name: string, shelf: Shelf): Plan {
  const mould = shelf.moulds.length === 1 ? shelf.moulds[0] : undefined;
  const cavity = mould?.cavities[0];
  const scale = [...shelf.scales].sort((a, b) => a.division - b.division)[0];
  const others = shelf.scales.filter((s) => s.id !== scale?.id).map((s) => s.id);
  return {
    version: 1,
    id,
    name,
    notes: '',
    baseId: shelf.bases[0]?.id ?? 'none',
    scaleId: scale?.id ?? 'none',
    ...(others.length ? { otherScaleIds: others } : {}),
    ...(shelf.vessels.length ? { vesselIds: shelf.vessels.map((v) => v.id) } : {}),
    readings: 'cumulative',
    roomCelsius: 21,
    showFace: 'mould face',
    losses: { cling: 0.03, vessel: 2 },
    cups: [{ id: 'cup-1', letter: 'A', hatch: 'slant', name: 'cup A', recipe: [] }],
    groups:
      mould && cavity
        ? [
            {
              id: 'group-1',
              name: cavity.count > 1 ? `${cavity.name} 1–${cavity.count}` : cavity.name,
              mouldId: mould.id,
              cavityId: cavity.id,
              count: cavity.count
            }
          ]
        : [],
    steps: cavity
      ? [
          {
            id: 'lay-1',
            act: 'lay',
            cupId: 'cup-1',
            groupId: 'group-1',
            amount: { kind: 'rim' },
            minutesEach: 0.5
          }
        ]
      : []
  };
}
