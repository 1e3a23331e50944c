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

export { tideline, sluice, samphire, rockpool, saltings, nightHeron, shingle, eel, lantern };

/** Every plan of the demo workshop, orders A to J. */
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
  tideline
];
