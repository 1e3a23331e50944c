<!-- Ways to look at the piece: where the cut goes, the pour step by step, other pieces it may come to, and a closer look. -->
<script lang="ts">
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import { DropdownMenu, Slider } from 'bits-ui';
  import type { Vision } from '$core/colour';
  import type { Computed, ComputedGroup } from '$core/plan';
  import type { Face, PicturePart } from '$core/piece';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import { length, inWords } from '../../preferences.svelte';
  import { onDestroy } from 'svelte';
  import { extentOf } from '../drawing/outline';
  import PlanAim from './PlanAim.svelte';
  import Variations from './Variations.svelte';

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
    vision
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
  } = $props();

  let range = $state(false);
  /** Whether the picture the plan was asked by is laid over it. */
  let aiming = $state(false);

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
  const fileOf = $derived((as: 'png' | 'svg' | 'template', size = '1600') => {
    const query = new URLSearchParams({
      as,
      face: face.kind,
      cavities: group.cavitySetId,
      size,
      ...(seed ? { piece: seed } : {}),
      ...(until ? { until } : {}),
      ...(face.kind === 'cut' ? { heading: String(face.heading), off: String(face.off) } : {})
    });
    return `/api/v1/plans/${editor.plan.id}/picture?${query}`;
  });
  const SAVED = $derived([
    { as: 'png', words: 'Picture, PNG', name: `${editor.plan.id}.png` },
    { as: 'svg', words: 'Drawing in life size, SVG', name: true },
    { as: 'template', words: 'Template to lay under the mould', name: true }
  ] as const);
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

<div
  class="flex flex-wrap items-center gap-x-1 text-[0.87rem] [&_.button]:min-h-9 [&_.button]:!px-1.5 [&_.button]:font-medium"
  data-picture-controls
>
  {#if shown.length > 1}
    <button class="button bare" onclick={play}>{playing ? 'Stop' : 'Play'}</button>
    <Slider.Root
      type="single"
      value={at}
      min={1}
      max={shown.length}
      step={1}
      onValueChange={goTo}
      trackPadding={halfThumb(96)}
      class="relative flex h-9 w-24 items-center"
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
    <span class="px-1 whitespace-nowrap text-ink-2 tabular-nums">step {at} of {shown.length}</span>
  {/if}
  <button class="button bare ml-auto" aria-pressed={range} onclick={() => (range = !range)}>Variations</button
  >
  {#if editor.plan.aim}
    <button class="button bare" aria-pressed={aiming} onclick={() => (aiming = !aiming)}>Asked for</button>
  {/if}
  <button
    class="button bare"
    aria-pressed={part !== undefined}
    onclick={() => (part = part ? undefined : closer())}>{part ? 'Zoom out' : 'Zoom in'}</button
  >
  <button class="button bare" aria-pressed={asking} onclick={() => (asking = !asking)}>Ask for a look</button>
  <DropdownMenu.Root>
    <DropdownMenu.Trigger class="button bare !gap-0.5"
      >Save<ChevronDown size={14} aria-hidden="true" /></DropdownMenu.Trigger
    >
    <DropdownMenu.Portal>
      <DropdownMenu.Content
        class="z-30 rounded-lg border border-rule-strong bg-sheet p-1 shadow-lg"
        sideOffset={4}
        align="end"
      >
        {#each SAVED as { as, words, name } (as)}
          <DropdownMenu.Item>
            {#snippet child({ props })}
              <a
                {...props}
                class="flex min-h-11 items-center rounded-md px-3 outline-none data-[highlighted]:bg-sunk"
                href={fileOf(as)}
                download={name}>{words}</a
              >
            {/snippet}
          </DropdownMenu.Item>
        {/each}
      </DropdownMenu.Content>
    </DropdownMenu.Portal>
  </DropdownMenu.Root>
</div>
{#if until !== undefined}
  <p class="text-[0.85rem]" data-testid="shown-until">after “{lineOf(until)}”</p>
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
    {#each [{ key: 'heading', label: 'Direction', min: 0, max: 175, step: 5, words: `${cut.heading}°` }, { key: 'off', label: 'Off the middle', min: -Math.round(most), max: Math.round(most), step: 1, words: length(cut.off, 0) }] as const as s (s.key)}
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
{#if aiming && editor.plan.aim}
  <PlanAim aim={editor.plan.aim} drawn={fileOf('png', '420')} />
{/if}
{#if range}
  <Variations
    piece={{ plan: editor.plan, shelf: editor.shelf, group, cups: computed.cups }}
    {face}
    {vision}
    spread={editor.spread}
    bind:seed
  />
{/if}
