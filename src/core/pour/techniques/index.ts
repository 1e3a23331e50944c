import type { Technique } from './technique';
import { layers } from './layered/layers';
import { splitFace } from './layered/split-face';
import { speckedMarble } from './swirled/specked-marble';
import { puddleStack } from './swirled/puddle-stack';
import { pipedPetals } from './swirled/piped-petals';
import { drizzleAndBrush } from './swirled/drizzle-and-brush';
import { cupSwirl } from './swirled/cup-swirl';
import { dirtyCup } from './swirled/dirty-cup';
import { dividerSwirl } from './swirled/divider-swirl';
import { columnPour } from './swirled/column-pour';
import { embedsAndPipedTop } from './surface/embeds-and-piped-top';
import { secondDayTop } from './surface/second-day-top';
import { bandedStones } from './layered/banded-stones';
import { dragFlames } from './swirled/drag-flames';
import { dustedFace } from './surface/dusted-face';
import { regionInlay } from './surface/region-inlay';
import { regionInlayCrisp } from './surface/region-inlay-crisp';
import { suspendedInclusions } from './layered/suspended-inclusions';
import { heartsBloom } from './swirled/hearts-bloom';
import { doubleDirtyPour } from './swirled/double-dirty-pour';
import { stainedRelief } from './surface/stained-relief';
import { detailCoat } from './surface/detail-coat';
import { injectedColour } from './layered/injected-colour';
import { terrazzo } from './layered/terrazzo';
import { solidWithPearl } from './layered/solid-with-pearl';

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
  secondDayTop,
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

export { conditionOf, materialsFor, type Draft, type Setting, type Technique } from './technique';
export { LOOKS, type Look } from './looks';
