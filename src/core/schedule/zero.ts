import type { Zero } from '../document';
import { splitMixId } from './ids';

/** What has happened by now, on a score as it is played or in a run as it is told: when, in the asker's own time. */
export interface Happened {
  /** When the parts of a mix met, by the id of a cup mixed on its own or of a pot. */
  met(id: string): number | undefined;
  coloured(cupId: string): number | undefined;
  /** When a step was last done. */
  done(stepId: string): number | undefined;
  /** When the pieces of a group left their mould. */
  demoulded(groupId: string): number | undefined;
}

/** When a zero was; undefined where it has not come. The one place that says what each zero means, for score and run. */
export function whenWas(zero: Zero, happened: Happened): number | undefined {
  if ('mixMet' in zero) return happened.met(splitMixId(zero.mixMet)) ?? happened.met(zero.mixMet);
  if ('cupColoured' in zero) return happened.coloured(zero.cupColoured);
  if ('demoulded' in zero) return happened.demoulded(zero.demoulded);
  return happened.done(zero.stepDone);
}
