import { materials } from '../../../material';
import { strongest, waitAtLeast, waitOutOfMould, type Cause } from '../cause';
import { acted, minutesBetween } from '../case';
import { duration } from '../../../quantity';

/** Sealed before its days were over. */
export const sealedEarly: Cause = {
  id: 'sealed-early',
  defects: ['sealed too early', 'washed-out stain'],
  evidence(c) {
    const out = c.state.groups.get(c.groupId)?.demoulded;
    const seals = acted(c, 'seals').filter((a) => a.entry.status === 'done');
    if (!seals.length || out === undefined) return { note: 'when it was demoulded and when it was sealed' };
    return strongest(
      seals.flatMap(({ step, entry }) => {
        const after = minutesBetween(out, entry.doneAt ?? out);
        const asked = step.gates.flatMap((g) =>
          g.all.flatMap((x) => (x.kind === 'since' ? [{ gate: g.id, minutes: x.minutes }] : []))
        );
        const [most] = asked.sort((a, b) => b.minutes - a.minutes);
        const dry = Math.max(0, ...c.bases.map((b) => materials.of(b).sealAfter ?? 0));
        const least = Math.max(most?.minutes ?? 0, dry);
        if (after >= least * 0.98) return [];
        const from = most && most.minutes >= dry ? 'planned from' : 'it is dry after';
        return [
          {
            fact: `sealed ${duration(after)} after demoulding; ${from} ${duration(least)}`,
            strength: least / Math.max(1, after) - 1,
            change: `wait ${duration(least)}, or until two weighings a day apart agree`,
            apply: most ? waitAtLeast(most.gate, least) : waitOutOfMould(step.id, c.groupId, least)
          }
        ];
      })
    );
  }
};
