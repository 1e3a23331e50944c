import { pathOf, type Rule } from './rule';

/** Materials that hold water or burn: a flame only spoils them. */
const NO_FLAME = ['soap', 'melt and pour', 'gypsum', 'concrete', 'plastisol'];

/** A flame on what is water-based, or on soap. */
export const flameOnWet: Rule = ({ steps, material }) =>
  steps.flatMap((d) =>
    d.traits.includes('flame') && material && NO_FLAME.includes(material)
      ? [
          {
            code: 'flame-on-wet',
            level: 'warn',
            path: pathOf(d),
            sentence: `A flame does nothing good to ${material === 'gypsum' ? 'acrylic gypsum' : material}: it skins, scorches or spits.`,
            mend: 'Take the bubbles with a pick, or tap the mould.',
            tries: [
              {
                words: 'Tap the mould instead',
                edit: { path: ['steps', d.step.id, 'act'], value: { kind: 'tap', minutes: 1 } }
              }
            ]
          }
        ]
      : []
  );
