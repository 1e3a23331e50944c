import { aboutStep, waitsFor, type Done, type Rule, type Sequence } from './rule';

/** A tool drawn through what has all gelled by then: it tears it, or skids over it. */
export const toolInGel: Rule = (s) =>
  s.steps.flatMap((d, i) => {
    if (!d.traits.includes('drags') && !d.traits.includes('digs')) return [];
    if (s.material?.traits.includes('marbles thick')) return [];
    const set = s.steps.slice(0, i + 1).findLastIndex((x) => waitsFor(x, [s.apart, 'firm', 'set']));
    const waited = set >= 0 && !s.steps.slice(set, i).some((x) => x.definition.amount);
    const own = waited ? s.steps[set] === d : d.step.gates.length > 0;
    if (!waited && !gelledInTime(s, d, i)) return [];
    return [
      {
        code: 'tool-in-gel',
        level: 'warn',
        ...aboutStep(d),
        sentence: `All of it has gelled by then: a ${String((d.act as { tool?: string }).tool ?? 'tool')} tears it or skids.`,
        mend: 'Draw it while what lies there still flows.',
        fixes: own
          ? [{ words: 'Draw it without that wait', edit: { path: ['steps', d.step.id, 'gates'], value: [] } }]
          : []
      }
    ];
  });

/** Whether what was poured last has gelled by the clock before a tool is drawn: minutes were waited for, and no state. */
function gelledInTime(s: Sequence, d: Done, i: number): boolean {
  const last = s.steps.slice(0, i).findLast((x) => x.ml > 0);
  return d.from !== undefined && last !== undefined && d.from > s.gelsBy(last);
}
