import { aboutStep, waitsFor, type Rule } from './rule';
import type { Step } from '../../document';

/** A layer on a skin that no alcohol was sprayed on: the two do not join, and come apart when the piece is handled. */
export const skinUnsprayed: Rule = (s) =>
  s.material?.traits.includes('skins over')
    ? s.steps.flatMap((d, i) => {
        if (!(d.ml > 0) || d.level <= 0) return [];
        const below = s.steps.slice(0, i).findLastIndex((x) => x.ml > 0);
        const between = s.steps.slice(below + 1, i);
        if (below < 0 || ![...between, d].some((x) => waitsFor(x, [s.apart]))) return [];
        if (between.some((x) => x.traits.includes('alcohol'))) return [];
        const at = s.plan.steps.findIndex((x) => x.id === d.step.id);
        const spray: Step = {
          id: s.freshId.replace('gate', 'spray'),
          act: { kind: 'spray', what: 'alcohol', times: 1, every: 0 },
          // Everywhere the layer goes: it takes the wait over, goes onto the skin, and the layer follows at once.
          where: d.step.where,
          gates: d.step.gates
        };
        const steps = s.plan.steps.with(at, { ...d.step, gates: [] }).toSpliced(at, 0, spray);
        return [
          {
            code: 'skin-unsprayed',
            level: 'note',
            ...aboutStep(d),
            sentence:
              'This layer goes onto a skin that nothing has wetted: the two do not join, and come apart.',
            mend: 'Spray the skin with alcohol just before.',
            fixes: [
              { words: 'Spray alcohol on the skin just before', edit: { path: ['steps'], value: steps } }
            ]
          }
        ];
      })
    : [];
