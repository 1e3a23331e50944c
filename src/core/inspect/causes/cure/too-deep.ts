import { coolsAs } from '../../../cure';
import { strongest, type Cause } from '../cause';
import { materials } from '../../../material';
import { figure } from '../../../quantity';

/** A layer deeper than its resin takes. */
export const layerTooDeepForIt: Cause = {
  id: 'too-deep',
  defects: ['overheated', 'yellowed'],
  evidence(c) {
    return strongest(
      c.frozen.computed.groups
        .filter((g) => g.groupId === c.groupId)
        .flatMap((g) => {
          const piece = g.layers.reduce((s, l) => s + l.each, 0);
          return g.layers.flatMap((l) => {
            const cup = c.frozen.computed.cups.find((x) => x.cupId === l.cupId);
            const base = c.bases.find((b) => b.id === cup?.baseId);
            const deep = l.to - l.from;
            const limit = base && materials.of(base).depthLimit?.(base);
            const cools = l.chamber ? deep : coolsAs(l.each, deep, piece);
            return limit !== undefined && cools > limit
              ? [
                  {
                    fact: `a layer of ${figure(deep, 'mm', 1)}; this resin takes ${figure(limit, 'mm')}`,
                    strength: cools / limit - 1,
                    change: `layers of at most ${figure(limit, 'mm')}, each on the gelled one below`
                  }
                ]
              : [];
          });
        })
    );
  }
};
