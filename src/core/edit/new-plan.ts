import { acts, lay, wait, type AnyDefinition } from '../pour';
import type { Gate, Plan, Step } from '../document';
import type { Shelf } from '../shelf';

/**
 * A plan to begin with: the finest scale of the shelf, one cup, and, of the mould that is asked for or the only one
 * there is, its first kind of cavity filled to the rim. Which base is the maker's to say, where there are several.
 */
export function newPlan(id: string, name: string, shelf: Shelf, mouldId?: string): Plan {
  const asked = shelf.moulds.find((m) => m.id === mouldId);
  const mould = asked ?? (shelf.moulds.length === 1 ? shelf.moulds[0] : undefined);
  const base = shelf.bases.length === 1 ? shelf.bases[0] : undefined;
  const cavity = mould?.cavities[0];
  const scale = [...shelf.scales].sort((a, b) => a.division - b.division)[0];
  const others = shelf.scales.filter((s) => s.id !== scale?.id).map((s) => s.id);
  return {
    version: 2,
    id,
    name,
    notes: '',
    showFace: 'mould face',
    mixes: [{ id: 'mix-1', baseId: base?.id ?? NO_BASE, feeds: 'one cup' }],
    cups: [{ id: 'cup-1', letter: 'A', hatch: 'slant', name: 'cup A', from: { mix: 'mix-1' }, recipe: [] }],
    groups:
      mould && cavity
        ? [
            {
              id: 'group-1',
              name:
                cavity.count > 1 ? `${cavity.name} 1–${cavity.count}`.slice(0, 40) : cavity.name.slice(0, 40),
              mouldId: mould.id,
              cavityId: cavity.id,
              count: cavity.count
            }
          ]
        : [],
    steps: cavity ? [layStep('lay-1', 'cup-1', 'group-1')] : [],
    spares: [],
    bench: {
      roomCelsius: 21,
      scaleIds: scale ? [scale.id, ...others.slice(0, 7)] : [],
      vesselIds: shelf.vessels.slice(0, 12).map((v) => v.id),
      readings: 'cumulative',
      losses: { cling: 0.03 }
    }
  };
}

/** Where no base is chosen yet. */
const NO_BASE = 'none';

/** A layer to the rim, as a plan begins with. */
export const layStep = (id: string, cupId: string, groupId: string): Step => ({
  id,
  act: lay.fresh(cupId),
  where: [groupId],
  gates: [],
  hands: { each: 0.5 }
});

/** An act as it is first put into a plan, in these cavities. */
export function actStep(
  id: string,
  kind: string,
  cups: string | readonly string[],
  groupId: string
): Step | undefined {
  const definition = acts.find(kind);
  if (!definition) return undefined;
  // An act of two cups begins with two, where there are two.
  const [cupId = '', second = cupId] = typeof cups === 'string' ? [cups] : cups;
  const rest = cupFields(definition).slice(1);
  const act = { ...definition.fresh(cupId), ...Object.fromEntries(rest.map((key) => [key, second])) };
  return { id, act, where: [groupId], gates: [] };
}

const cupFields = ({ fields = {} }: AnyDefinition): string[] =>
  Object.keys(fields).filter((key) => fields[key]!.asked.is === 'cup');

/** A wait until a gate opens. */
export const waitStep = (id: string, groupId: string, gate: Gate): Step => ({
  id,
  act: wait.fresh(''),
  where: [groupId],
  gates: [gate]
});
