import type { Formula } from '../../material';
import { inPlan, type Diagnostic } from '../../problem';
import type { Cup } from '../../document';

/** Uncoloured base that is to be taken out of a cup whose colour goes in before there is any. */
export function reserveAfterColour(cup: Cup, { colourBefore }: Formula): Diagnostic[] {
  if (!cup.reserve || !colourBefore) return [];
  return [
    {
      code: 'reserve-after-colour',
      level: 'warn',
      ...inPlan('cups', cup.id, 'reserve'),
      sentence: `${cup.name}: colour goes into the dry powder here, so what is taken out later is coloured.`,
      mend: 'Mix the uncoloured part as a cup of its own.',
      fixes: [
        {
          words: `Take nothing out of ${cup.name}`,
          edit: { path: ['cups', cup.id, 'reserve'], value: undefined }
        }
      ]
    }
  ];
}
