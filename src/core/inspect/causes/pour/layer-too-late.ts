import { strongest, type Cause } from '../cause';
import { waits } from '../case';

/** A layer this many times past its gate no longer bonds by itself; a starting figure, the data sheet's recoat window wins. */
const LATE = 3;

/** The layer below was firm before the next one went on. */
export const layerTooLate: Cause = {
  id: 'layer-too-late',
  defects: ['separated layers'],
  evidence(c) {
    return strongest(
      waits(c).flatMap((g) => {
        const over = g.waited / Math.max(1, g.planned) - LATE;
        return over > 0
          ? [
              {
                fact: `the next layer went on after ${g.waited.toFixed(0)} min; the one below was ${g.state} after ${g.planned.toFixed(0)}`,
                strength: over,
                change: 'pour on sooner, or scuff and wipe the firm layer first'
              }
            ]
          : [];
      })
    );
  }
};
