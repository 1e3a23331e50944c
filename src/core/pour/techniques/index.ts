import type { Technique } from './technique';
import { layers } from './layers';
import { splitFace } from './split-face';
import { speckedMarble } from './specked-marble';
import { puddleStack } from './puddle-stack';
import { pipedPetals } from './piped-petals';
import { drizzleAndBrush } from './drizzle-and-brush';
import { cupSwirl } from './cup-swirl';
import { dirtyCup } from './dirty-cup';
import { dividerSwirl } from './divider-swirl';
import { columnPour } from './column-pour';
import { embedsAndPipedTop } from './embeds-and-piped-top';
import { bandedStones } from './banded-stones';
import { dragFlames } from './drag-flames';
import { dustedFace } from './dusted-face';
import { regionInlay } from './region-inlay';
import { regionInlayCrisp } from './region-inlay-crisp';
import { suspendedInclusions } from './suspended-inclusions';
import { heartsBloom } from './hearts-bloom';
import { doubleDirtyPour } from './double-dirty-pour';
import { stainedRelief } from './stained-relief';
import { detailCoat } from './detail-coat';
import { injectedColour } from './injected-colour';
import { terrazzo } from './terrazzo';
import { solidWithPearl } from './solid-with-pearl';

/** Every technique there is, from the plain to the long. */
export const TECHNIQUES: readonly Technique[] = [
  layers,
  splitFace,
  speckedMarble,
  puddleStack,
  pipedPetals,
  drizzleAndBrush,
  cupSwirl,
  dirtyCup,
  dividerSwirl,
  columnPour,
  embedsAndPipedTop,
  bandedStones,
  dragFlames,
  dustedFace,
  regionInlay,
  regionInlayCrisp,
  suspendedInclusions,
  heartsBloom,
  doubleDirtyPour,
  stainedRelief,
  detailCoat,
  injectedColour,
  terrazzo,
  solidWithPearl
];

export { conditionOf, type Draft, type Material, type Setting, type Technique } from './technique';
