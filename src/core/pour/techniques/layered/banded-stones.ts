import { DAY, RIM, act, pour, share, technique, until } from '../technique';

/** Thin layers of many colours by weight, some of them small swirls, one badly mixed on purpose. */
export const bandedStones = technique({
  id: 'banded-stones',
  name: 'Speckled strata',
  about: 'thin bands like a cut stone',
  look: 'stone',
  also: ['strata', 'terrazzo bands'],
  suits: ['sets in bands'],
  cups: ['bands, in turn', '…'],
  least: 2,
  pictured: 'cut',
  learn: ['what each layer weighed'],
  steps: ({ cups, apart }) => {
    const bands = Math.max(cups.length, 8);
    return [
      ...Array.from({ length: bands }, (_, i) => ({
        act: pour('lay', cups[i % cups.length]!, i === bands - 1 ? RIM : share(1 / bands)),
        ...(i ? { until: [until(apart)] } : {}),
        note: 'by weight: in a closed mould the level is hidden'
      })),
      { act: act('demould'), until: [{ checked: 'firm all through' }] },
      { act: act('trim') },
      { act: act('air', { minutes: 3 * DAY }) },
      { act: act('sand', { grits: [800, 1500], wet: 'wet' }), note: 'polish it wet' }
    ];
  }
});
