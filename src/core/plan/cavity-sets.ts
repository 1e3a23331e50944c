import type { CavityKind, Mould } from '../mould';
import { inPlan, type Problem } from '../problem';
import { numberedWords } from '../quantity';
import type { Group, Plan, Variation } from '../document';
import { missing } from './rules/missing';

/** Cavities of a group that are all done alike: the group itself, or those that share the same variations. */
export interface CavitySet {
  /** The group's own id for the first, `group~2` for the next. */
  id: string;
  group: Group;
  name: string;
  count: number;
  mould: Mould;
  kind: CavityKind;
  variations: readonly Variation[];
}

/** Splits every group into cavities that are done alike. A group whose mould is gone is said and left out. */
export function cavitySetsOf(
  plan: Plan,
  moulds: ReadonlyMap<string, Mould>
): { cavitySets: CavitySet[]; problems: Problem[] } {
  const problems: Problem[] = [];
  const cavitySets = plan.groups.flatMap((group): CavitySet[] => {
    const mould = moulds.get(group.mouldId);
    const kind = mould?.cavities.find((c) => c.id === group.cavityId);
    if (!mould || !kind) {
      problems.push(
        missing(
          'mould',
          inPlan('groups', group.id, 'mouldId'),
          `The mould of “${group.name}” is not on the shelf.`
        )
      );
      return [];
    }
    problems.push(...variationProblems(plan, group));
    return alike(group).map(({ numbers, variations }, i, all) => ({
      id: i ? `${group.id}~${i + 1}` : group.id,
      group,
      name: all.length > 1 ? `${group.name} (${numberedWords(numbers)})` : group.name,
      count: numbers.length,
      mould,
      kind,
      variations
    }));
  });
  return { cavitySets, problems };
}

/** Cavities by the variations they share, those without any first. */
function alike(group: Group): { numbers: number[]; variations: Variation[] }[] {
  const own = group.variations ?? [];
  const sets = new Map<string, { numbers: number[]; variations: Variation[] }>();
  for (let n = 1; n <= group.count; n++) {
    const variations = own.filter((v) => v.cavities.includes(n));
    const key = variations.map((v) => v.id).join('|');
    const set = sets.get(key) ?? { numbers: [], variations };
    set.numbers.push(n);
    sets.set(key, set);
  }
  return [...sets.values()].sort((a, b) => a.variations.length - b.variations.length);
}

/** Variations that name a step, a cup or a cavity which is not there. */
function variationProblems(plan: Plan, group: Group): Problem[] {
  const steps = new Set(plan.steps.map((s) => s.id));
  const cups = new Set(plan.cups.map((c) => c.id));
  return (group.variations ?? []).flatMap((v): Problem[] => {
    const at = (key: string) => inPlan('groups', group.id, 'variations', v.id, key);
    const found: Problem[] = [];
    if (!steps.has(v.stepId))
      found.push(
        missing('step', at('stepId'), `A variation of ${group.name} names a step that is not in the plan.`)
      );
    if (!('skip' in v.change) && v.change.cupId !== undefined && !cups.has(v.change.cupId))
      found.push(
        missing('cup', at('change'), `A variation of ${group.name} names a cup that is not in the plan.`)
      );
    const beyond = v.cavities.find((n) => n > group.count);
    const kept = v.cavities.filter((n) => n <= group.count);
    // A variation of no cavity is none.
    const [left, there] = kept.length ? [['cavities'], kept] : [[], undefined];
    if (beyond !== undefined)
      found.push({
        code: 'cavity-missing',
        level: 'warn',
        ...at('cavities'),
        sentence: `A variation of ${group.name} is for cavity ${beyond}; there are ${group.count}.`,
        mend: 'Give it a cavity that is there, or cast more.',
        edit: { path: ['groups', group.id, 'variations', v.id, ...left], value: there }
      });
    return found;
  });
}
