<!-- One key, or the button, finds anything; what finds it is fetched when it is first asked for. -->
<script lang="ts">
  import Search from '@lucide/svelte/icons/search';
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
  class="flex h-[60px] flex-col max-sm:h-full items-center justify-center gap-0.5 text-[0.8rem] text-ink-2 hover:text-ink"
  title="Find anything: press /"
  aria-haspopup="dialog"
  aria-expanded={open}
  onclick={find}
>
  <Search size={20} strokeWidth={1.6} aria-hidden="true" />
  Find
</button>
{#if wanted}
  {#await import('../FindDialog.svelte') then { default: FindDialog }}<FindDialog bind:open />{/await}
{/if}
