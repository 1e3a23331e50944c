import { type ActOf, minutes, quantity } from '../../fields';

/** The mould is tilted so that what is fluid runs to one side and back. */
export const fields = {
  towards: quantity('Towards', '°', 0, { max: 360 }),
  degrees: quantity('By', '°', 20, { max: 90 }),
  minutes: minutes('For', 1, 60)
};
export type Tilt = ActOf<'tilt', typeof fields>;
