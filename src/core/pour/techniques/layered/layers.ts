import { RIM, act, pour, technique, until, upTo } from '../technique';

/** Level layers, each once the one below keeps it apart; a sharp line wants it cured and scuffed. */
export const layers = technique({
  id: 'layers',
  name: 'Layers',
  about: 'level bands, one over another',
  look: 'layers',
  also: ['bands', 'stripes', 'tiers'],
  suits: [],
  cups: ['the face', '…'],
  least: 1,
  pictured: 'cut',
  learn: ['the minutes waited at each gate', 'what each layer weighed'],
  steps: ({ cups, apart }) =>
    cups
      .map((cup, i) => ({
        act: pour('lay', cup, i === cups.length - 1 ? RIM : upTo((i + 1) / cups.length)),
        ...(i ? { until: [until(apart)] } : {})
      }))
      .concat([{ act: act('demould') }])
});
