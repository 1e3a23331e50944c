export { advance, emptyPan, readScale, startPouring, tare, type Reading, type StandInScale } from './standin';
export { readSerialLine, SerialReader } from './serial';
