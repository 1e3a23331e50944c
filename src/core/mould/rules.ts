import { isOfMould, type ShowFace } from './show-face';
import type { Problem } from '../problem';
import { draftProblems, isStiff } from './draft';
import type { CavityKind, Mould } from './mould';
import { figure } from '../quantity';

/**
 * What a mould's finish, draft, heat limit and preparation mean for a pour: a matte mould hazes a show face, a
 * stiff mould without draft grips, a hot pour past its limit ruins it.
 * @param pourCelsius temperature of the pour, °C, where it is poured hot
 */
export function mouldProblems(
  mould: Mould,
  kind: CavityKind,
  wanted: { showFace: ShowFace; clear: boolean; pourCelsius?: number },
  path: string
): Problem[] {
  const problems: Problem[] = [];
  const say = (code: Problem['code'], level: Problem['level'], sentence: string, mend: string) =>
    problems.push({ code, level, path, sentence, mend });
  const { pourCelsius = -Infinity } = wanted;
  const { heatLimit = Infinity } = mould;
  if (pourCelsius > heatLimit)
    say(
      'mould-too-cool',
      'stop',
      `${mould.name} takes ${figure(heatLimit, '°C')}; this is poured at ${figure(pourCelsius, '°C')}.`,
      'Use a mould that takes the heat, or a cooler material.'
    );
  if (mould.finish === 'matte' && isOfMould(wanted.showFace) && wanted.clear)
    say(
      'matte-mould',
      'note',
      `${mould.name} is matte: its mould face comes out hazy.`,
      'Seal or polish it after, or cast in a gloss mould.'
    );
  problems.push(...draftProblems(mould, kind, wanted.showFace, path));
  if (isStiff(mould) && (mould.needs ?? 'nothing') === 'nothing')
    say(
      'needs-release',
      'note',
      `${mould.name} is ${mould.material} and its card names no release or liner.`,
      'Say on the mould card what it needs before a pour.'
    );
  return [...problems, ...conditionProblems(mould, path), ...holeProblems(mould, path)];
}

/** A mould that is worn shows it on every piece; one that is torn lets the pour out. */
function conditionProblems({ condition, name }: Mould, path: string): Problem[] {
  if (condition === 'torn')
    return [
      {
        code: 'mould-worn',
        level: 'warn',
        path,
        sentence: `${name} is torn: what is poured runs into the tear and flashes.`,
        mend: 'Mend it and say so on its card, or pour in another.'
      }
    ];
  if (condition !== 'worn') return [];
  return [
    {
      code: 'mould-worn',
      level: 'note',
      path,
      sentence: `${name} is worn: its face comes out less sharp and may grip.`,
      mend: 'Keep it for what is sanded, or make a new one from the master.'
    }
  ];
}

/** Air must leave by the hole that the pour comes in by. */
const holeProblems = (mould: Mould, path: string): Problem[] =>
  mould.pourHole === undefined
    ? []
    : [
        {
          code: 'pour-hole-narrow',
          level: 'note',
          path,
          sentence: `${mould.name} is filled through a hole of ${figure(mould.pourHole, 'mm')}.`,
          mend: 'Pour through a spout or a syringe that leaves room beside it for the air, and tip the mould to let it out.'
        }
      ];
