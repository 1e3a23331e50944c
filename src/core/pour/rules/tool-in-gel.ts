import { aboutStep, waitsFor, type Rule } from './rule';

/** A tool drawn through what has all gelled by then: it tears it, or skids over it. */
export const toolInGel: Rule = (s) =>
  s.steps.flatMap((d, i) => {
    if (!d.traits.includes('drags') && !d.traits.includes('digs')) return [];
    if (s.material?.traits.includes('marbles thick')) return [];
    const set = s.steps.slice(0, i + 1).findLastIndex((x) => waitsFor(x, [s.apart, 'firm', 'set']));
    if (set < 0 || s.steps.slice(set, i).some((x) => x.definition.amount)) return [];
    const own = s.steps[set] === d;
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
