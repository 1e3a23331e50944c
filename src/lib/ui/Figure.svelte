<!-- A figure that is marked for a moment when it changes, so that cause and effect are seen. -->
<script lang="ts">
  let { value, class: extra = '' }: { value: string; class?: string } = $props();
  let first = true;
  let element: HTMLElement | undefined = $state();

  $effect(() => {
    void value;
    if (first) {
      first = false;
      return;
    }
    element?.classList.remove('changed');
    void element?.offsetWidth; // restarts the animation
    element?.classList.add('changed');
  });
</script>

<span bind:this={element} class={extra}>{value}</span>
