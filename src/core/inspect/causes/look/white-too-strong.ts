import { takesOver, whitesIn } from '../../../plan';
import { asItsWarningMends, strongest, type Cause } from '../cause';

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
        .filter(takesOver)
        .map((w) => {
          const name = computed.cups.find((x) => x.cupId === w.cupId)?.name ?? w.cupId;
          return {
            fact: `${name} is ${(w.pour * 100).toFixed(0)} % of what swirls together and can cover ${(w.face * 100).toFixed(0)} % of its face`,
            strength: w.face / w.pour - 1,
            change: 'less of its white, or pour it later',
            apply: asItsWarningMends('white-takes-over')
          };
        })
    );
  }
};
