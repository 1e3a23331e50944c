import type { Behaviour } from '../cure';
import { inPlan, type Diagnostic } from '../problem';
import type { PourWindow } from './score';
import { figure } from '../quantity';

export const pastWindow = (name: string, window: PourWindow, now: number, stepId: string): Diagnostic => ({
  code: 'past-window',
  level: 'warn',
  ...inPlan('steps', stepId),
  sentence: `${name} is pourable until ${Math.round(window.to - window.zero)} min after mixing; this pour ends at ${Math.round(now - window.zero)} min.`,
  mend: 'Pour fewer cavities from one cup, pour faster, or mix a second cup for the later layer.'
});

export const demouldClash = (name: string, groupId: string, over: number): Diagnostic => ({
  code: 'demould-clash',
  level: 'warn',
  ...inPlan('groups', groupId),
  sentence: `The first of ${name} reach the end of their demould window ${Math.round(over)} min before the last are poured.`,
  mend: 'Demould them between two mixes, or pour fewer in one turn.'
});

/** A gate whose own minutes open it well before the estimate. */
export const earlyGate = (
  state: string,
  minutes: number,
  { estimate, room, at }: { estimate: number; room: number; at: InsidePlan }
): Diagnostic => ({
  code: 'gate-early',
  level: 'warn',
  ...inPlan(...at, 'minutes'),
  sentence: `At ${figure(room, '°C')} the layer below is ${state} after about ${Math.round(estimate)} min; this gate opens after ${Math.round(minutes)}.`,
  mend: 'Wait longer, or pour on the reported state.',
  fixes: [
    {
      words: `Wait ${Math.ceil(estimate)} min, or pour on the reported state`,
      edit: { path: [...at, 'minutes'], value: Math.ceil(estimate) }
    }
  ]
});

/** A gate that opens only after the latest moment it may. */
export const gateLate = (at: InsidePlan, late: number, after: string): Diagnostic => ({
  code: 'gate-late',
  level: 'warn',
  ...inPlan(...at),
  sentence: `This step is due at the latest so long after ${after}; its gate opens ${Math.round(late)} min later than that.`,
  mend: 'Let it wait for less, or allow it to be later.'
});

/** A wait for a warmth that what it is of, a cup or what lies in a cavity, never has. */
export const neverWarm = (
  celsius: number,
  peak: number,
  of: 'cup' | 'cavity',
  at: InsidePlan
): Diagnostic => ({
  code: 'probe-never',
  level: 'warn',
  ...inPlan(...at, 'celsius'),
  sentence: `${of === 'cup' ? 'A cup of this size' : 'What lies in the cavity'} warms itself to ${figure(peak, '°C', 0)} at most; this gate waits for ${figure(celsius, '°C')}.`,
  mend: 'Wait for a lower temperature, or for a state.',
  fixes: [
    {
      words: `Wait for ${figure(Math.floor(peak), '°C')}`,
      edit: { path: [...at, 'celsius'], value: Math.floor(peak) }
    }
  ]
});

export function unknownState(state: string, at: InsidePlan, behaviour: Behaviour): Diagnostic {
  const last = behaviour.states.at(-1)?.state ?? '';
  const known = behaviour.states.find((s) => s.state === 'gelled')?.state ?? last;
  return {
    code: 'state-unknown',
    level: 'warn',
    ...inPlan(...at, 'state'),
    sentence: `This material is never “${state}”.`,
    mend: `It can be ${behaviour.states.map((s) => s.state).join(', ')}.`,
    fixes: [{ words: `Wait until it is ${known}`, edit: { path: [...at, 'state'], value: known } }]
  };
}

/** Where a problem stands, from inside the plan, as edits name it; problems write it from the one root. */
export type InsidePlan = readonly (string | number)[];
