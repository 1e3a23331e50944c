import { strongest, type Cause } from '../cause';
import { cupName, stirredHere } from '../case';
import { figure } from '../../../quantity';

/** Liquid stirred into a mix that had thickened. */
export const rewetted: Cause = {
  id: 'rewetted',
  defects: [
    'tacky or soft',
    'snapped or chipped on demould',
    'sweat marks',
    'water marks',
    'separated layers',
    'lost lines or bare patches'
  ],
  evidence(c) {
    const here = stirredHere(c);
    return strongest(
      c.state.mishaps
        .filter((m) => m.kind === 'rewetted' && here.has(m.of) && !m.over)
        .map((m) => ({
          fact: `${figure(m.grams, 'g', 1)} of ${m.part} were stirred into ${cupName(c, m.of)}`,
          strength: m.grams / 20,
          change: 'mix less at a time, or cooler; plasticiser before water'
        }))
    );
  }
};
