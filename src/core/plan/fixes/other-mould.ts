import { cavityOf } from '../../mould';
import type { Fix } from '../../problem';
import type { Group } from '../../document';
import type { ResolvedPlan } from '../resolve';

/** A cavity that holds this much more or less takes the same pour, a share. */
const ALIKE = 0.1;
/** Moulds that are offered at most. */
const MOST_MOULDS = 3;

/** Pouring some cavities in other moulds of the shelf that hold about as much, the nearest first. */
export function otherMoulds({ moulds }: Pick<ResolvedPlan, 'moulds'>, group: Group): Fix[] {
  const own = moulds.get(group.mouldId)?.cavities.find((c) => c.id === group.cavityId);
  if (!own) return [];
  const wanted = cavityOf(own, '').capacity;
  return [...moulds.values()]
    .filter((mould) => mould.id !== group.mouldId)
    .flatMap((mould) =>
      mould.cavities.map((kind) => ({
        mould,
        kind,
        off: Math.abs(Math.log(cavityOf(kind, '').capacity / wanted))
      }))
    )
    .filter(({ off }) => off <= ALIKE)
    .sort((a, b) => a.off - b.off)
    .slice(0, MOST_MOULDS)
    .map(({ mould, kind }) => ({
      words: `Pour it in the ${mould.name}`,
      edit: { path: ['groups', group.id], value: { ...group, mouldId: mould.id, cavityId: kind.id } }
    }));
}
