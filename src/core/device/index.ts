export { advance, emptyPan, readScale, startPouring, tare, type Reading, type StandInScale } from './standin';
export { SerialReader } from './serial';
export { readProbe, restingProbe, warmed, type StandInProbe } from './probe';
