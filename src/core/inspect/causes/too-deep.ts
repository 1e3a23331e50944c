import { strongest, type Cause } from './cause';
import { made } from './case';

/** A layer deeper than its resin takes. */
export const tooDeep: Cause = {
  id: 'too-deep',
  defects: ['overheated', 'yellowed'],
  looks(c) {
    if (!made(c, 'resin')) return undefined;
    return strongest(
      c.frozen.computed.groups
        .filter((g) => g.groupId === c.groupId)
        .flatMap((g) =>
          g.layers.flatMap((l) => {
            const cup = c.frozen.computed.cups.find((x) => x.cupId === l.cupId);
            const base = c.bases.find((b) => b.id === cup?.baseId);
            const deep = l.to - l.from;
            return base?.kind === 'resin' && deep > base.depthLimit
              ? [
                  {
                    fact: `a layer of ${deep.toFixed(1)} mm; this resin takes ${base.depthLimit} mm`,
                    strength: deep / base.depthLimit - 1,
                    change: `layers of at most ${base.depthLimit} mm, each on the gelled one below`
                  }
                ]
              : [];
          })
        )
    );
  }
};
