<!-- A figure that is marked for a moment when it changes, so that cause and effect are seen. -->
<script lang="ts">
  import { flash } from './forms/flash';

  let { value, class: extra = '' }: { value: string; class?: string } = $props();
  let element: HTMLElement | undefined = $state();
  /** What it said last: drawn anew with the same words it has not changed. */
  let before: string | undefined;

  $effect(() => {
    const [last, now] = [before, value];
    before = now;
    if (element && last !== undefined && last !== now) flash(element);
  });
</script>

<span bind:this={element} class="rounded-[3px] data-changed:bg-flash {extra}">{value}</span>
