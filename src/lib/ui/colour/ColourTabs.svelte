<!-- The places of Colours. -->
<script lang="ts">
  import { page } from '$app/state';

  const TABS = [
    ['/colours', 'All colourants'],
    ['/colours/match', 'Match a colour'],
    ['/colours/cards', 'Trial cards'],
    ['/colours/palettes', 'Palettes'],
    ['/colours/paste', 'Make a paste'],
    ['/colours/drops', 'Weigh a drop']
  ] as const;
</script>

<nav class="no-print mb-4 flex flex-wrap gap-1 border-b border-rule pb-2" aria-label="Colours">
  {#each TABS as [href, name] (href)}
    <a
      {href}
      class="button bare aria-[current]:underline aria-[current]:decoration-verdigris aria-[current]:decoration-2 aria-[current]:underline-offset-8"
      aria-current={page.url.pathname === href ? 'page' : undefined}>{name}</a
    >
  {/each}
</nav>
