import type { Diagnostic, Fix } from '../../problem';
import { HEADROOM, vesselFor, type Vessel } from '../../shelf/vessel';
import type { ResolvedPlan } from '../resolve';
import { moreTurns, type Batch } from './batches';
import { figure } from '../../quantity';

/** A mix that no vessel at hand stirs, or more than the one that was chosen does. */
export function vesselTooSmall(plan: ResolvedPlan, b: Batch): Diagnostic[] {
  const { vessel, ml } = b.largest;
  const largest = vessel ?? [...plan.vessels].sort((x, y) => y.ml - x.ml)[0];
  if (!largest || ml <= stirs(largest) + 1e-6) return [];
  return [
    {
      code: 'vessel-too-small',
      by: ml,
      level: 'warn',
      ...b.about,
      sentence: `${b.name} is ${figure(ml, 'ml', 0)}; ${largest.name} stirs ${figure(stirs(largest), 'ml', 0)}, a third left free.`,
      mend: 'Use a larger vessel, or mix less at once.',
      fixes: [...otherVessel(plan, b, ml), ...moreTurns(b, Math.ceil((ml * b.turns) / stirs(largest)))]
    }
  ];
}

const stirs = (v: Vessel) => v.ml * (1 - HEADROOM);

/** The smallest vessel of the shelf that holds it. */
function otherVessel({ plan, allVessels }: ResolvedPlan, b: Batch, ml: number): Fix[] {
  const fits = vesselFor(ml, [...allVessels.values()]);
  if (!fits) return [];
  const words = `Mix it in the ${fits.name}`;
  const path = b.splitMix ? ['mixes', b.mix.mix.id, 'vesselId'] : ['cups', b.cups[0]!.id, 'vesselId'];
  const atHand = [...new Set([...plan.bench.vesselIds, fits.id])];
  return [
    { words, edit: { path, value: fits.id } },
    { words: `${words}, at hand from now on`, edit: { path: ['bench', 'vesselIds'], value: atHand } }
  ];
}
