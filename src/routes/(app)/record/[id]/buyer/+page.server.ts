import { runOfPage } from '$lib/server/run-page';
import { store } from '$lib/server/store';

export const load = async ({ params }) => {
  const { db } = await store();
  const { id, name, startedAt, frozen } = await runOfPage(db, params.id);
  return { run: { id, name, startedAt }, plan: frozen.file.plan, computed: frozen.computed };
};
