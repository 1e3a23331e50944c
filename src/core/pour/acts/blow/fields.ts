import { type ActOf, count, oneOf, place, quantity } from '../../fields';

/** Warm air or a straw pushes the surface and feathers it. */
export const fields = {
  with: oneOf('With', ['warm air', 'a straw', 'breath'], 'warm air'),
  at: place(),
  towards: quantity('Towards', '°', 90, { max: 360 }),
  strength: quantity('How hard', '%', 0.4, { max: 1 }),
  seconds: count('Seconds', 10, 600)
};
export type Blow = ActOf<'blow', typeof fields>;
