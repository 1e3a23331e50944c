import type { compatibilityOf } from '$core/material';

/** The colour in which a verdict on a colourant in a material is written. */
export const VERDICTS: Record<ReturnType<typeof compatibilityOf>['verdict'], string> = {
  good: 'text-verdigris',
  care: 'text-ochre',
  avoid: 'text-cinnabar'
};
