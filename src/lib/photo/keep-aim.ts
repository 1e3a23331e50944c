import type { Placed } from '$core/photo';
import type { Plan } from '$core/plan';
import { send } from '../store/send';

/** Keeps the picture that a plan was asked by with the plan: what its pieces are to look like. A plan without it is still a plan. */
export async function keepAim(plan: Plan, file: Blob, { corners, outline, white }: Placed): Promise<void> {
  const body = new FormData();
  body.set('photo', file);
  try {
    const response = await fetch(`/api/v1/plans/${plan.id}/photos`, { method: 'POST', body });
    if (!response.ok) return;
    const { id } = (await response.json()) as { id: string };
    const aim = { photo: id, corners, outline, ...(white ? { white } : {}) };
    await send('PUT', `/plans/${plan.id}`, { ...plan, aim });
  } catch {
    // The plan is kept; only its picture is not.
  }
}
