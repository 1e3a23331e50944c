import { strongest, type Cause } from '../cause';
import { acted, minutesBetween } from '../case';
import { duration } from '../../../quantity';

/** Milled before its full cure. */
export const milledEarly: Cause = {
  id: 'milled-early',
  defects: ['milled away or peeled out', 'unclear edges or numbers'],
  evidence(c) {
    const zero = c.state.groups.get(c.groupId)?.lastPour;
    const cure = Math.max(0, ...c.bases.map((b) => ('fullCureHours' in b ? b.fullCureHours * 60 : 0)));
    if (!cure || zero === undefined) return undefined;
    return strongest(
      acted(c, 'mills').flatMap(({ entry }) => {
        const after = entry.doneAt === undefined ? cure : minutesBetween(zero, entry.doneAt);
        return after < cure * 0.98
          ? [
              {
                fact: `milled ${duration(after)} after the pour; cured through after ${duration(cure)}`,
                strength: cure / Math.max(1, after) - 1,
                change: 'wait for the full cure'
              }
            ]
          : [];
      })
    );
  }
};
