<!-- The foot of a run: why something was not taken, the one big confirm, and what else a hand may want, each with its key. -->
<script lang="ts">
  import type { RunDesk } from '$lib/run/run-desk.svelte';

  let {
    desk,
    onconfirm,
    onask
  }: {
    desk: RunDesk;
    onconfirm: () => void;
    onask: (what: 'note' | 'problem' | 'state' | 'short' | 'right') => void;
  } = $props();

  const conducting = $derived(desk.given.conducting);
  const off = $derived(desk.blocked || !conducting || desk.doubt !== undefined);
  const BUTTONS = $derived([
    { key: 'T', name: 'How thick is it?', act: () => onask('state') },
    { key: 'R', name: 'Fix a mistake', act: () => onask('right'), off: !conducting },
    { key: 'S', name: 'Mix more', act: () => onask('short'), off: !conducting },
    { key: 'P', name: 'Problem', act: () => onask('problem') },
    { key: 'N', name: 'Note', act: () => onask('note') },
    { key: 'U', name: 'Undo', act: desk.undo, off: !desk.run.undoable || !conducting }
  ]);
</script>

{#if desk.problem}
  <p
    class="shrink-0 border-t-4 border-cinnabar bg-cinnabar-soft px-7 py-2.5 text-[1.25rem] font-semibold max-sm:px-3"
    role="alert"
  >
    {desk.problem}
  </p>
{/if}
<footer
  class="grid shrink-0 auto-cols-fr grid-flow-col gap-3 border-t border-rule bg-sheet px-7 py-3.5 max-sm:grid-flow-row max-sm:grid-cols-3 max-sm:gap-2 max-sm:px-3 max-sm:py-2"
>
  <button
    class="button go col-span-3 min-h-[76px] flex-col !gap-1 rounded-xl text-[1.6rem] max-sm:min-h-[64px] {off
      ? 'opacity-50'
      : ''}"
    onclick={onconfirm}
    aria-disabled={off}
    data-testid="confirm"
  >
    {desk.confirmWords}
    <kbd class="rounded border border-current px-1.5 text-[0.8rem] font-semibold opacity-80">space</kbd>
  </button>
  {#each BUTTONS as b (b.key)}
    <button
      class="button min-h-[76px] flex-col !gap-1 rounded-xl !px-2 text-[1.05rem] leading-tight whitespace-normal max-sm:min-h-[52px] max-sm:text-[0.95rem]"
      onclick={b.act}
      disabled={b.off}
    >
      {b.name}
      <kbd class="rounded border border-current px-1.5 text-[0.8rem] font-semibold opacity-70">{b.key}</kbd>
    </button>
  {/each}
</footer>
