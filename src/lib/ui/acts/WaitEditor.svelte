<!-- A wait on one line: how long, or only for its gates. -->
<script lang="ts">
  import { wait } from '$core/pour';
  import QuantityField from '../forms/QuantityField.svelte';
  import type { ActEditorProps } from '.';

  let { editor, step, n }: ActEditorProps = $props();
  const act = $derived(wait.schema.safeParse(step.act).data);
  const set = (minutes: number | undefined) =>
    editor.edit({ path: ['steps', step.id, 'act', 'minutes'], value: minutes });
</script>

<div class="min-w-0 flex-1 text-[0.9rem]">
  <span class="inline-flex items-baseline gap-1">
    wait
    {#if act?.minutes === undefined}
      <button class="text-ink-2 underline" onclick={() => set(10)}>for minutes too</button>
    {:else}
      <QuantityField
        quiet
        width="4rem"
        label="Minutes of step {n}"
        unit="min"
        above
        max={50_000}
        value={act.minutes}
        onchange={set}
      />
      <button class="text-ink-2 underline" onclick={() => set(undefined)}>only for its gate</button>
    {/if}
  </span>
  {#if step.note}<p class="text-[0.8rem] leading-snug text-ink-2 italic">{step.note}</p>{/if}
</div>
