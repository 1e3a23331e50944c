import { z } from 'zod';
import { ok, type Result } from '../problem';
import { ConcreteBase, concreteFormula } from './concrete';
import type { Formula } from './formula';
import { GypsumBase, gypsumFormula } from './gypsum';
import { MeltBase, meltFormula } from './melt';
import { RubberBase, rubberFormula } from './rubber';
import { ResinBase, resinFormula } from './resin';
import { SoapBase, soapFormula } from './soap';

/** A base card: the uncoloured material, of any of the crafts. */
export const Base = z.discriminatedUnion('kind', [
  ResinBase,
  GypsumBase,
  ConcreteBase,
  SoapBase,
  MeltBase,
  RubberBase
]);
export type Base = z.infer<typeof Base>;
export type MaterialKind = Base['kind'];

/** Resolves any base card to parts by weight, density and basis, or says why it cannot be. */
export function formulaOf(base: Base): Result<Formula> {
  switch (base.kind) {
    case 'resin':
      return resinFormula(base);
    case 'gypsum':
      return ok(gypsumFormula(base));
    case 'concrete':
      return ok(concreteFormula(base));
    case 'soap':
      return soapFormula(base);
    case 'melt and pour':
    case 'plastisol':
      return meltFormula(base);
    case 'rubber':
      return ok(rubberFormula(base));
  }
}

/** What a maker calls the material, for lists. */
export const MATERIAL_WORDS: Record<MaterialKind, string> = {
  resin: 'two-part resin',
  gypsum: 'jesmonite or casting powder',
  concrete: 'concrete',
  soap: 'cold-process soap',
  'melt and pour': 'melt-and-pour soap',
  plastisol: 'plastisol',
  rubber: 'mould rubber'
};
