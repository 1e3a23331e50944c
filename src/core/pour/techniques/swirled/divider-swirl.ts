import { RIM, act, faceSide, outOfMould, pour, share, technique, wholeMm, zigzag } from '../technique';

/** Chambers filled turn by turn in rounds, the divider lifted in one pull, a skewer looped through. */
export const dividerSwirl = technique({
  id: 'divider-swirl',
  name: 'Divider swirl',
  about: 'chambers drawn into one another',
  look: 'swirls',
  also: ['partition', 'comb', 'chambers'],
  suits: ['goes by trace'],
  cups: ['chambers, in turn', '…'],
  least: 2,
  learn: ['rounds', 'trace at the pour'],
  together: true,
  steps: ({ cups, chambers, cutInto, ...of }) => {
    // Without chambers on its card the cavity takes the cups one after another, an equal share each.
    const into = chambers.length ? chambers.map((c) => c.id) : cups.map(() => undefined);
    // The outer pair first, then inward, so that the dividers do not lean.
    const order = into.map((id, i) => ({
      id,
      cup: cups[i % cups.length]!,
      out: Math.abs(i - (into.length - 1) / 2)
    }));
    const inward = order.sort((a, b) => b.out - a.out);
    return [
      ...inward.map(({ id, cup }, i) => ({
        act:
          id === undefined
            ? pour('chamber', cup, i === inward.length - 1 ? RIM : share(1 / inward.length))
            : pour('chamber', cup, RIM, { chamberId: id })
      })),
      { act: act('tap', { minutes: 0.5 }) },
      { act: act('lift', { what: 'divider' }) },
      {
        act: act('drag', {
          tool: 'skewer',
          path: { points: zigzag(9) },
          depth: 'full',
          width: wholeMm(faceSide(of) / 16),
          strength: 0.9
        }),
        note: 'loops down the length, then once along the walls'
      },
      { act: act('spray', { times: 2, every: 10 }) },
      { act: act('demould') },
      ...(cutInto > 1 ? [{ act: act('cut', { pieces: cutInto }), until: [outOfMould(30)] }] : [])
    ];
  }
});
