<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import Droplets from '@lucide/svelte/icons/droplets';
  import Layers from '@lucide/svelte/icons/layers';
  import Library from '@lucide/svelte/icons/archive';
  import ScrollText from '@lucide/svelte/icons/scroll-text';
  import Hammer from '@lucide/svelte/icons/hammer';
  import Settings from '@lucide/svelte/icons/settings';
  import Moon from '@lucide/svelte/icons/moon';
  import Find from './forms/Find.svelte';
  import { isTyping } from '../page/keys';
  import { switchTheme } from '../page/theme.svelte';

  const places = [
    { href: '/', name: 'Bench', icon: Hammer },
    { href: '/plans', name: 'Plans', icon: Layers },
    { href: '/colours', name: 'Colours', icon: Droplets },
    { href: '/shelf', name: 'Shelf', icon: Library },
    { href: '/record', name: 'Record', icon: ScrollText }
  ];
  const here = (href: string) =>
    href === '/' ? page.url.pathname === '/' : page.url.pathname.startsWith(href);

  function onkeydown(event: KeyboardEvent) {
    if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
    const place = places[Number(event.key) - 1];
    if (place) goto(place.href);
  }
</script>

<svelte:window {onkeydown} />

<nav
  class="no-print sticky top-0 flex h-screen w-[72px] shrink-0 flex-col items-stretch border-r border-rule bg-ground max-sm:fixed max-sm:inset-x-0 max-sm:top-auto max-sm:bottom-0 max-sm:z-40 max-sm:h-[58px] max-sm:w-full max-sm:flex-row max-sm:justify-between max-sm:border-t max-sm:border-r-0 max-sm:px-1"
  aria-label="Places"
>
  <a href="/" class="grid h-16 place-items-center max-sm:hidden" aria-label="Kirapen, to the bench">
    <img src="/mark.svg" alt="" class="h-9 w-9" />
  </a>
  {#each places as place, i (place.href)}
    <a
      href={place.href}
      aria-current={here(place.href) ? 'page' : undefined}
      title="{place.name}: press {i + 1}"
      class="relative flex h-[68px] flex-col max-sm:h-auto max-sm:flex-1 items-center justify-center gap-1 text-[0.8rem] text-ink-2 hover:text-ink aria-[current]:font-semibold aria-[current]:text-ink"
    >
      {#if here(place.href)}
        <span
          class="absolute inset-y-2 left-0 w-[3px] rounded-r bg-verdigris max-sm:inset-x-2 max-sm:inset-y-auto max-sm:top-0 max-sm:h-[3px] max-sm:w-auto"
        ></span>
      {/if}
      <place.icon size={22} strokeWidth={1.6} aria-hidden="true" />
      {place.name}
    </a>
  {/each}
  <div class="mt-auto grid max-sm:mt-0 max-sm:flex-1"><Find /></div>
  <a
    href="/workshop"
    class="flex h-[60px] flex-col items-center justify-center gap-0.5 text-[0.8rem] text-ink-2 hover:text-ink aria-[current]:text-ink max-sm:h-auto max-sm:flex-1"
    title="Units, working hours, backup, who gets in"
    aria-current={here('/workshop') ? 'page' : undefined}
  >
    <Settings size={20} strokeWidth={1.6} aria-hidden="true" />
    Settings
  </a>
  <button
    class="flex h-[60px] flex-col items-center justify-center gap-0.5 text-[0.8rem] text-ink-2 hover:text-ink max-sm:hidden"
    onclick={switchTheme}
    title="Switch between light and dark"
  >
    <Moon size={20} strokeWidth={1.6} aria-hidden="true" />
    Theme
  </button>
</nav>
