import { inPlan, type Diagnostic } from '../../problem';
import type { FilledCavitySet } from '../fill';
import { lightness } from '../light-to-dark';
import { otherMoulds } from '../fixes/other-mould';
import type { ResolvedPlan } from '../resolve';

/** So much paler than what a mould last held, lightness 0..1: then a trace of it shows. */
const PALER = 0.25;

/** A mould last used with a dark dye before a paler piece. */
export function residueProblems(
  plan: ResolvedPlan,
  filled: readonly FilledCavitySet[],
  colours: ReadonlyMap<string, string>
): Diagnostic[] {
  return filled.flatMap(({ cavitySet, layers }): Diagnostic[] => {
    const last = plan.learned.lastColours?.get(cavitySet.group.mouldId);
    const next = layers[0] && colours.get(layers[0].cupId);
    if (!last || !next || lightness(next) - lightness(last.colour) < PALER) return [];
    return [
      {
        code: 'mould-residue',
        level: last.dye ? 'warn' : 'note',
        ...inPlan('groups', cavitySet.group.id, 'mouldId'),
        sentence: `${cavitySet.name}: the mould last held ${last.name}, which is darker${last.dye ? ' and a dye' : ''}; a trace of it may show in this paler piece.`,
        mend: last.dye
          ? 'Cast one clear piece first, or keep a mould for dyes.'
          : 'Wash and wipe the mould with a white cloth first.',
        fixes: otherMoulds(plan, cavitySet.group)
      }
    ];
  });
}
