import type { Rule } from './rule';
import { airStays } from './air-stays';
import { barrierOverrun } from './barrier-overrun';
import { crossesEmbed } from './crosses-embed';
import { demouldLate } from './demould-late';
import { flameNearAlcohol } from './flame-near-alcohol';
import { inkBleeds } from './ink-bleeds';
import { flameOnWet } from './flame-on-wet';
import { embedUncovered } from './embed-uncovered';
import { embedDrifts } from './embed-drifts';
import { dragBelowGel } from './drag-below-gel';
import { glueBeforeSeal } from './glue-before-seal';
import { sealedWet } from './sealed-wet';
import { milledSoft } from './milled-soft';
import { refilledDeep } from './refilled-deep';
import { refilledSoft } from './refilled-soft';
import { dustLate } from './dust-late';
import { dustOnMatte } from './dust-on-matte';
import { settles } from './settles';
import { toolInGel } from './tool-in-gel';
import { toolOrder } from './tool-order';
import { cupsOverHands } from './cups-over-hands';
import { sandedSoft } from './sanded-soft';
import { strewnFresh } from './strewn-fresh';
import { skinUnsprayed } from './skin-unsprayed';
import { sprueUntopped } from './sprue-untopped';
import { stillInMould } from './still-in-mould';

/** Every rule of the pour, by the code of what it finds. */
export const POUR_RULES: readonly Rule[] = [
  airStays,
  barrierOverrun,
  crossesEmbed,
  demouldLate,
  flameNearAlcohol,
  flameOnWet,
  inkBleeds,
  embedUncovered,
  embedDrifts,
  dragBelowGel,
  toolInGel,
  glueBeforeSeal,
  sealedWet,
  milledSoft,
  refilledSoft,
  refilledDeep,
  dustLate,
  dustOnMatte,
  settles,
  toolOrder,
  cupsOverHands,
  stillInMould,
  skinUnsprayed,
  sandedSoft,
  strewnFresh,
  sprueUntopped
];

export type { CupFacts, Done, Sequence } from './rule';
