import type { Room } from '../cure';
import type { Bench } from '../document';

/** The room as what is begun with the first mix feels it. */
export const roomIn = (bench: Bench): Room =>
  bench.night
    ? { day: bench.roomCelsius, night: bench.night.celsius, hour: bench.night.hour }
    : bench.roomCelsius;
