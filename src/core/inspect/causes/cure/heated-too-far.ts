import { materials } from '../../../material';
import type { Cause } from '../cause';
import { figure } from '../../../quantity';

/** Plastisol past the limit of its card. */
export const tooHotPlastisol: Cause = {
  id: 'too-hot-plastisol',
  defects: ['overheated', 'yellowed'],
  evidence(c) {
    const base = c.bases.find((b) => materials.has(b.kind, 'counts its heats'));
    const heat = base && materials.of(base).heat?.(base);
    if (!heat) return undefined;
    const read = [...c.state.probed.values()].map((p) => p.celsius);
    if (!read.length) return { note: 'the highest temperature the plastisol reached' };
    const most = Math.max(...read);
    return most > heat.neverPast
      ? {
          fact: `a probe read ${figure(most, '°C', 0)}; past ${figure(heat.neverPast, '°C')} it scorches`,
          strength: most / heat.neverPast - 1,
          change: `stop the heat at ${figure(heat.to, '°C')}`
        }
      : undefined;
  }
};
