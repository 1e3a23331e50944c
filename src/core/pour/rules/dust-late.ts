import { moved, aboutStep, type Rule } from './rule';

/** Mica dusted onto a mould face that something was poured on already: what touches the mould first is what shows. */
export const dustLate: Rule = ({ steps, plan }) =>
  steps.flatMap((dust, i) => {
    const first = steps.slice(0, i).find((d) => d.definition.group === 'pour in');
    if (!dust.traits.includes('dusts') || !first) return [];
    return [
      {
        code: 'dust-late',
        level: 'warn',
        ...aboutStep(dust),
        sentence: 'It is dusted after something was poured: on the mould face it no longer shows.',
        mend: 'Dust the dry mould before anything is poured.',
        fixes: [
          { words: 'Dust before the first pour', edit: moved(plan, dust.step.id, first.step.id, 'before') }
        ]
      }
    ];
  });
