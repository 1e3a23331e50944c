import { aboutStep, type Rule } from './rule';

/** A flame on what is water-based, or on soap. */
export const flameOnWet: Rule = ({ steps, material }) =>
  steps.flatMap((d) =>
    d.traits.includes('flame') && material?.traits.includes('no flame')
      ? [
          {
            code: 'flame-on-wet',
            level: 'warn',
            ...aboutStep(d),
            sentence: `A flame does nothing good to ${material.spoken}: it skins, scorches or spits.`,
            mend: 'Take the bubbles with a pick, or tap the mould.',
            fixes: [
              {
                words: 'Tap the mould instead',
                edit: { path: ['steps', d.step.id, 'act'], value: { kind: 'tap', minutes: 1 } }
              }
            ]
          }
        ]
      : []
  );
