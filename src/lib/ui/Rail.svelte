<script lang="ts">
  import { goto } from '$app/navigation';
  import { page } from '$app/state';
  import Droplets from '@lucide/svelte/icons/droplets';
  import Layers from '@lucide/svelte/icons/layers';
  import Library from '@lucide/svelte/icons/archive';
  import ScrollText from '@lucide/svelte/icons/scroll-text';
  import Hammer from '@lucide/svelte/icons/hammer';
  import House from '@lucide/svelte/icons/house';
  import Moon from '@lucide/svelte/icons/moon';
  import Find from './forms/Find.svelte';
  import { isTyping } from '../page/keys';
  import { switchTheme } from '../page/theme';

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
  class="no-print sticky top-0 flex h-screen w-[72px] shrink-0 flex-col items-stretch border-r border-rule"
  aria-label="Places"
>
  <a href="/" class="grid h-16 place-items-center" aria-label="Kirapen, to the bench">
    <img src="/mark.svg" alt="" class="h-9 w-9" />
  </a>
  {#each places as place, i (place.href)}
    <a
      href={place.href}
      aria-current={here(place.href) ? 'page' : undefined}
      class="relative flex h-[78px] flex-col items-center justify-center gap-1 text-[0.8rem] text-ink-2 hover:text-ink aria-[current]:font-semibold aria-[current]:text-ink"
    >
      {#if here(place.href)}
        <span class="absolute inset-y-2 left-0 w-[3px] rounded-r bg-verdigris"></span>
      {/if}
      <place.icon size={22} strokeWidth={1.6} aria-hidden="true" />
      {place.name}
      <span class="text-[0.7rem] leading-none opacity-80" aria-hidden="true">{i + 1}</span>
    </a>
  {/each}
  <div class="mt-auto grid"><Find /></div>
  <a
    href="/workshop"
    class="grid h-14 place-items-center text-ink-2 hover:text-ink aria-[current]:text-ink"
    aria-label="Workshop: units, hours, backup and who gets in"
    aria-current={here('/workshop') ? 'page' : undefined}
  >
    <House size={20} strokeWidth={1.6} aria-hidden="true" />
  </a>
  <button
    class="grid h-14 place-items-center text-ink-2 hover:text-ink"
    onclick={switchTheme}
    aria-label="Switch between light and dark"
  >
    <Moon size={20} strokeWidth={1.6} aria-hidden="true" />
  </button>
</nav>
