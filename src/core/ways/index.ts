export { Initials, Ways, USUAL_WAYS } from './ways';
export { guessedWays } from './guess';
export { shownLength, shownMass, shownMoney, shownTemperature, shownUnit, shownVolume } from './shown';
export { said } from './said';
export { formatHour, parseHour } from './hour';
