import { inhibitionCautions } from '../mould';
import type { Base, MaterialKind } from './base';

/** The usual cautions of each material, shown where it is planned and before it is mixed. */
const CAUTIONS: Record<MaterialKind, readonly string[]> = {
  resin: [
    'Resin is a sensitiser: nitrile gloves, no skin contact, fresh air; a respirator where the data sheet says.',
    'A full cup heats itself: do not leave mixed resin standing deep.',
    'Dust from sanding needs a mask and extraction.'
  ],
  gypsum: [
    'Powder dust: wear a mask until it is wet.',
    'It warms as it sets: never cast round a part of the body.'
  ],
  concrete: [
    'Wet cement is caustic: gloves and goggles; wash splashes off at once.',
    'Dry powder holds silica dust: respirator, and mix outdoors or with extraction.',
    'Nothing goes down the drain.'
  ],
  soap: [
    'Lye burns: goggles, gloves, long sleeves. Lye into water, never water into lye; never in aluminium.',
    'On skin, water is first aid; vinegar is not.',
    'Soap for the skin: keep fragrance within its supplier’s and local limits.'
  ],
  'melt and pour': ['Hot base scalds: melt gently and keep children away.', 'No flame on soap.'],
  plastisol: [
    'Burns and fumes: outdoors or extracted, heat-proof gloves, face shield.',
    'No water anywhere near hot plastisol: it spits.',
    'Never past the limit on the card: it scorches, yellows and fumes.'
  ],
  rubber: [
    'Gloves and fresh air; keep it off clothes, it never washes out.',
    'Part B is an irritant in tin-cured rubbers: nitrile gloves and goggles.'
  ]
};

/** The cautions that hold for a base: the material's usual ones and the card's own. */
export const cautionsOf = (base: Base): string[] => [
  ...new Set([
    ...CAUTIONS[base.kind],
    ...(base.kind === 'rubber' ? inhibitionCautions(base.cure) : []),
    ...base.cautions
  ])
];
