import { materials } from '../material';
import { duration, figure, type Message } from '../quantity';
import {
  demouldNow,
  doubtOf,
  eventsInForce,
  foldRun,
  gateOpening,
  pourUntilNow,
  statesIn,
  type FrozenRun,
  type RunEvent,
  type RunState,
  type Task
} from '../run';

const MINUTE = 60_000;

/** What matters in a task and why, in a sentence or two: said before it is done. */
export function whyOf(frozen: FrozenRun, task: Task): Message {
  const base = frozen.file.shelf.bases.find((b) => b.id === frozen.computed.bases[0]?.baseId);
  const { early, late } = base ? materials.of(base).demould : { early: '', late: '' };
  switch (task.kind) {
    case 'prepare':
      return 'What is not looked at now is found out when the clock runs. Tick each as you have seen it.';
    case 'weigh':
      return weighWhy(task);
    case 'make':
      return `${task.how}.`;
    case 'stir':
      return `Sides and bottom keep what is not mixed, and that stays soft or streaks: the whole ${duration(task.minutes)}, scraping.`;
    case 'fill':
      return 'What goes in first stands lowest. Let it run down the side, so that nothing mixes.';
    case 'pour':
      return 'Low and slow keeps air out. Past its window it no longer levels: what is left then is poured badly or not at all.';
    case 'gate':
      return 'Too soon, and the layers run together; too late, and they part. The fingertip knows better than the clock: T tells what it says.';
    case 'demould':
      return `Too early: ${early}. Too late: ${late}.`;
    case 'do':
      return `${task.how}.`;
  }
}

function weighWhy(task: Extract<Task, { kind: 'weigh' }>): Message {
  if (task.startsClock)
    return 'With this the clock starts. Have everything that comes after it within reach first.';
  if (task.part)
    return 'The parts have to fit each other: what goes over here, the others have to follow. Slow for the last tenth.';
  return `A little colours much: ${figure(task.grams, 'g', 2)} is all of it. Count or weigh; never guess.`;
}

/** How a task was done: what was right, or what was not, in a sentence. */
export interface Done {
  well: boolean;
  says: Message;
}

/** What was right in what a hand did last, by the run before and after it; nothing of what is no task. */
export function doneHow(frozen: FrozenRun, before: RunState, event: RunEvent): Done | undefined {
  if (!('task' in event) || (event.type !== 'weighed' && event.type !== 'done')) return undefined;
  const entry = before.tasks.find((t) => t.task.id === event.task);
  if (!entry) return undefined;
  const { task, target } = entry;
  if (task.kind === 'weigh')
    return event.type === 'weighed'
      ? weighedHow(event.grams, target ?? task.grams, task.division)
      : undefined;
  const early = doubtOf(frozen, before, task, { now: event.at });
  if (early?.code === 'too-early')
    return { well: false, says: `${early.sentence} ${early.follows ?? ''}`.trim() };
  return finishedHow(frozen, before, { task, at: event.at });
}

/** How a task that was not ended too early was done. */
function finishedHow(
  frozen: FrozenRun,
  before: RunState,
  { task, at }: { task: Task; at: number }
): Done | undefined {
  switch (task.kind) {
    case 'stir':
      return { well: true, says: 'Stirred through: nothing stays soft.' };
    case 'pour':
      return pouredHow(frozen, before, { mixId: task.mixId, at });
    case 'gate': {
      const { by } = gateOpening(
        task,
        before,
        { now: at, dayStart: 0 },
        statesIn(frozen.computed, task.groupId)
      );
      return by === 'state'
        ? { well: true, says: 'You felt it, and went on when it carried.' }
        : {
            well: true,
            says: 'You waited as long as the layer needs. A fingertip would have told sooner.'
          };
    }
    case 'demould': {
      const poured = before.groups.get(task.groupId)?.lastPour;
      const late = poured !== undefined && at > poured + demouldNow(frozen, before, task).to.now * MINUTE;
      return late
        ? { well: false, says: 'It is out after its window: look at every edge.' }
        : { well: true, says: 'Out inside its window: firm, and not yet holding on.' };
    }
    default:
      return undefined;
  }
}

/** Off its target by less than this share a weighing is right. */
const RIGHT = 0.01;

function weighedHow(grams: number, aimed: number, division: number): Done {
  const off = Math.abs(grams - aimed);
  if (off <= Math.max(RIGHT * aimed, division))
    return { well: true, says: `Right: ${figure(off, 'g', 2)} off.` };
  const percent = ((100 * off) / aimed).toFixed(0);
  return grams > aimed
    ? { well: false, says: `${percent} % over. What is still to come follows; see what that makes.` }
    : { well: false, says: `${percent} % under. Add the rest before you go on.` };
}

function pouredHow(
  frozen: FrozenRun,
  before: RunState,
  { mixId, at }: { mixId: string; at: number }
): Done | undefined {
  const zero = before.cups.get(mixId)?.zero;
  const until = pourUntilNow(frozen, before, mixId);
  if (zero === undefined || !until) return undefined;
  const left = until.now - (at - zero) / MINUTE;
  return left >= 0
    ? { well: true, says: `Poured with ${duration(left)} of its window left.` }
    : { well: false, says: `Poured ${duration(-left)} past its window: it may not have levelled.` };
}

/** Whether a lesson was done right from its first check to its end: nothing was left out, and every task was done well. */
export function isLessonDone(frozen: FrozenRun, told: readonly RunEvent[]): boolean {
  const events = eventsInForce(told);
  const fold = (upTo: number) => foldRun(frozen.tasks, events.slice(0, upTo), frozen.computed.division);
  const end = fold(events.length);
  if (end.tasks.some((t) => t.status !== 'done')) return false;
  return events.every((event, i) => {
    const how = 'task' in event && event.type === 'done' ? doneHow(frozen, fold(i), event) : undefined;
    return how === undefined || how.well;
  });
}
