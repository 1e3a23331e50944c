import { factsOf } from '../../../run';
import { strongest, type Cause, type Pointed } from '../cause';
import { cupName, mixesHere, type Case } from '../case';
import { limitOf } from '../../../material';

/** What the scale rounds to is no overdose. */
const ROUNDED = 1.03;

/** The colours of a mix as they went in, percent as supplied. */
function coloursIn(c: Case, mixId: string) {
  const cup = c.frozen.computed.cups.find((x) => x.mixes.some((m) => m.mixId === mixId));
  const kind = c.frozen.file.shelf.bases.find((b) => b.id === cup?.baseId)?.kind;
  const facts = factsOf(c.frozen.computed, c.state);
  return (c.plan.cups.find((x) => x.id === cup?.cupId)?.recipe ?? []).flatMap((line) => {
    const pot = c.frozen.file.shelf.colourants.find((x) => x.id === line.colourantId);
    if (!pot || !kind || !cup) return [];
    const percent = facts.find((f) => f.id === `percent:${mixId}:${line.id}`)?.actual ?? line.percent;
    return [{ name: pot.name, percent, line: line.id, cupId: cup.cupId, ...limitOf(pot, kind) }];
  });
}

/** More colour than its card or the material takes. */
export const colourOverItsLimit: Cause = {
  id: 'colour-over-its-limit',
  defects: [
    'tacky or soft',
    'yellowed',
    'snapped or chipped on demould',
    'ink faded or spread',
    'washed-out stain'
  ],
  evidence(c) {
    return strongest(
      mixesHere(c).flatMap((mixId) =>
        coloursIn(c, mixId).flatMap(({ name, percent, limit, reason, line, cupId }) =>
          percent > limit * ROUNDED
            ? [
                {
                  fact: `${cupName(c, mixId)} holds ${percent.toFixed(2)} % ${name}; its limit is ${Number(limit.toFixed(2))} %: ${reason}`,
                  strength: percent / limit - 1,
                  change: `use at most ${Number(limit.toFixed(2))} % of it`,
                  apply: (plan) => ({
                    ...plan,
                    cups: plan.cups.map((x) =>
                      x.id === cupId
                        ? {
                            ...x,
                            recipe: x.recipe.map((r) =>
                              r.id === line
                                ? { ...r, percent: Math.min(r.percent, Number((limit * 0.98).toFixed(3))) }
                                : r
                            )
                          }
                        : x
                    )
                  })
                } satisfies Pointed
              ]
            : []
        )
      )
    );
  }
};
