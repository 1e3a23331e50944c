import type { MaterialKind } from './base';
import type { Colourant, Form } from './colourant';

interface Limit {
  limit: number;
  reason: string;
}
const l = (limit: number, reason: string): Limit => ({ limit, reason });

/**
 * Usual limits, percent as supplied of the material's own basis, and what goes wrong above them. Typical
 * starting figures of the trade; a card's own limit wins. `rest` holds for forms not named.
 */
const LIMITS: Record<MaterialKind, Partial<Record<Form, Limit>> & { rest: Limit }> = {
  resin: {
    paste: l(6, 'the carrier softens the cure'),
    mica: l(5, 'mica thickens the mix and settles'),
    'interference pearl': l(5, 'mica thickens the mix and settles'),
    ink: l(1.5, 'alcohol softens the cure'),
    dispersion: l(1, 'water clouds the resin and leaves it soft'),
    rest: l(5, 'dry powder thickens the mix and traps air')
  },
  gypsum: { rest: l(2, 'more weakens the piece') },
  concrete: { rest: l(10, 'more weakens the piece; past 6 % it hardly gets darker') },
  soap: {
    mica: l(3, 'more rubs off'),
    botanical: l(1.5, 'more bleeds into the lather'),
    rest: l(2, 'more thickens the batter and colours the lather')
  },
  'melt and pour': { rest: l(1, 'more sinks and rubs off') },
  plastisol: {
    mica: l(0.5, 'more pearl yellows in the heat'),
    'interference pearl': l(0.5, 'more pearl yellows in the heat'),
    rest: l(3, 'more weakens and bleeds')
  },
  rubber: { rest: l(2, 'more softens the mould and may rub off on pieces') }
};

/** Most colourant a cup holds in all, percent of the material's basis, and what goes wrong above it. */
export const CUP_LIMITS: Record<MaterialKind, Limit> = {
  resin: l(6, 'resin cures soft'),
  gypsum: l(2, 'the piece is weak'),
  concrete: l(10, 'the piece is weak'),
  soap: l(4, 'colour comes off in the lather'),
  'melt and pour': l(1.5, 'colour sinks and rubs off'),
  plastisol: l(3, 'the piece is weak and bleeds'),
  rubber: l(2, 'the mould is soft')
};

/** The limit that holds for a colourant in a material, with its reason and whose figure it is. */
export function limitOf(colourant: Colourant, material: MaterialKind): Limit & { from: 'card' | 'usual' } {
  const usual = LIMITS[material][colourant.form] ?? LIMITS[material].rest;
  return colourant.limit === undefined
    ? { ...usual, from: 'usual' }
    : { limit: colourant.limit, reason: colourant.limitReason || usual.reason, from: 'card' };
}
