<!-- Traces a cavity's outline over a photo: two taps and a known length give the scale, then corner after corner. -->
<script lang="ts">
  import { polygonArea, tracedOutline, type Point } from '$core/mould';
  import { inWords } from '../../preferences.svelte';
  import QuantityField from '../forms/QuantityField.svelte';

  let { onoutline }: { onoutline: (outline: [number, number][]) => void } = $props();
  let picture = $state<{ url: string; width: number; height: number }>();
  let points = $state.raw<Point[]>([]);
  let mm = $state(100);
  const ruler = $derived(points.slice(0, 2));
  const corners = $derived(points.slice(2));
  const traced = $derived(
    ruler.length === 2 ? tracedOutline([ruler[0]!, ruler[1]!], mm, corners) : undefined
  );
  const words = $derived(
    points.length < 2
      ? 'Tap the two ends of a length you know: a ruler laid beside the cavity is best.'
      : corners.length < 3
        ? 'Now tap the corners of the cavity, in order.'
        : 'Go on round, or use the outline.'
  );

  function open(event: Event & { currentTarget: HTMLInputElement }) {
    const file = event.currentTarget.files?.[0];
    if (!file) return;
    if (picture) URL.revokeObjectURL(picture.url);
    const url = URL.createObjectURL(file);
    const image = new Image();
    image.onload = () => {
      picture = { url, width: image.naturalWidth, height: image.naturalHeight };
      points = [];
    };
    image.src = url;
  }

  function tap(event: MouseEvent & { currentTarget: SVGSVGElement }) {
    const box = event.currentTarget.getBoundingClientRect();
    if (!picture) return;
    const x = ((event.clientX - box.left) / box.width) * picture.width;
    const y = ((event.clientY - box.top) / box.height) * picture.height;
    points = [...points, [x, y]];
  }
  const dot = $derived((picture?.width ?? 100) / 110);
</script>

<div class="mt-2 border-t border-rule pt-2">
  <label class="button cursor-pointer">
    Trace over a photo
    <input class="sr-only" type="file" accept="image/*" aria-label="Photo to trace over" onchange={open} />
  </label>
  {#if picture}
    <p class="mt-2 text-[0.9rem]">{words}</p>
    <!-- Tapping a photo has no keyboard form; the same outline can be typed as corners above. -->
    <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
    <svg
      viewBox="0 0 {picture.width} {picture.height}"
      class="mt-1 block w-full touch-none border border-rule-strong"
      role="img"
      aria-label="Photo with the traced outline"
      data-testid="trace"
      onclick={tap}
    >
      <image href={picture.url} width={picture.width} height={picture.height} />
      {#if ruler.length === 2}
        <path d="M{ruler[0]!.join(' ')}L{ruler[1]!.join(' ')}" stroke="#fff" stroke-width={dot * 0.9} /><path
          d="M{ruler[0]!.join(' ')}L{ruler[1]!.join(' ')}"
          stroke="#8a5a08"
          stroke-width={dot * 0.5}
        />
      {/if}
      {#if corners.length > 1}
        <path
          d="M{corners.map((p) => p.join(' ')).join('L')}Z"
          fill="rgb(27 102 87 / 0.25)"
          stroke="#fff"
          stroke-width={dot * 0.9}
        /><path
          d="M{corners.map((p) => p.join(' ')).join('L')}Z"
          fill="none"
          stroke="#1b6657"
          stroke-width={dot * 0.5}
        />
      {/if}
      {#each points as [x, y], i (i)}<circle
          cx={x}
          cy={y}
          r={dot}
          fill={i < 2 ? '#8a5a08' : '#1b6657'}
          stroke="#fff"
          stroke-width={dot * 0.3}
        />{/each}
    </svg>
    <div class="mt-2 flex flex-wrap items-center gap-3">
      <span class="flex items-center gap-2 whitespace-nowrap"
        >known length <span class="w-28"
          ><QuantityField label="Known length" unit="mm" above value={mm} onchange={(v) => (mm = v)} /></span
        ></span
      >
      <button class="button" disabled={!points.length} onclick={() => (points = points.slice(0, -1))}
        >Take the last back</button
      >
      {#if traced?.ok}
        <button
          class="button go"
          onclick={() => traced.ok && onoutline(traced.value.map(([x, y]) => [x, y]))}
        >
          Use the outline, {(polygonArea(traced.value) / 100).toFixed(1)} cm²
        </button>
      {:else if traced && corners.length >= 3}
        <p class="text-cinnabar" role="alert">
          {inWords(traced.problem.sentence)}
          {inWords(traced.problem.mend)}
        </p>
      {/if}
    </div>
  {/if}
</div>
