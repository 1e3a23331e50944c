import type { MaterialKind } from './base';
import type { Form } from './colourant';

/** Whether a colourant belongs in a material, and why not or with what care. */
export interface Compatibility {
  verdict: 'good' | 'care' | 'avoid';
  reason: string;
}
const good: Compatibility = { verdict: 'good', reason: '' };
const care = (reason: string): Compatibility => ({ verdict: 'care', reason });
const avoid = (reason: string): Compatibility => ({ verdict: 'avoid', reason });

const surface = care('only shows on the surface');
const heatProof = care('only if it is heat-proof');
const ownBase = care('only in the base it was mixed with');
const notOfThis = (what: string) => avoid(`it is made for ${what} and will not mix in`);

/** The trade's usual table: form by material. The maker's own trial card wins over any of it. */
const TABLE: Record<Form, Record<MaterialKind, Compatibility>> = {
  mica: {
    resin: good,
    soap: good,
    'melt and pour': good,
    concrete: surface,
    gypsum: care('pale in a white body'),
    plastisol: heatProof,
    rubber: care('only to tell halves apart')
  },
  'interference pearl': {
    resin: care('shows over dark, nearly nothing over white'),
    soap: care('faint in an opaque body'),
    'melt and pour': care('faint in an opaque body'),
    concrete: surface,
    gypsum: avoid('nothing of it shows in a white body'),
    plastisol: heatProof,
    rubber: care('only to tell halves apart')
  },
  powder: {
    resin: care('wet it out first, or it stays in specks'),
    soap: care('disperse it in a little oil first'),
    'melt and pour': care('disperse it first'),
    concrete: good,
    gypsum: care('weakens past 2 %'),
    plastisol: care('leaves grit unless milled'),
    rubber: care('only to tell halves apart')
  },
  paste: {
    resin: good,
    soap: notOfThis('resin'),
    'melt and pour': notOfThis('resin'),
    concrete: notOfThis('resin'),
    gypsum: notOfThis('resin'),
    plastisol: notOfThis('resin'),
    rubber: care('its carrier may keep the rubber from curing')
  },
  ink: {
    resin: care('no flame while it is wet; fades; softens past 1.5 %'),
    soap: avoid('alcohol upsets the batter and it fades'),
    'melt and pour': avoid('alcohol upsets the base and it fades'),
    concrete: avoid('it fades in the alkali'),
    gypsum: avoid('it fades and blooms'),
    plastisol: avoid('alcohol flashes in the heat'),
    rubber: avoid('alcohol keeps it from curing')
  },
  dispersion: {
    resin: avoid('water clouds it and it cures soft'),
    soap: good,
    'melt and pour': good,
    concrete: good,
    gypsum: good,
    plastisol: avoid('water in hot plastisol spits'),
    rubber: avoid('water keeps it from curing')
  },
  botanical: {
    resin: care('may trap air and brown'),
    soap: good,
    'melt and pour': care('browns'),
    concrete: care('weak and uneven'),
    gypsum: care('weak and uneven'),
    plastisol: avoid('it chars'),
    rubber: avoid('it may keep the rubber from curing')
  },
  glitter: {
    resin: care('sinks in fresh resin, sits on gelled'),
    soap: care('on the top only'),
    'melt and pour': care('on the top only'),
    concrete: surface,
    gypsum: surface,
    plastisol: heatProof,
    rubber: avoid('it prints into every piece')
  },
  'plastisol colour': {
    resin: notOfThis('plastisol'),
    soap: notOfThis('plastisol'),
    'melt and pour': notOfThis('plastisol'),
    concrete: notOfThis('plastisol'),
    gypsum: notOfThis('plastisol'),
    plastisol: good,
    rubber: notOfThis('plastisol')
  },
  premix: {
    resin: ownBase,
    soap: ownBase,
    'melt and pour': ownBase,
    concrete: ownBase,
    gypsum: ownBase,
    plastisol: ownBase,
    rubber: ownBase
  }
};

/** Looks a form and a material up in the usual table. */
export const compatibilityOf = (form: Form, material: MaterialKind): Compatibility => TABLE[form][material];
