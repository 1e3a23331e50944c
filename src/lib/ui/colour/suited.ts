import { compatibilityOf, type Base, type Colourant } from '$core/material';

/** The base that most of the colourants belong in: the likeliest one to be colouring. */
export function suited(bases: readonly Base[], colourants: readonly Colourant[]): Base | undefined {
  const fitting = (b: Base) =>
    colourants.filter((c) => compatibilityOf(c.form, b.kind).verdict === 'good').length;
  return [...bases].sort((a, b) => fitting(b) - fitting(a))[0];
}
