import { celsiusAt, type Room } from '../../cure';
import { behaviourOf, type Base } from '../../material';
import type { FrozenRun } from '../snapshot/frozen';
import { lastLayer, mixedIn, paceSoFar, roomOf } from './refit';
import type { RunState } from '../log/state';

const MINUTE = 60_000;

/**
 * How warm a cup, or what was poured last into a group of cavities, should be at a moment, °C: by the cure model, its mass or
 * depth, the room as read and how it has run so far. The room’s own temperature for what has no such model, and before it is
 * mixed.
 * @param of a cup, a mix or a group by its id
 * @param at ms since 1970
 */
export function warmthOf(frozen: FrozenRun, state: RunState, of: string, at: number): number {
  const mixId = frozen.computed.cups
    .find((c) => c.cupId === of)
    ?.mixes.findLast((m) => state.cups.get(m.mixId)?.zero);
  const cup = mixedIn(frozen, state, mixId?.mixId ?? of);
  const zero = state.cups.get(mixId?.mixId ?? of)?.zero;
  if (cup && zero !== undefined && zero <= at) {
    const { factor } = paceSoFar(frozen, state, mixId?.mixId ?? of);
    const body = { cup: Math.max(1, cup.grams) };
    return inCourse(cup.base, body, {
      room: roomOf(frozen, state, zero),
      minutes: (at - zero) / MINUTE / factor,
      joinedAt: cup.joinedAt
    });
  }
  const layer = lastLayer(frozen, state, of);
  if (layer && layer.at <= at)
    return inCourse(
      layer.base,
      { layer: Math.max(0.05, layer.mm) },
      { room: roomOf(frozen, state, layer.at), minutes: (at - layer.at) / MINUTE }
    );
  return celsiusAt(roomOf(frozen, state, at));
}

interface Along {
  room: Room;
  minutes: number;
  joinedAt?: number | undefined;
}

/** °C so many minutes along a body’s cure, between the moments that are known. */
function inCourse(
  base: Base,
  body: { cup: number } | { layer: number },
  { room, minutes, joinedAt }: Along
): number {
  const course = behaviourOf(base, joinedAt).course?.(body, room).course;
  if (!course) return celsiusAt(room, minutes);
  const after = course.findIndex((m) => m.minute > minutes);
  if (after <= 0) return after < 0 ? celsiusAt(room, minutes) : course[0]!.celsius;
  const [a, b] = [course[after - 1]!, course[after]!];
  return a.celsius + ((b.celsius - a.celsius) * (minutes - a.minute)) / (b.minute - a.minute);
}
