import { strongest, type Cause } from '../cause';
import { layersHere } from '../case';

/** A layer heavier than the one below it by more than this pushes through it while it is soft, a share. A starting figure. */
const HEAVIER = 0.02;

/** A heavy layer on a lighter one that had not gelled. */
export const heavyOnLight: Cause = {
  id: 'heavy-on-light',
  defects: ['layer broke through', 'colours run together'],
  evidence(c) {
    const cups = c.frozen.computed.cups;
    const layers = layersHere(c);
    return strongest(
      layers.slice(1).flatMap((upper, i) => {
        const lower = layers[i]!;
        const [below, above] = [lower, upper].map((l) => cups.find((x) => x.cupId === l.layer.cupId));
        if (!below || !above || !lower.level || !upper.level || upper.layer.gated) return [];
        const more = above.density / below.density - 1;
        return more > HEAVIER
          ? [
              {
                fact: `${above.name} weighs ${above.density.toFixed(2)} g/ml and lies on ${below.name} with ${below.density.toFixed(2)}, no gel waited for`,
                strength: more / HEAVIER - 0.5,
                change: 'let the layer below gel first, or pour the heavier one first'
              }
            ]
          : [];
      })
    );
  }
};
