import type { Diagnostic } from '../problem';
import type { ActStep, Pouring } from './act';
import type { CavityState } from './cavity-state';

export const unevenChambers = (mm: number, step: ActStep, stand: CavityState): Diagnostic => ({
  code: 'chambers-uneven',
  level: 'warn',
  path: step.path,
  sentence: `${stand.name}: the chambers stand ${mm.toFixed(1)} mm apart when the divider comes out, so one runs under the other.`,
  mend: 'Fill them to one level, in rounds.'
});

export const unknownChamber = (act: Pouring, step: ActStep, stand: CavityState): Diagnostic => ({
  code: 'chamber-unknown',
  level: 'stop',
  path: `${step.path}/chamberId`,
  sentence: `${stand.name} have no chamber “${act.chamberId}”.`,
  mend: 'Choose one of the mould’s chambers, or the whole cavity.'
});

export const unknownZone = (act: Pouring, step: ActStep, stand: CavityState): Diagnostic => ({
  code: 'zone-unknown',
  level: 'stop',
  path: `${step.path}/amount`,
  sentence: `${stand.name} have no zone “${act.amount.kind === 'zone' ? act.amount.zoneId : ''}”.`,
  mend: 'Name a zone of the mould’s card, or give a depth.'
});

export const nothingToPour = (act: Pouring, step: ActStep, share: number): Diagnostic => ({
  code: 'level-passed',
  level: 'stop',
  path: `${step.path}/amount`,
  sentence: `The cavity already stands at ${(share * 100).toFixed(0)} % here, so this layer pours nothing.`,
  mend:
    act.amount.kind === 'rim'
      ? 'Lower an earlier layer, or take this one out.'
      : 'Ask for a higher level, or take this layer out.'
});

export const overfull = (
  act: Pouring,
  step: ActStep,
  stand: CavityState,
  room: { over: number; most: number }
): Diagnostic => ({
  code: 'overfull',
  level: 'stop',
  path: `${step.path}/amount`,
  sentence: `${stand.name} would overflow: ${room.over.toFixed(1)} ml more than the ${room.most.toFixed(1)} ml ${act.chamberId ? 'its chamber' : 'it'} holds.`,
  mend: 'Pour less here, or less before it.',
  fixes: [
    {
      words: 'Fill to the rim instead',
      edit: { path: ['steps', step.stepId, 'act', 'amount'], value: { kind: 'rim' } }
    }
  ]
});
