<!-- A figure that is marked for a moment when it changes, so that cause and effect are seen. -->
<script lang="ts">
  let { value, class: extra = '' }: { value: string; class?: string } = $props();
  let element: HTMLElement | undefined = $state();
  let going: Animation | undefined;
  /** What it said last: drawn anew with the same words it has not changed. */
  let before: string | undefined;
  const SHOWN = 1600;

  $effect(() => {
    const [last, now] = [before, value];
    before = now;
    if (last === undefined || last === now) return;
    going?.cancel();
    // Begun by itself, so that the page is not laid out for each figure. Less motion is no motion.
    if (matchMedia('(prefers-reduced-motion: reduce)').matches) return;
    going = element?.animate([{ background: 'var(--flash)', borderRadius: '3px' }, { borderRadius: '3px' }], {
      duration: SHOWN,
      easing: 'ease-out'
    });
  });
</script>

<span bind:this={element} class={extra}>{value}</span>
