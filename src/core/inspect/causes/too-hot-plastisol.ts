import type { Cause } from './cause';

/** Plastisol past the limit of its card. */
export const tooHotPlastisol: Cause = {
  id: 'too-hot-plastisol',
  defects: ['overheated', 'yellowed'],
  looks(c) {
    const base = c.bases.find((b) => b.kind === 'plastisol');
    if (base?.kind !== 'plastisol') return undefined;
    const read = [...c.state.probed.values()].map((p) => p.celsius);
    if (!read.length) return { note: 'the highest temperature the plastisol reached' };
    const most = Math.max(...read);
    return most > base.neverPast
      ? {
          fact: `a probe read ${most.toFixed(0)} °C; past ${base.neverPast} °C it scorches`,
          strength: most / base.neverPast - 1,
          change: `stop the heat at ${base.heatTo} °C`
        }
      : undefined;
  }
};
