<!-- A photo worth having now: one tap, or F. It waits here while the network is away, and is told once it is kept. -->
<script lang="ts">
  import { onDestroy } from 'svelte';
  import Camera from '@lucide/svelte/icons/camera';
  import type { RunState } from '$core/run';
  import type { Telling } from '$lib/run-log.svelte';

  let {
    stage,
    run,
    log
  }: {
    /** What the photo would be of. */
    stage: string;
    run: RunState;
    log: Telling;
  } = $props();

  const RETRY = 4000;
  let input = $state<HTMLInputElement>();
  let waiting = $state.raw<{ file: File; stage: string }>();
  let problem = $state('');
  let again: ReturnType<typeof setTimeout> | undefined;
  onDestroy(() => clearTimeout(again));

  /** Opens the camera, or the choice of a file. */
  export const take = () => input?.click();

  function chosen(event: Event & { currentTarget: HTMLInputElement }) {
    const file = event.currentTarget.files?.[0];
    event.currentTarget.value = '';
    if (!file) return;
    waiting = { file, stage };
    void keep();
  }

  async function keep() {
    const own = waiting;
    if (!own || !log.photosAt) return;
    problem = '';
    const body = new FormData();
    body.set('photo', own.file);
    try {
      const response = await fetch(log.photosAt, { method: 'POST', body });
      const answer = await response.json();
      waiting = undefined;
      if (response.ok) log.tell({ type: 'pictured', photo: answer.id, stage: own.stage });
      else
        problem = `${answer.problems?.[0]?.sentence ?? 'The photo was not kept.'} ${answer.problems?.[0]?.mend ?? ''}`;
    } catch {
      again = setTimeout(() => void keep(), RETRY);
    }
  }
</script>

<div class="mt-5 flex flex-wrap items-center gap-3" data-testid="photo">
  <label class="button min-h-[64px] cursor-pointer gap-2 focus-within:outline-2">
    <Camera size={20} />
    {waiting ? 'the photo waits for the network…' : `Photo: ${stage}`}
    <kbd class="rounded border border-current px-1.5 text-[0.8rem] font-semibold opacity-70">F</kbd>
    <input
      bind:this={input}
      class="sr-only"
      type="file"
      accept="image/*"
      capture="environment"
      aria-label="Photo: {stage}"
      disabled={waiting !== undefined}
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
  {#if problem}<p class="text-cinnabar" role="alert">{problem}</p>{/if}
</div>
