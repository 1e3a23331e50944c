import type { Form } from './colourant';

/** Whether a colourant belongs in a material, and why not or with what care. */
export interface Compatibility {
  verdict: 'good' | 'care' | 'avoid';
  reason: string;
}

/** How every form of colourant takes to one material. */
export type Compatibilities = Readonly<Record<Form, Compatibility>>;

export const good: Compatibility = { verdict: 'good', reason: '' };
export const care = (reason: string): Compatibility => ({ verdict: 'care', reason });
export const avoid = (reason: string): Compatibility => ({ verdict: 'avoid', reason });

export const onlySurface = care('only shows on the surface');
export const ifHeatProof = care('only if it is heat-proof');
export const inItsOwnBase = care('only in the material it was mixed with');
/** A colourant that is made for something else. */
export const madeFor = (what: string): Compatibility => avoid(`it is made for ${what} and will not mix in`);
