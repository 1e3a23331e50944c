import { applyEdit } from '../../../document/apply-edit';
import { computePlan, whitesIn, type Plan } from '../../../plan';
import { type Shelf } from '../../../shelf';
import { strongest, type Cause } from '../cause';

/** A white seen this many times its share of the pour stands out. */
const BEYOND = 1.25;

/** A white that covers more of a swirl than was poured of it: by the shares that the plan's own warning names. */
export const whiteTooStrong: Cause = {
  id: 'white-too-strong',
  defects: ['white took over'],
  evidence(c) {
    const { computed } = c.frozen;
    return strongest(
      whitesIn(
        computed.cups,
        computed.groups.filter((g) => g.groupId === c.groupId)
      )
        .filter((w) => w.face > BEYOND * w.pour)
        .map((w) => {
          const name = computed.cups.find((x) => x.cupId === w.cupId)?.name ?? w.cupId;
          return {
            fact: `${name} is ${(w.pour * 100).toFixed(0)} % of what swirls together and can cover ${(w.face * 100).toFixed(0)} % of its face`,
            strength: w.face / w.pour - 1,
            change: 'less of its white, or pour it later',
            apply: lessWhite
          };
        })
    );
  }
};

/** The plan with as much less white as its own warning has proved to be enough. */
function lessWhite(plan: Plan, shelf: Shelf): Plan {
  const edit = computePlan(plan, shelf).problems.find((p) => p.code === 'white-takes-over')?.edit;
  return edit ? applyEdit(plan, edit) : plan;
}
