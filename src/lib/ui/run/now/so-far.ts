import type { RunDesk } from '$lib/run/run-desk.svelte';

/** The section as far as it is poured, the layer in hand included; undefined where nothing in hand has cavities. */
export function soFar({ run, computed, instruction }: RunDesk) {
  const group = computed.groups.find((x) => x.groupId === instruction?.groupId);
  if (!group) return undefined;
  const poured = new Set(
    run.tasks.flatMap((t) => (t.task.kind === 'pour' && t.status === 'done' ? [t.task.stepId] : []))
  );
  if (instruction?.kind === 'pour') poured.add(instruction.task.stepId);
  return { ...group, layers: group.layers.filter((l) => poured.has(l.stepId)) };
}
