import { aboutStep, waitsFor, type Done, type Rule, type Sequence } from './rule';

/** A tool drawn through what has all gelled by then: it tears it, or skids over it. */
export const toolInGel: Rule = (s) =>
  s.steps.flatMap((d, i) => {
    if (!d.traits.includes('drags') && !d.traits.includes('digs')) return [];
    // What is worked thick waits for the state that keeps layers apart on purpose; hours later it has set as well.
    const workedThick = s.material?.traits.includes('marbles thick');
    const set = s.steps.slice(0, i + 1).findLastIndex((x) => waitsFor(x, [s.apart, 'firm', 'set']));
    const waited = !workedThick && set >= 0 && !s.steps.slice(set, i).some((x) => x.definition.amount);
    const own = waited ? s.steps[set] === d : d.step.gates.length > 0;
    if (!waited && !gelledInTime(s, d, i)) return [];
    return [
      {
        code: 'tool-in-gel',
        level: 'warn',
        ...aboutStep(d),
        sentence: `All of it has ${s.apart === 'gelled' ? 'gelled' : 'set'} by then: a ${String((d.act as { tool?: string }).tool ?? 'tool')} tears it or skids.`,
        mend: 'Draw it while what lies there still flows.',
        fixes: own
          ? [{ words: 'Draw it without that wait', edit: { path: ['steps', d.step.id, 'gates'], value: [] } }]
          : []
      }
    ];
  });

/** After so many times its way to thick trace no batter is worked any more; a starting figure, an hour and more. */
const SET_HARD = 5;

/** Whether what was poured last has set by the clock before a tool is drawn: minutes were waited for, and no state. */
function gelledInTime(s: Sequence, d: Done, i: number): boolean {
  const last = s.steps.slice(0, i).findLast((x) => x.ml > 0);
  if (d.from === undefined || last?.from === undefined) return false;
  const times = s.material?.traits.includes('goes by trace') ? SET_HARD : 1;
  return d.from - last.from > times * (s.gelsBy(last) - last.from);
}
