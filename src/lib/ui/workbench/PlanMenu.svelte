<script lang="ts">
  import { newId } from '$lib/id';
  import { goto } from '$app/navigation';
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import { DropdownMenu } from 'bits-ui';
  import type { Plan } from '$core/plan';
  import { send } from '../../store/send';
  import type { PlanView } from '../../plan/plan-view.svelte';

  let { plan, editor }: { plan: Plan; editor: PlanView } = $props();
  const item =
    'flex min-h-11 cursor-pointer items-center rounded-md px-3 data-[highlighted]:bg-sunk outline-none';

  async function copy() {
    const id = newId();
    const made = await send('POST', '/plans', {
      ...plan,
      id,
      name: `${plan.name}, copy`.slice(0, 80),
      madeFrom: { plan: plan.id }
    });
    if (made.ok) await goto(`/plans/${id}`);
  }

  async function remove() {
    await editor.settled();
    const file = await send('GET', `/plans/${plan.id}/file`);
    const gone = await send('DELETE', `/plans/${plan.id}`);
    if (!file.ok || !gone.ok) return;
    // The list offers to bring it back: undo, rather than asking first.
    sessionStorage.setItem('kirapen.deleted', JSON.stringify(file.value));
    await goto('/plans');
  }
</script>

<DropdownMenu.Root>
  <DropdownMenu.Trigger class="button bare !gap-1 whitespace-nowrap"
    >Export, copy <ChevronDown size={15} aria-hidden="true" /><span class="sr-only">or delete this plan</span
    ></DropdownMenu.Trigger
  >
  <DropdownMenu.Portal>
    <DropdownMenu.Content
      class="z-30 min-w-52 rounded-lg border border-rule-strong bg-sheet p-1 shadow-lg"
      sideOffset={6}
      strategy="fixed"
      align="end"
    >
      <DropdownMenu.Item class={item} onSelect={() => (location.href = `/api/v1/plans/${plan.id}/file`)}>
        Export as a file
      </DropdownMenu.Item>
      <DropdownMenu.Item class={item} onSelect={copy}>Make a copy</DropdownMenu.Item>
      <DropdownMenu.Item class="{item} text-cinnabar" onSelect={remove}>Delete the plan</DropdownMenu.Item>
    </DropdownMenu.Content>
  </DropdownMenu.Portal>
</DropdownMenu.Root>
