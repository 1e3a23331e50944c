import { displayOf, type Message } from '$core/quantity';
import * as core from '$core/preferences';
import type { Problem } from '$core/problem';
import { USUAL_PREFERENCES, type Preferences } from '$core/preferences';

/**
 * The ways of the workshop this page shows. They are one workshop's, the same for everyone who looks, so that they may
 * stand beside the pages: set once by the outermost layout, read by everything that shows a figure.
 */
let current = $state.raw<Preferences>(USUAL_PREFERENCES);

/** Every screen follows from here on. */
export function setPreferences(ways: Preferences): void {
  current = ways;
}

/** The ways as they stand; read where something follows them. */
export const preferences = (): Preferences => current;

/** The core’s figures and words, in the workshop’s own units. Internal units in. */
export const mass = (grams: number, decimals?: number): string => core.shownMass(grams, current, decimals);
export const volume = (ml: number): string => core.shownVolume(ml, current);
export const length = (mm: number, decimals = 1): string => core.shownLength(mm, current, decimals);
export const temperature = (celsius: number): string => core.shownTemperature(celsius, current);
export const money = (amount: number): string => core.shownMoney(amount, current);

/**
 * A message of the core in the workshop's own units. What is said of a plan speaks of weights as the plan's scale shows
 * them: with that scale's division, g.
 */
export const inWords = (message: Message, division?: number): string =>
  core.inWords(message, atScale(division));

/** A message as the voice says it, its weights as a scale of this division shows them. */
export const spoken = (message: Message, division?: number): string =>
  core.spokenWords(message, atScale(division));

/** A problem in one line: what is wrong, then the mend; nothing where there is none. */
export const problemWords = (problem: Pick<Problem, 'sentence' | 'mend'> | undefined): string =>
  problem ? inWords(`${problem.sentence} ${problem.mend}`) : '';

const atScale = (division?: number): Preferences =>
  division === undefined ? current : { ...current, weights: weightsOf(division) };

const weightsOf = (division: number): Preferences['weights'] =>
  displayOf(division).symbol === 'oz' ? 'oz' : 'g';

/** A figure in the unit shown for one that it is kept in, for charts and drawings. */
export const shownFigure = (value: number, symbol: string): number =>
  core.shownFigure(value, symbol, current);

/** The unit shown for one that things are kept in: `mm` → `in`. */
export const shownUnit = (symbol: string): string => core.shownUnit(symbol, current);
