import { coldSoap } from './cold-soap';
import { concrete } from './concrete';
import { gypsum } from './gypsum';
import { meltAndPour } from './melt-and-pour';
import { plastisol } from './plastisol';
import { resin } from './resin';
import { rubber } from './rubber';
import type { ConcreteCard } from './concrete/card';
import type { SoapCard } from './cold-soap/card';
import type { GypsumCard } from './gypsum/card';
import type { MeltAndPourCard } from './melt-and-pour/card';
import type { PlastisolCard } from './plastisol/card';
import type { ResinCard } from './resin/card';
import type { RubberCard } from './rubber/card';

/** Every material that comes with the program, in the order lists show them. */
export const KINDS = [resin, gypsum, concrete, coldSoap, meltAndPour, plastisol, rubber] as const;

/** The card of any of them. */
export type Base =
  ResinCard | GypsumCard | ConcreteCard | SoapCard | MeltAndPourCard | PlastisolCard | RubberCard;
