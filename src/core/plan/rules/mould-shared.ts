import { counted } from '../../quantity';
import { grouped } from '../../grouped';
import { inPlan, type Diagnostic } from '../../problem';
import type { Score } from '../../schedule';
import type { CavitySet } from '../cavity-sets';
import type { FilledCavitySet } from '../fill';

/** Minutes from the first pour into a group to its demould, where the score tells both. */
interface Busy {
  sets: readonly CavitySet[];
  from: number;
  to: number;
}

/** Groups that fill the same mould at the same time, and more of its cavities than one has: how many moulds that takes. */
export function sharedMoulds(filled: readonly FilledCavitySet[], score: Score): Diagnostic[] {
  const sets = filled.map((f) => f.cavitySet);
  return [...grouped(sets, (s) => [`${s.mould.id} ${s.kind.id}`]).values()].flatMap((alike): Diagnostic[] => {
    const busy = busyOf(alike, score);
    const [first, second] = busy;
    if (!first || !second || second.from >= first.to) return [];
    const { mould, kind } = first.sets[0]!;
    const together = busy.filter((b) => b.from < first.to);
    const cavities = together.reduce((s, b) => s + b.sets.reduce((n, x) => n + x.count, 0), 0);
    if (cavities <= kind.count) return [];
    const names = together.map((b) => b.sets[0]!.group.name);
    return [
      {
        code: 'mould-shared',
        level: 'note',
        ...inPlan('groups', second.sets[0]!.group.id, 'mouldId'),
        sentence: `${names.join(' and ')} stand in ${mould.name} at the same time: ${counted(cavities, 'cavity', 'cavities')}, that takes ${counted(Math.ceil(cavities / kind.count), 'mould')}.`,
        mend: 'Have as many at hand, or pour the second once the first is out.'
      }
    ];
  });
}

/** How long each group keeps its mould, the first in first. */
function busyOf(sets: readonly CavitySet[], score: Score): Busy[] {
  return [...grouped(sets, (s) => [s.group.id]).entries()]
    .flatMap(([groupId, own]): Busy[] => {
      const pours = score.blocks.filter((b) => b.groupId === groupId && b.act === 'pour');
      const out = score.demould.find((d) => d.groupId === groupId);
      return pours.length && out
        ? [{ sets: own, from: Math.min(...pours.map((b) => b.from)), to: out.from }]
        : [];
    })
    .sort((a, b) => a.from - b.from);
}
