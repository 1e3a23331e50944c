import type { Plan } from '../src/core/plan';
import { knob } from './cards';
import { tideline } from './orders/tideline-knobs';
import { sluice } from './orders/sluice-bookends';
import { samphire } from './orders/samphire-hooks';
import { rockpool } from './orders/rockpool-roundels';
import { saltings } from './orders/saltings-bars';
import { nightHeron } from './orders/night-heron';
import { shingle } from './orders/shingle-dishes';
import { eel } from './orders/eel-cords';
import { lantern } from './orders/lantern-tags';
import { gauge } from './orders/gauge-pots';
import { buoy } from './orders/marker-buoys';
import { kingfisher } from './orders/kingfisher-tiles';
import { fogBank } from './orders/fog-bank';
import { bollard } from './orders/bollard-markers';
import { culvert } from './orders/culvert-trays';
import { fender } from './orders/fender-bumpers';

export { tideline, sluice, samphire, rockpool, saltings, nightHeron, shingle, eel, lantern };
export { gauge, buoy, kingfisher, fogBank, bollard, culvert, fender };

/** Every plan of the demo workshop, orders A to Q. */
export const plans: Plan[] = [
  samphire,
  sluice,
  rockpool,
  saltings,
  nightHeron,
  shingle,
  eel,
  lantern,
  knob.plan,
  gauge,
  buoy,
  kingfisher,
  fogBank,
  bollard,
  culvert,
  fender,
  tideline
];
