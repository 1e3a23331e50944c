<!-- What may be wrong with a face: the defects of this material and of what was done to it, each with its drawing; the rest one tap away. -->
<script lang="ts">
  import { DEFECTS, type Defect } from '$core/inspect';
  import DefectDrawing from '../drawing/DefectDrawing.svelte';

  let {
    of,
    usual,
    chosen,
    onchoose
  }: {
    /** The face, in words. */
    of: string;
    /** Defects that this piece may show, most usual first. */
    usual: readonly Defect[];
    /** Those that are noted already. */
    chosen: readonly Defect[];
    onchoose: (defect: Defect) => void;
  } = $props();

  let all = $state(false);
  const rest = $derived(DEFECTS.filter((d) => !usual.includes(d)));
</script>

{#snippet list(defects: readonly Defect[])}
  {#each defects as defect (defect)}
    <li>
      <button
        class="button min-h-[56px] w-full !justify-start gap-2.5 !px-2.5 text-left text-[0.95rem] leading-tight font-normal whitespace-normal"
        aria-pressed={chosen.includes(defect)}
        disabled={chosen.includes(defect)}
        onclick={() => onchoose(defect)}
      >
        <DefectDrawing {defect} />
        {defect}
      </button>
    </li>
  {/each}
{/snippet}

<div class="mt-2" role="group" aria-label="Defects of the {of}" data-testid="defects">
  <ul class="grid grid-cols-3 gap-1.5 max-lg:grid-cols-2 max-sm:grid-cols-1">
    {@render list(usual)}
    {#if all}{@render list(rest)}{/if}
  </ul>
  {#if rest.length && !all}
    <button class="button bare mt-1" onclick={() => (all = true)}
      >{rest.length} others, of other materials</button
    >
  {/if}
</div>
