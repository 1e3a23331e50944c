import { aboutStep, type Rule } from './rule';

/** Mica lies in the grain of a matte mould and looks like dirt; it wants a glossy face. */
export const dustOnMatte: Rule = ({ steps, finish }) =>
  steps.flatMap((d) =>
    d.traits.includes('dusts') && finish === 'matte'
      ? [
          {
            code: 'dust-on-matte',
            level: 'warn',
            ...aboutStep(d),
            sentence: 'The mould is matte: dusted mica lies in its grain and shines nowhere.',
            mend: 'Dust a glossy mould, or leave the dusting out.',
            fixes: [
              { words: 'Leave the dusting out', edit: { path: ['steps', d.step.id], value: undefined } }
            ]
          }
        ]
      : []
  );
