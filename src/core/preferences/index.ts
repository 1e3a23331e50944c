export { Initials, Preferences, type Learned } from './preferences';
export { USUAL_PREFERENCES } from './usual';
export { guessedPreferences } from './guess';
export {
  shownFigure,
  shownLength,
  shownMass,
  shownMoney,
  shownTemperature,
  shownUnit,
  shownVolume
} from './shown';
export { inWords, spokenFigure, spokenWords } from './words';
export { formatHour, parseHour } from './hour';
