import { materials } from '../../../material';
import { figure } from '../../../quantity';
import { strongest, type Cause } from '../cause';
import { mixesHere, rooms } from '../case';

/** A fat set again in the cup: it looked like trace and was none. Told by a probe in it, else by the room. */
export const fatSet: Cause = {
  id: 'fat-set',
  defects: [
    'oily, streaked or crumbly',
    'unmixed streaks or specks',
    'separated layers',
    'lost lines or bare patches'
  ],
  evidence(c) {
    const read = rooms(c).read;
    const mixes = new Set(mixesHere(c));
    const cups = c.frozen.computed.cups.filter((x) => x.mixes.some((m) => mixes.has(m.mixId)));
    const probed = cups.flatMap((x) => c.state.probed.get(x.cupId)?.celsius ?? []);
    const coldest = probed.length ? Math.min(...probed) : read;
    return strongest(
      c.bases.flatMap((base) => {
        const fat = coldest === undefined ? undefined : materials.of(base).setsIn?.(base, coldest);
        if (!fat || coldest === undefined) return [];
        // A room that was planned so is the plan's own note.
        if (!probed.length && coldest >= c.plan.bench.roomCelsius) return [];
        return [
          {
            fact: `${probed.length ? 'the cup was' : 'the room was'} ${figure(coldest, '°C')}; ${fat.name} sets under ${figure(fat.melts, '°C')} and passes for trace`,
            strength: (fat.melts - coldest) / 10,
            change: `work oils and lye at about ${figure(fat.melts + 5, '°C')}, and rewarm a cup that stiffens early`
          }
        ];
      })
    );
  }
};
