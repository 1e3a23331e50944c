import { ActRegistry } from '../registry';
import { lay, Lay } from './lay';
import { wait, Wait } from './wait';

/** Every act there is. */
export const acts = new ActRegistry().add(lay).add(wait);

/** The acts that ship with the program, for records that must have an entry for each. */
export type Act = Lay | Wait;
export { lay, Lay, wait, Wait };
