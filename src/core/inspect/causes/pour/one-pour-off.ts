import { figure } from '../../../quantity';
import { strongest, type Cause } from '../cause';
import { cupName, tasksHere } from '../case';

/** A pour of its own that is off by less than this share of its plan, or by less than this many grams, is not seen. Starting figures. */
const [OFF, GRAMS] = [0.12, 0.3];

/** One pour among others took more, or less, than it was planned for, whatever the whole came to. */
const onePourOff = (more: boolean): Cause => ({
  id: more ? 'one-pour-over' : 'one-pour-under',
  defects: more
    ? [
        'colours run together',
        'off-centre',
        'muddy blend',
        'blotted lines',
        'white took over',
        'overfilled lip',
        'layer broke through'
      ]
    : ['off-centre', 'lost lines or bare patches', 'no cells', 'short fill or ledge', 'colours read as one'],
  evidence(c) {
    const pours = tasksHere(c, 'pour');
    if (pours.length < 2) return undefined;
    return strongest(
      pours.flatMap(({ task, actual, status }) => {
        const planned = task.gramsEach * task.count;
        if (status !== 'done' || actual === undefined || planned <= 0) return [];
        const off = more ? actual - planned : planned - actual;
        if (off < GRAMS || off / planned < OFF) return [];
        return [
          {
            fact: `${cupName(c, task.cupId)}: ${figure(actual, 'g', 1)} were poured where ${figure(planned, 'g', 1)} were planned`,
            strength: off / planned,
            change: `${figure(task.gramsEach, 'g', 1)} into each, read on the scale`
          }
        ];
      })
    );
  }
});

export const onePourOver = onePourOff(true);
export const onePourUnder = onePourOff(false);
