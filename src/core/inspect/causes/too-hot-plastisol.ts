import type { Cause } from './cause';
import { made } from './case';

/** Past this it scorches, yellows and fumes, °C; the card's own limit wins. */
const LIMIT = 190;

/** Plastisol past its limit. */
export const tooHotPlastisol: Cause = {
  id: 'too-hot-plastisol',
  defects: ['overheated', 'yellowed'],
  looks(c) {
    if (!made(c, 'plastisol')) return undefined;
    const read = [...c.state.probed.values()].map((p) => p.celsius);
    if (!read.length) return { note: 'the highest temperature the plastisol reached' };
    const most = Math.max(...read);
    return most > LIMIT
      ? {
          fact: `a probe read ${most.toFixed(0)} °C; past ${LIMIT} °C it scorches`,
          strength: most / LIMIT - 1,
          change: 'stop the heat at 175 °C'
        }
      : undefined;
  }
};
