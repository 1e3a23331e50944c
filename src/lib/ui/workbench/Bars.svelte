<!-- The casting cut up: every bar's face on one sheet, where each lay, what each weighs, and the cut that shows most of a colour. -->
<script lang="ts">
  import type { Computed, ComputedGroup, Plan } from '$core/plan';
  import { acts } from '$core/pour';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import { CutWork } from '../../plan/pattern-work.svelte';
  import { paintOn, type ShownPicture } from '../../plan/shown-picture';
  import { mass } from '../../preferences.svelte';
  import { onDestroy } from 'svelte';
  import Choice from '../forms/Choice.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import { extentOf, footprintOutline } from '../drawing/outline';

  let {
    plan,
    computed,
    editor,
    group,
    seed
  }: {
    plan: Plan;
    computed: Computed;
    editor: PlanView;
    group: ComputedGroup;
    seed: string | undefined;
  } = $props();

  const HOW = ['straight', 'on the diagonal', 'into logs'] as const;
  /** Bars that are drawn; more are counted. */
  const MOST = 60;
  const work = new CutWork();
  onDestroy(() => work.end());

  const cuts = ({ act }: Plan['steps'][number]) => {
    const known = acts.read(act);
    return known?.definition.traits?.(known.act).includes('cuts') ?? false;
  };
  /** The step that cuts these castings; where there is none, as many pieces as the group says. */
  const step = $derived(plan.steps.find((s) => s.where.includes(group.groupId) && cuts(s)));
  const read = $derived(step && acts.read(step.act));
  const cutInto = $derived(plan.groups.find((g) => g.id === group.groupId)?.cutInto ?? 1);
  const dividing = $derived({
    pieces: cutInto,
    how: 'straight' as const,
    kerf: 0,
    ...(read ? (read.act as unknown as { how: (typeof HOW)[number]; kerf: number }) : {})
  });
  const of = $derived({ plan, shelf: editor.shelf, cavitySetId: group.cavitySetId, seed });
  const into = $derived({ pieces: Math.max(1, cutInto), how: dividing.how, kerf: dividing.kerf });
  $effect(() => work.cut(of, into, { size: 150, most: MOST }));

  const change = (key: 'how' | 'kerf', value: string | number) => {
    const index = plan.steps.findIndex((s) => s.id === step?.id);
    if (index >= 0) editor.edit({ path: ['steps', index, 'act', key], value });
  };

  const density = $derived.by(() => {
    const ml = group.layers.reduce((s, l) => s + l.ml, 0);
    return ml > 0 ? group.layers.reduce((s, l) => s + l.grams, 0) / ml : 0;
  });
  const weights = $derived((work.cutting?.bars ?? []).map((b) => b.ml * density));
  let chosen = $state<string>();
  const bar = $derived(work.bars.find((b) => b.name === chosen));
  const extent = $derived(extentOf(group));
  const cups = $derived(computed.cups.filter((c) => !c.jug && c.balance.pouredMl > 0));
  let colour = $state<string>();
  $effect(() => {
    if (colour) work.search(of, into, colour);
  });

  function paint(canvas: HTMLCanvasElement, picture: ShownPicture) {
    paintOn(canvas, picture);
    return { update: (p: ShownPicture) => paintOn(canvas, p) };
  }
</script>

<section class="mt-3" aria-label="Bars">
  <div class="flex flex-wrap items-center gap-x-4 gap-y-1 text-[0.9rem]">
    <span><strong>{work.cutting?.bars.length ?? into.pieces}</strong> bars</span>
    {#if step}
      <Choice
        quiet
        label="How it is cut"
        value={into.how}
        options={HOW.map((h) => ({ value: h, label: h }))}
        onchange={(v) => change('how', v)}
      />
      <span class="flex items-center gap-1 text-ink-2">
        blade
        <QuantityField
          quiet
          width="3rem"
          label="What a blade takes"
          unit="mm"
          min={0}
          max={20}
          value={into.kerf}
          onchange={(v) => change('kerf', v)}
        />
      </span>
    {/if}
    {#if weights.length}
      <span class="text-ink-2">
        {mass(Math.min(...weights), 1)} to {mass(Math.max(...weights), 1)} each{#if work.cutting && work.cutting.lostMl * density > 0.5},
          {mass(work.cutting.lostMl * density, 0)} to the blades{/if}
      </span>
    {/if}
  </div>
  {#if work.cutting?.struck}
    <p class="mt-1 text-[0.9rem] text-cinnabar">
      {work.cutting.struck}
      {work.cutting.struck === 1 ? 'thing set in stands' : 'things set in stand'} where a blade runs. Set them between
      the cuts.
    </p>
  {/if}
  <div class="mt-2 flex flex-wrap gap-1.5" data-testid="bars">
    {#each work.bars as b (b.name)}
      <button
        class="rounded-sm border-2 {chosen === b.name ? 'border-verdigris' : 'border-transparent'}"
        aria-label="Bar {b.name}, {mass(b.ml * density, 1)}"
        aria-pressed={chosen === b.name}
        onclick={() => (chosen = chosen === b.name ? undefined : b.name)}
      >
        <canvas use:paint={b.picture} class="block h-14 w-auto"></canvas>
      </button>
    {/each}
  </div>
  {#if bar}
    <div class="mt-2 flex flex-wrap items-center gap-4 text-[0.9rem]" data-testid="bar">
      <canvas use:paint={bar.picture} class="h-28 w-auto border border-ink"></canvas>
      <canvas use:paint={bar.other} class="h-28 w-auto border border-ink"></canvas>
      <svg
        viewBox="{-extent.width - 2} {-extent.length - 2} {2 * extent.width + 4} {2 * extent.length + 4}"
        class="h-28"
        role="img"
        aria-label="Where bar {bar.name} lay"
      >
        <path
          d={footprintOutline(group, 1)}
          fill="var(--sunk)"
          stroke="var(--ink)"
          stroke-width={extent.width / 90}
        />
        <rect
          x={bar.from.x}
          y={-bar.to.y}
          width={bar.to.x - bar.from.x}
          height={bar.to.y - bar.from.y}
          fill="var(--verdigris)"
        />
      </svg>
      <span>bar {bar.name}<br /><strong>{mass(bar.ml * density, 1)}</strong></span>
    </div>
  {/if}
  {#if cups.length > 1}
    <p class="mt-2 flex flex-wrap items-center gap-2 text-[0.9rem] text-ink-2">
      Show most of
      <Choice
        quiet
        label="Show most of which colour"
        value={colour ?? ''}
        options={[
          { value: '', label: 'a colour' },
          ...cups.map((c) => ({ value: c.cupId, label: `${c.letter} ${c.name}` }))
        ]}
        onchange={(v) => (colour = v || undefined)}
      />
      {#if colour && work.cuts.length}
        <span data-testid="cuts">
          {#each work.cuts as found, i (found.how)}
            {i ? ', ' : ''}<button
              class="underline"
              class:font-bold={!i}
              onclick={() => change('how', found.how)}>{found.how} {(found.share * 100).toFixed(0)} %</button
            >
          {/each}
        </span>
      {/if}
    </p>
  {/if}
</section>
