import { asItsWarningMends, strongest, type Cause } from '../cause';
import { cupName, mixesHere } from '../case';
import { compatibilityOf } from '../../../material';

/** A colourant that does not belong in this material. */
export const wrongColourantForIt: Cause = {
  id: 'wrong-colourant-for-it',
  defects: ['tacky or soft', 'unmixed streaks or specks', 'bubbles on the mould face'],
  evidence(c) {
    return strongest(
      mixesHere(c).flatMap((mixId) => {
        const cup = c.frozen.computed.cups.find((x) => x.mixes.some((m) => m.mixId === mixId));
        const kind = c.frozen.file.shelf.bases.find((b) => b.id === cup?.baseId)?.kind;
        return (c.plan.cups.find((x) => x.id === cup?.cupId)?.recipe ?? []).flatMap((line) => {
          const pot = c.frozen.file.shelf.colourants.find((x) => x.id === line.colourantId);
          const judged = pot && kind && compatibilityOf(pot.form, kind);
          return judged?.verdict === 'avoid'
            ? [
                {
                  fact: `${pot!.name} in ${cupName(c, mixId)}: ${judged.reason}`,
                  strength: 1,
                  change: 'take another pot for this material',
                  apply: asItsWarningMends('colourant-unsuited')
                }
              ]
            : [];
        });
      })
    );
  }
};
