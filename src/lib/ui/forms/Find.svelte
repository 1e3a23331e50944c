<!-- One key, or the button, finds anything; what finds it is fetched when it is first asked for. -->
<script lang="ts">
  import { isTyping } from '../../page/keys';

  let open = $state(false);
  let wanted = $state(false);

  function find() {
    wanted = true;
    open = true;
  }

  function onkeydown(event: KeyboardEvent) {
    const asks =
      (event.key === 'k' && (event.ctrlKey || event.metaKey)) || (event.key === '/' && !isTyping(event));
    if (!asks || open) return;
    event.preventDefault();
    find();
  }
</script>

<svelte:window {onkeydown} />

<button
  class="grid h-14 place-items-center text-ink-2 hover:text-ink"
  aria-label="Find anything"
  aria-haspopup="dialog"
  aria-expanded={open}
  onclick={find}
>
  <span class="grid size-8 place-items-center rounded-md border border-rule-strong text-[1.05rem]">/</span>
</button>
{#if wanted}
  {#await import('../FindDialog.svelte') then { default: FindDialog }}<FindDialog bind:open />{/await}
{/if}
