import { maybe, oneOf, outline, pot, quantity, zone, type ActOf } from '../../fields';

/** Dry mica on the mould face before anything: what touches the mould first is what shows. */
export const fields = {
  colourantId: pot('Which mica'),
  over: oneOf('Over', ['the raised parts', 'a zone', 'all of it'], 'all of it'),
  zone: zone(),
  within: maybe(outline('Within, as it lies in the mould')),
  cover: quantity('Covers', '%', 0.8, { max: 1 }),
  fade: oneOf('Fades', ['evenly', 'to the left', 'to the right', 'away', 'outward'], 'evenly'),
  wiped: oneOf('Wiped', ['no', 'from the raised parts'], 'no')
};
export type Dust = ActOf<'dust', typeof fields>;
