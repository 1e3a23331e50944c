import type { Group, Plan, Step } from '../../document';
import { freshId } from '../../edit/fresh-id';
import { acts } from '../../pour';

type Variation = NonNullable<Group['variations']>[number];

/** Members of a family that differ from one another: more of them look alike again. */
const MOST_MEMBERS = 6;
/** Steps done otherwise that a group may have. */
const MOST_VARIATIONS = 24;

/** A step that pours one cup into a group. */
interface Poured {
  step: Step;
  cupId: string;
}

/**
 * The same pour as a family: the colours and the hands stay, and from one cavity to the next each colour takes the next one’s
 * place, so that the pieces belong together and none is another’s double. What lies first stays the bed of all of them where
 * enough colours are left to change places. A group of one casting becomes the next member itself. Undefined where no two
 * colours could change places.
 */
export function asFamily(plan: Plan): Plan | undefined {
  let changed = false;
  let made: Plan = plan;
  for (const group of plan.groups) {
    const pours = changing(pouredInto(plan, group));
    const cups = [...new Set(pours.map((p) => p.cupId))];
    if (cups.length < 2) continue;
    changed = true;
    made = group.count > 1 ? withMembers(made, group.id, pours, cups) : asNext(made, pours, cups);
  }
  return changed ? made : undefined;
}

function pouredInto(plan: Plan, group: Group): Poured[] {
  return plan.steps.flatMap((step) => {
    const known = acts.read(step.act);
    const [cupId, ...more] = known ? known.definition.cups(known.act) : [];
    const here = step.where.includes(group.id) && !step.muted;
    return here && known?.definition.amount && cupId !== undefined && !more.length ? [{ step, cupId }] : [];
  });
}

/** The pours whose colours change places: all but the bed, where two colours are left without it. */
function changing(pours: readonly Poured[]): Poured[] {
  const [bed, ...rest] = pours;
  const without = rest.filter((p) => p.cupId !== bed?.cupId);
  return new Set(without.map((p) => p.cupId)).size > 1 ? without : [...pours];
}

/** The colour that takes a colour’s place in a member so many further on. */
const placed = (cups: readonly string[], cupId: string, on: number): string =>
  cups[(cups.indexOf(cupId) + on) % cups.length]!;

function withMembers(plan: Plan, groupId: string, pours: readonly Poured[], cups: readonly string[]): Plan {
  const group = plan.groups.find((g) => g.id === groupId)!;
  const kept = group.variations ?? [];
  const room = Math.floor((MOST_VARIATIONS - kept.length) / pours.length);
  const members = Math.min(cups.length, MOST_MEMBERS, group.count, 1 + room);
  let next = plan;
  const added: Variation[] = [];
  for (let on = 1; on < members; on++) {
    const cavities = Array.from({ length: group.count }, (_, i) => i + 1).filter(
      (n) => (n - 1) % members === on
    );
    for (const { step, cupId } of pours) {
      const id = freshId(next, 'family');
      added.push({ id, stepId: step.id, cavities, change: { cupId: placed(cups, cupId, on) } });
      next = withVariations(next, groupId, [...kept, ...added]);
    }
  }
  return next;
}

const withVariations = (plan: Plan, groupId: string, variations: Variation[]): Plan => ({
  ...plan,
  groups: plan.groups.map((g) => (g.id === groupId ? { ...g, variations } : g))
});

/** One casting: the next member, its colours one place further on. */
function asNext(plan: Plan, pours: readonly Poured[], cups: readonly string[]): Plan {
  const cupOf = new Map(pours.map((p) => [p.step.id, placed(cups, p.cupId, 1)]));
  return {
    ...plan,
    steps: plan.steps.map((step) => {
      const to = cupOf.get(step.id);
      const known = to === undefined ? undefined : acts.read(step.act);
      return known
        ? { ...step, act: known.definition.changed(known.act, { cup: () => to! }) as Step['act'] }
        : step;
    })
  };
}
