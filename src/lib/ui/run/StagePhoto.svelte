<!-- A photo worth having now: one tap, or F. It waits on this device while the network is away, and is told once it is kept. -->
<script lang="ts">
  import Camera from '@lucide/svelte/icons/camera';
  import type { RunState } from '$core/run';
  import type { PendingEvents } from '../../run/run-log.svelte';

  let {
    stage,
    run,
    log
  }: {
    /** What the photo would be of. */
    stage: string;
    run: RunState;
    log: PendingEvents;
  } = $props();

  let input = $state<HTMLInputElement>();
  const queue = $derived(log.photos);
  const waiting = $derived(queue?.waiting.length ?? 0);

  /** Opens the camera, or the choice of a file. */
  export const take = () => input?.click();

  function chosen(event: Event & { currentTarget: HTMLInputElement }) {
    const file = event.currentTarget.files?.[0];
    event.currentTarget.value = '';
    if (file) void queue?.add(file, stage);
  }
</script>

<div class="mt-5 flex flex-wrap items-center gap-3" data-testid="photo">
  <label class="button min-h-[64px] cursor-pointer gap-2 focus-within:outline-2">
    <Camera size={20} />
    {waiting ? 'the photo waits for the network' : `Photo: ${stage}`}
    <kbd class="rounded border border-current px-1.5 text-[0.8rem] font-semibold opacity-70">F</kbd>
    <input
      bind:this={input}
      class="sr-only"
      type="file"
      accept="image/*"
      capture="environment"
      aria-label="Photo: {stage}"
      disabled={waiting > 0}
      onchange={chosen}
    />
  </label>
  {#each run.photos.slice(-4) as photo (photo.id)}
    <img
      src="/api/v1/photos/{photo.id}"
      alt={photo.stage}
      class="size-16 rounded-md border border-rule-strong object-cover"
    />
  {/each}
  {#if queue?.problem}<p class="text-cinnabar" role="alert">{queue.problem}</p>{/if}
</div>
