<!-- A figure that is marked for a moment when it changes, so that cause and effect are seen. -->
<script lang="ts">
  let { value, class: extra = '' }: { value: string; class?: string } = $props();
  let first = true;
  let element: HTMLElement | undefined = $state();
  let going: Animation | undefined;
  const SHOWN = 1600;

  $effect(() => {
    void value;
    if (first) {
      first = false;
      return;
    }
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
