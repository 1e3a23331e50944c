import type { Shelf } from '../src/core/shelf';
import { startingLibrary } from '../src/core/shelf';
import { knobMould } from './knob-mould';
import { moulds } from './moulds';

const own: Shelf = { moulds, ...startingLibrary };

/** Order J: its casting box, and the plan that pours its rubber. */
export const knob = knobMould(own);

/** The cards on Fenwick Sluice's shelf: its own moulds beside the starting library. */
export const cards: Shelf = { ...own, moulds: [...moulds, knob.container] };
