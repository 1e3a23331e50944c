import { fieldOf, aboutStep, type Done, type Rule } from './rule';

/** Cups coloured within so many minutes of each other are coloured with what lies at hand. */
const ONE_SITTING = 15;
/** Difference in lightness, 0..1, from which what clings to a stick is seen in the next cup. */
const SEEN = 0.2;

/** A stick goes from light to dark; where the pour's order wants it otherwise it is said where to wash it. */
export const toolOrder: Rule = (s) => {
  const drawn = s.steps
    .flatMap((d) => cupsOf(d).map((id) => ({ d, id, at: d.coloured ?? NaN, light: s.cup(id).lightness })))
    .filter((x, i, all) => Number.isFinite(x.at) && all.findIndex((y) => y.id === x.id) === i)
    .sort((a, b) => a.at - b.at);
  return drawn.slice(1).flatMap((x, i) => {
    const before = drawn[i]!;
    if (x.at - before.at > ONE_SITTING || x.light - before.light < SEEN) return [];
    return [
      {
        code: 'tool-order',
        level: 'note',
        ...aboutStep(x.d),
        sentence: `The order of this pour takes the stick from ${s.cup(before.id).name} into the paler ${s.cup(x.id).name}.`,
        mend: 'Wash it in between, or take a clean one.'
      }
    ];
  });
};

/** The one cup that an act draws from: where it names several, each has its own colour time. */
const cupsOf = (d: Done): string[] => {
  const id = fieldOf<string>(d, 'cupId');
  return id === undefined ? [] : [id];
};
