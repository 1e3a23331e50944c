import { strongest, type Cause } from '../cause';
import { booksHere, cupName, like, minutesBetween, type Case } from '../case';
import { behaviourOf, EXOTHERM_LIMIT } from '../../../material';
import { duration, figure } from '../../../quantity';

/** Too much mixed resin stood in one cup. */
export const cupTooHot: Cause = {
  id: 'cup-too-hot',
  defects: ['overheated', 'yellowed', 'bubbles on the open face'],
  evidence(c) {
    if (!like(c, 'heats itself')) return undefined;
    return strongest(
      booksHere(c).flatMap((b) => {
        const cup = c.frozen.computed.cups.find((x) => x.mixes.some((m) => m.mixId === b.mixId));
        const base = c.bases.find((x) => x.id === cup?.baseId);
        const stood = stoodFor(c, b.mixId);
        if (!base || stood === undefined) return [];
        const room = c.plan.bench.roomCelsius;
        const behaviour = behaviourOf(base);
        const hotAfter = Math.min(
          behaviour.warmsTo(EXOTHERM_LIMIT, { cup: b.put }, room),
          behaviour.goneBy(b.put, room)
        );
        const peak = behaviour.cupPeak(b.put, room);
        if (peak <= EXOTHERM_LIMIT || stood < hotAfter) return [];
        return [
          {
            fact: `${figure(b.put, 'g', 0)} stood ${duration(stood)} in ${cupName(c, b.mixId)}; from ${duration(hotAfter)} on it runs hot, to ${figure(peak, '°C', 0)}`,
            strength: stood / Math.max(1, hotAfter) - 0.9,
            change: 'smaller cups, or pour at once'
          }
        ];
      })
    );
  }
};

/** Minutes that a mix stood in its cup, from the joining of its parts until the last of it was poured; undefined where nothing tells. */
function stoodFor(c: Case, mixId: string): number | undefined {
  const zero = c.state.cups.get(mixId)?.zero;
  const out = c.state.tasks.flatMap(({ task, doneAt }) =>
    task.kind === 'pour' && task.mixId === mixId && doneAt !== undefined ? [doneAt] : []
  );
  return zero === undefined || !out.length ? undefined : minutesBetween(zero, Math.max(...out));
}
