import { strongest, type Cause } from '../cause';
import { acted, layersHere } from '../case';
import { figure } from '../../../quantity';

/** Milled deeper than the colour went: what showed is gone. */
export const milledThrough: Cause = {
  id: 'milled-through',
  defects: ['milled away or peeled out'],
  evidence(c) {
    // The mill takes the open face down, whichever face is shown.
    const all = layersHere(c);
    const top = all.at(-1);
    if (all.length < 2 || !top?.level) return undefined;
    const mm = top.layer.to - top.layer.from;
    return strongest(
      acted(c, 'mills').flatMap(({ step, entry }) => {
        const depth = (step.act as { depth?: number }).depth ?? 0;
        if (depth < mm || entry.status !== 'done') return [];
        return [
          {
            fact: `${figure(depth, 'mm')} were milled off, and ${top.layer.letter} lay only ${figure(mm, 'mm', 1)} deep there`,
            strength: depth / Math.max(0.1, mm) - 0.5,
            change: `mill at most ${figure(mm / 2, 'mm', 1)} off, or pour that colour deeper`,
            apply: (plan) => ({
              ...plan,
              steps: plan.steps.map((s) =>
                s.id === step.id
                  ? { ...s, act: { ...s.act, depth: Number(Math.max(0.1, mm / 2).toFixed(1)) } }
                  : s
              )
            })
          }
        ];
      })
    );
  }
};
