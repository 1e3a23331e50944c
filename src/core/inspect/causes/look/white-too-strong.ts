import { takesOver, WHITE_LIGHTNESS, whitesIn } from '../../../plan';
import type { Case } from '../case';
import { asItsWarningMends, strongest, type Cause, type Pointed } from '../cause';

const percent = (share: number) => `${(share * 100).toFixed(0)} %`;
const CHANGE = 'less of its white, or pour it later';
const nameOf = (c: Case, cupId: string) =>
  c.frozen.computed.cups.find((x) => x.cupId === cupId)?.name ?? cupId;

/** A white that covers more of a swirl than was poured of it: by the shares that the plan's own warning names, or by a photo. */
export const whiteTooStrong: Cause = {
  id: 'white-too-strong',
  defects: ['white took over'],
  evidence: (c) => strongest([...byPlan(c), ...byPhoto(c)])
};

function byPlan(c: Case): Pointed[] {
  const { computed } = c.frozen;
  const groups = computed.groups.filter((g) => g.groupId === c.groupId);
  return whitesIn(computed.cups, groups)
    .filter(takesOver)
    .map((w) => ({
      fact: `${nameOf(c, w.cupId)} is ${percent(w.pour)} of what swirls together and can cover ${percent(w.face)} of its face`,
      strength: w.face / w.pour - 1,
      change: CHANGE,
      apply: asItsWarningMends('white-takes-over')
    }));
}

/** A white that was measured on a photo to show more than planned, by more than measuring errs. */
const byPhoto = (c: Case): Pointed[] =>
  (c.beside.shown ?? []).flatMap(({ cupIds, face, planned, measured, limit }) => {
    const white = c.frozen.computed.cups.find(
      (x) => cupIds.includes(x.cupId) && x.looks.own.lab.l >= WHITE_LIGHTNESS
    );
    if (!white || measured <= planned) return [];
    return [
      {
        fact: `${white.name} shows ${percent(measured)} of the ${face}, ${percent(planned)} planned; measuring errs by ${percent(limit)}`,
        strength: measured / Math.max(limit, planned) - 1,
        change: CHANGE,
        apply: asItsWarningMends('white-takes-over')
      }
    ];
  });
