import { inPlan, type Diagnostic } from '../problem';
import type { ActStep, Pouring } from './act';
import type { CavityState } from './cavity-state';
import { figure } from '../quantity';

export const unevenChambers = (mm: number, step: ActStep, stand: CavityState): Diagnostic => ({
  code: 'chambers-uneven',
  level: 'warn',
  ...inPlan('steps', step.stepId, 'act'),
  sentence: `${stand.name}: the chambers stand ${figure(mm, 'mm', 1)} apart when the divider comes out, so one runs under the other.`,
  mend: 'Fill them to one level, in rounds.'
});

export const unknownChamber = (act: Pouring, step: ActStep, stand: CavityState): Diagnostic => ({
  code: 'chamber-unknown',
  level: 'stop',
  ...inPlan('steps', step.stepId, 'act', 'chamberId'),
  sentence: `${stand.name} have no chamber “${act.chamberId}”.`,
  mend: 'Choose one of the mould’s chambers, or the whole cavity.'
});

export const unknownZone = (act: Pouring, step: ActStep, stand: CavityState): Diagnostic => ({
  code: 'zone-unknown',
  level: 'stop',
  ...inPlan('steps', step.stepId, 'act', 'amount'),
  sentence: `${stand.name} have no zone “${act.amount.kind === 'zone' ? act.amount.zoneId : ''}”.`,
  mend: 'Name a zone of the mould’s card, or give a depth.'
});

export const nothingToPour = (act: Pouring, step: ActStep, share: number): Diagnostic => ({
  code: 'level-passed',
  level: 'stop',
  ...inPlan('steps', step.stepId, 'act', 'amount'),
  sentence: `The cavity already stands at ${(share * 100).toFixed(0)} % here, so this layer pours nothing.`,
  mend: NOTHING_TO_POUR[act.amount.kind] ?? 'Ask for a higher level, or take this layer out.'
});

const NOTHING_TO_POUR: Partial<Record<Pouring['amount']['kind'], string>> = {
  rim: 'Lower an earlier layer, or take this one out.',
  dome: 'Say on the mould’s card how high the surface domes above the rim, or ask for an amount in ml.'
};

export const overfull = (
  act: Pouring,
  step: ActStep,
  stand: CavityState,
  room: { over: number; most: number }
): Diagnostic => ({
  code: 'overfull',
  level: 'stop',
  ...inPlan('steps', step.stepId, 'act', 'amount'),
  sentence: `${stand.name} would overflow: ${figure(room.over, 'ml', 1)} more than the ${figure(room.most, 'ml', 1)} ${act.chamberId ? 'its chamber' : 'it'} holds.`,
  mend: 'Pour less here, or less before it.',
  fixes: [
    {
      words: 'Fill to the rim instead',
      edit: { path: ['steps', step.stepId, 'act', 'amount'], value: { kind: 'rim' } }
    }
  ]
});
