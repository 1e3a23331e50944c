import { z } from 'zod';
import { Scale } from '../dosing';
import { Base, Colourant } from '../material';
import { Mould } from '../mould';
import { Lot } from './lot';
import { Vessel } from './vessel';

/** More cards of one kind than any workshop keeps. */
const MOST_CARDS = 2000;
const cards = <T extends z.ZodType>(card: T) => z.array(card).max(MOST_CARDS).default([]);

/** The cards a plan refers to. */
export const Shelf = z.object({
  moulds: cards(Mould),
  bases: cards(Base),
  colourants: cards(Colourant),
  scales: cards(Scale),
  vessels: cards(Vessel),
  lots: cards(Lot)
});
export type Shelf = z.infer<typeof Shelf>;
