export { Initials, Ways, type Learned } from './ways';
export { USUAL_WAYS } from './usual';
export { guessedWays } from './guess';
export { shownLength, shownMass, shownMoney, shownTemperature, shownUnit, shownVolume } from './shown';
export { said } from './said';
export { formatHour, parseHour } from './hour';
