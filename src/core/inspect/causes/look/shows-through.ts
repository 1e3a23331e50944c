import { strongest, type Cause } from '../cause';
import { layersHere } from '../case';
import { figure } from '../../../quantity';

/** A film thinner than this share of what hides lets what lies behind it through. A starting figure. */
const SHARE = 0.5;

/** A colour too thin to hide what lies behind it. */
export const showsThrough: Cause = {
  id: 'shows-through',
  defects: ['colours read as one', 'too dark, too light or another hue'],
  evidence(c) {
    const layers = layersHere(c);
    return strongest(
      layers.flatMap(({ layer, level }) => {
        const cup = c.frozen.computed.cups.find((x) => x.cupId === layer.cupId);
        const mm = layer.to - layer.from;
        if (!cup || cup.hides === null || !level || layers.length < 2 || mm >= cup.hides * SHARE) return [];
        return [
          {
            fact: `${cup.name} lies ${figure(mm, 'mm', 1)} thick and hides only from ${figure(cup.hides, 'mm', 1)} on`,
            strength: (cup.hides * SHARE) / Math.max(0.1, mm) - 0.8,
            change: 'an opaque body under it first, more white in it, or a thicker layer'
          }
        ];
      })
    );
  }
};
