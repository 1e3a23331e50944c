<!-- Ways to look at the piece: where the cut goes, the pour step by step, other pieces it may come to, and a closer look. -->
<script lang="ts">
  import { Slider } from 'bits-ui';
  import type { Vision } from '$core/colour';
  import type { Computed, ComputedGroup } from '$core/plan';
  import type { Face, PicturePart } from '$core/piece';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import { length, inWords } from '../../preferences.svelte';
  import { onDestroy } from 'svelte';
  import { extentOf } from '../drawing/outline';
  import PiecePicture from '../drawing/PiecePicture.svelte';

  let {
    computed,
    editor,
    group,
    face,
    cut = $bindable(),
    seed = $bindable(),
    until = $bindable(),
    part = $bindable(),
    asking = $bindable(),
    asked,
    vision,
    mud
  }: {
    computed: Computed;
    editor: PlanView;
    group: ComputedGroup;
    face: Face;
    cut: { heading: number; off: number };
    /** Of what is left to chance; the usual one when absent. */
    seed: string | undefined;
    /** The last step that is shown done; all of them when absent. */
    until: string | undefined;
    part: PicturePart | undefined;
    /** Whether a face is asked for. */
    asking: boolean;
    /** The place that was asked about: a closer look goes there. */
    asked: { x: number; y: number } | undefined;
    vision: Vision;
    /** How far the colours have run into one another, 0..1; undefined until it is known. */
    mud: number | undefined;
  } = $props();

  const SEEDS = ['1', '2', '3', '4'];
  let range = $state(false);

  /** Steps of the pour into these cavities, in order: what can be gone through. */
  const steps = $derived(
    editor.plan.steps.filter((s) => s.where.includes(group.groupId) && !s.muted).map((s) => s.id)
  );
  const poured = $derived(new Set(group.layers.map((l) => l.stepId)));
  const last = $derived(steps.findLastIndex((id) => poured.has(id)));
  const shown = $derived(steps.slice(0, Math.max(last + 2, 1)));
  const at = $derived(until === undefined ? shown.length : shown.indexOf(until) + 1);
  const lineOf = (id: string) => inWords(computed.lines.find((l) => l.stepId === id)?.line ?? '');
  const goTo = (n: number) => (until = n >= shown.length ? undefined : shown[Math.max(0, n - 1)]);

  /** Milliseconds each step stays while the pour is played. */
  const FRAME = 1100;
  let timer: ReturnType<typeof setInterval> | undefined;
  let playing = $state(false);
  function stop() {
    clearInterval(timer);
    playing = false;
  }
  function play() {
    if (playing) return stop();
    playing = true;
    goTo(1);
    timer = setInterval(() => {
      if (at >= shown.length) stop();
      else goTo(at + 1);
    }, FRAME);
  }
  onDestroy(stop);

  const extent = $derived(extentOf(group));
  /** Where this face is fetched from as a file. */
  const fileOf = $derived((as: 'png' | 'svg' | 'template') => {
    const query = new URLSearchParams({
      as,
      face: face.kind,
      cavities: group.cavitySetId,
      size: '1600',
      ...(seed ? { piece: seed } : {}),
      ...(until ? { until } : {}),
      ...(face.kind === 'cut' ? { heading: String(face.heading), off: String(face.off) } : {})
    });
    return `/api/v1/plans/${editor.plan.id}/picture?${query}`;
  });
  const CLEAN = 0.12;
  const MUDDY = 0.35;
  const mudWords = $derived(
    mud === undefined || mud < CLEAN ? 'clean borders' : mud < MUDDY ? 'finely drawn' : 'turning muddy'
  );
  /** Half a thumb of a track so many pixels long, percent: said, since measuring it lays out the page while it is still being made. */
  const halfThumb = (track: number) => (10 / track) * 100;
  const ZOOM = 0.3;
  const inside = (v: number) => Math.min(1 - ZOOM, Math.max(0, v));
  const closer = (): PicturePart => ({
    x: inside((asked?.x ?? 0.5) - ZOOM / 2),
    y: inside((asked?.y ?? 0.5) - ZOOM / 2),
    side: ZOOM
  });
</script>

<div class="flex flex-wrap items-center justify-center gap-x-3 gap-y-1 text-[0.85rem] text-ink-2">
  {#if shown.length > 1}
    <button class="button bare min-h-9" onclick={play}>{playing ? 'Stop' : 'Play'}</button>
    <Slider.Root
      type="single"
      value={at}
      min={1}
      max={shown.length}
      step={1}
      onValueChange={goTo}
      trackPadding={halfThumb(144)}
      class="relative flex h-9 w-36 items-center"
    >
      <span class="relative h-1 w-full rounded bg-rule-strong"
        ><Slider.Range class="absolute h-full rounded bg-verdigris" /></span
      >
      <Slider.Thumb
        index={0}
        aria-label="Steps done in the picture"
        class="block size-5 rounded-full border-2 border-ground bg-verdigris"
      />
    </Slider.Root>
    <span class="tabular-nums">{at} of {shown.length}</span>
  {/if}
  <button class="button bare min-h-9" aria-pressed={range} onclick={() => (range = !range)}
    >What you may get</button
  >
  <button
    class="button bare min-h-9"
    aria-pressed={part !== undefined}
    onclick={() => (part = part ? undefined : closer())}>{part ? 'All of it' : 'Closer'}</button
  >
  <button class="button bare min-h-9" aria-pressed={asking} onclick={() => (asking = !asking)}
    >Ask for a face</button
  >
</div>
{#if until !== undefined}
  <p class="text-center text-[0.85rem]" data-testid="shown-until">after “{lineOf(until)}”</p>
{/if}
{#if part}
  <div class="flex justify-center gap-1" role="group" aria-label="Move the closer look">
    {#each [['←', -1, 0, 'to the left'], ['→', 1, 0, 'to the right'], ['↑', 0, -1, 'up'], ['↓', 0, 1, 'down']] as const as [sign, dx, dy, words] (words)}
      <button
        class="button bare min-h-9 min-w-9"
        aria-label={words}
        onclick={() =>
          part &&
          (part = {
            ...part,
            x: inside(part.x + (dx * ZOOM) / 2),
            y: inside(part.y + (dy * ZOOM) / 2)
          })}>{sign}</button
      >
    {/each}
  </div>
{/if}
{#if face.kind === 'cut'}
  {@const most = Math.min(extent.width, extent.length) * 0.95}
  <div class="flex flex-wrap items-center justify-center gap-x-4 text-[0.85rem] text-ink-2">
    {#each [{ key: 'heading', label: 'Turned', min: 0, max: 175, step: 5, words: `${cut.heading}°` }, { key: 'off', label: 'Beside the middle', min: -Math.round(most), max: Math.round(most), step: 1, words: length(cut.off, 0) }] as const as s (s.key)}
      <span class="flex items-center gap-2">
        {s.label}
        <Slider.Root
          type="single"
          value={cut[s.key]}
          min={s.min}
          max={s.max}
          step={s.step}
          onValueChange={(v: number) => (cut = { ...cut, [s.key]: v })}
          trackPadding={halfThumb(112)}
          class="relative flex h-9 w-28 items-center"
        >
          <span class="relative h-1 w-full rounded bg-rule-strong"></span>
          <Slider.Thumb
            index={0}
            aria-label={s.label}
            class="block size-5 rounded-full border-2 border-ground bg-ink"
          />
        </Slider.Root>
        <span class="w-14 tabular-nums">{s.words}</span>
      </span>
    {/each}
  </div>
{/if}
{#if range}
  <div class="mx-auto mt-1 grid w-full max-w-[480px] grid-cols-4 gap-2" data-testid="range">
    {#each SEEDS as s (s)}
      <button
        class="rounded-md border p-1.5 {(seed ?? '1') === s ? 'border-verdigris' : 'border-rule'}"
        aria-pressed={(seed ?? '1') === s}
        aria-label="Piece {s}"
        onclick={() => (seed = s === '1' ? undefined : s)}
      >
        <PiecePicture
          piece={{ plan: editor.plan, shelf: editor.shelf, group, cups: computed.cups }}
          {face}
          look={{ seed: s, vision }}
          size={160}
          letters={false}
        />
      </button>
    {/each}
  </div>
{/if}
<p class="flex flex-wrap items-center justify-center gap-x-4 text-[0.85rem] text-ink-2">
  {#if mud !== undefined}
    <span data-testid="mud" class={mud >= MUDDY ? 'text-ochre' : ''}>
      run together {(mud * 100).toFixed(0)} %, {mudWords}
    </span>
  {/if}
  <span>
    keep as <a class="underline" href={fileOf('png')} download="{editor.plan.id}.png">PNG</a>,
    <a class="underline" href={fileOf('svg')} download>SVG in true size</a>,
    <a class="underline" href={fileOf('template')} download>template for under the mould</a>
  </span>
</p>
