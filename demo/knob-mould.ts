import { rubberFor, type Mould, type MouldJob } from '../src/core/mould';
import { mouldMakingPlan } from '../src/core/edit';
import { type Plan } from '../src/core/plan';
import { type Shelf } from '../src/core/shelf';

/** Order J: the rubber mould of a turned knob master, two halves with four keys. */
const job: MouldJob = {
  container: { by: 'box', length: 80, width: 80, depth: 60 },
  master: { by: 'water', grams: 42.4, celsius: 20 },
  parting: 0.5,
  keys: { count: 4, diameter: 8 }
};

/** The container and the plan that pours the rubber, as the mould maker writes them. */
export function knobMould(shelf: Shelf): { container: Mould; plan: Plan } {
  const need = rubberFor(job);
  if (!need.ok) throw new Error(need.problem.sentence);
  const made = mouldMakingPlan(
    {
      planId: 'knob-mould',
      containerId: 'knob-mould-box',
      name: 'Turned knob mould',
      rubberId: 'platinum-rubber'
    },
    job,
    need.value,
    shelf
  );
  return {
    container: made.container,
    plan: {
      ...made.plan,
      notes: 'A turned knob master, bedded in clay to its widest line.',
      bench: { ...made.plan.bench, roomCelsius: 21, scaleIds: ['middle', 'fine', 'bench'] }
    }
  };
}
