import type { Plan } from '../document';
import { applyEdit } from '../document/apply-edit';
import type { Problem } from '../problem';

/** Mends that are tried one after another before the rest is left to the maker. */
const ROUNDS = 12;

/**
 * A plan with what is wrong mended as its own warnings would mend it, the worst first, until none of them offers a mend.
 * @param prove the plan's problems with the mends that were proved for them; undefined where it was told to stop
 */
export async function mendInTurn(
  plan: Plan,
  prove: (plan: Plan) => readonly Problem[] | undefined | Promise<readonly Problem[] | undefined>
): Promise<Plan> {
  let mended = plan;
  for (let round = 0; round < ROUNDS; round++) {
    const problems = (await prove(mended)) ?? [];
    const wrong =
      problems.find((p) => p.level === 'stop' && p.edit) ??
      problems.find((p) => p.level === 'warn' && p.edit);
    if (!wrong?.edit) break;
    mended = applyEdit(mended, wrong.edit);
  }
  return mended;
}
