import { eachByItself } from '../../document/mixing';
import { duration } from '../../quantity';
import { fieldOf, aboutStep, type Done, type Rule } from './rule';

/** Two cups can be carried along by one pair of hands, a third is set down. */
const CARRIED = 2;
/** A cup is poured with this share of its window left, or it is hurried. */
const RESERVE = 0.15;

/** More cups stand open than the hands can pour in time: the last of them is hurried. */
export const cupsOverHands: Rule = (s) => {
  const pours = s.steps.filter((d) => d.definition.group === 'pour in' && d.from !== undefined);
  const hurried = pours.flatMap((d) => {
    const open = openAt(pours, d);
    const left = (d.closes ?? Infinity) - (d.to ?? 0);
    const long = (d.closes ?? Infinity) - (d.coloured ?? 0);
    // Past its time it is late, which is said by itself.
    return open.size > CARRIED && left >= 0 && left < RESERVE * long ? [{ d, open, left }] : [];
  });
  const [worst] = hurried.sort((a, b) => a.left - b.left);
  if (!worst) return [];
  const baseId = s.plan.mixes.find((m) => m.feeds === 'split')?.baseId;
  const name = s.cup(fieldOf<string>(worst.d, 'cupId') ?? '').name;
  return [
    {
      code: 'cups-over-hands',
      level: 'note',
      ...aboutStep(worst.d),
      sentence: `${worst.open.size} cups stand open at once, and ${name} is poured with ${duration(worst.left)} left of its time.`,
      mend: 'Mix the last ones later, or have a second pair of hands.',
      fixes:
        baseId === undefined
          ? []
          : [
              {
                words: 'Mix each cup when it is needed',
                edit: { path: [], value: eachByItself(s.plan, baseId) }
              }
            ]
    }
  ];
};

/** Cups that are coloured by the time a step begins and are poured by it or after it. */
function openAt(pours: readonly Done[], now: Done): Set<string> {
  return new Set(
    pours
      .filter((d) => (d.coloured ?? Infinity) <= now.from! && (d.to ?? -Infinity) > now.from!)
      .flatMap((d) => fieldOf<string>(d, 'cupId') ?? [])
  );
}
