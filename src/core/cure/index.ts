export { cureOf, rateFor, RESIN_STATES, type ResinState, type Body, type CureCurve } from './resin';
export { byCardTimes, byCureModel, type Behaviour, type CardStates, type HandState } from './behaviour';
export { coolsAs } from './cools-as';
export { paced, together, type Pace } from './pace';
export { celsiusAt, NIGHT, roomFrom, withDay, type Room } from './room';
