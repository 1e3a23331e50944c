import { strongest, type Cause } from './cause';
import { acted } from './case';

/** Milled deeper than the colour went: what showed is gone. */
export const milledThrough: Cause = {
  id: 'milled-through',
  defects: ['milled away or peeled out'],
  looks(c) {
    const group = c.frozen.computed.groups.find((g) => g.groupId === c.groupId);
    const layers = group?.layers ?? [];
    const top = c.plan.showFace === 'open face' ? layers.at(-1) : layers[0];
    if (!top || layers.length < 2) return undefined;
    const mm = top.to - top.from;
    return strongest(
      acted(c, 'mills').flatMap(({ step, entry }) => {
        const depth = (step.act as { depth?: number }).depth ?? 0;
        if (depth < mm || entry.status !== 'done') return [];
        return [
          {
            fact: `${depth} mm were milled off, and ${top.letter} lay only ${mm.toFixed(1)} mm deep there`,
            strength: depth / Math.max(0.1, mm) - 0.5,
            change: `mill at most ${(mm / 2).toFixed(1)} mm off, or pour that colour deeper`,
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
