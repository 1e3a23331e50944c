<!-- What a thing that is set in looks like: its outline, how it lies, and its colours. -->
<script lang="ts">
  import { EmbedLook, isRibbed, outlineRadius, THING_OUTLINES, type Embed } from '$core/mould';
  import type { ComputedGroup } from '$core/plan';
  import type { Path } from '$core/pour';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import OutlineField from '../acts/OutlineField.svelte';
  import { extentOf } from '../drawing/outline';
  import TargetField from '../colour/TargetField.svelte';
  import Choice from '../forms/Choice.svelte';
  import Row from '../forms/Row.svelte';

  type Thing = Extract<Embed, { kind: 'object' }>;

  let {
    editor,
    thing,
    group,
    onchange
  }: {
    editor: PlanView;
    thing: Thing;
    group: ComputedGroup | undefined;
    onchange: (look: EmbedLook | undefined) => void;
  } = $props();

  const look = $derived(thing.look);
  const kind = $derived(!look ? 'unsaid' : typeof look.outline === 'string' ? look.outline : 'drawn');
  const change = (to: Partial<EmbedLook>) => look && onchange({ ...look, ...to });

  /** Begun as a square: its corners are then moved, or traced over a picture. */
  const SQUARE: [number, number][] = [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1]
  ];
  function choose(to: string) {
    const outline = to === 'drawn' ? SQUARE : THING_OUTLINES.find((o) => o === to);
    if (to === 'unsaid') onchange(undefined);
    else if (outline) onchange(EmbedLook.parse({ ...look, outline }));
  }

  /** Corners are drawn over the cavity, as large as is handy: only their shape is taken. */
  const extent = $derived(group ? extentOf(group) : { width: 1, length: 1 });
  const path = $derived.by((): Path => {
    const corners = look && typeof look.outline !== 'string' ? look.outline : [];
    const far = Math.max(1e-9, ...corners.flat().map(Math.abs));
    const size = (0.7 * Math.min(extent.width, extent.length)) / far;
    return {
      points: corners.map(([x, y]) => ({ x: (x * size) / extent.width, y: (y * size) / extent.length })),
      closed: true
    };
  });
  const drawn = ({ points }: Path) =>
    change({ outline: points.map(({ x, y }): [number, number] => [x * extent.width, y * extent.length]) });

  /** The outline as a path in a square of 2 × 2. */
  const shape = $derived.by(() => {
    const radius = outlineRadius(look?.outline ?? 'round');
    const points = Array.from({ length: 120 }, (_, i) => {
      const a = (i * Math.PI) / 60;
      return [radius(a) * Math.cos(a), -radius(a) * Math.sin(a)] as const;
    });
    const far = Math.max(...points.map(([x, y]) => Math.hypot(x, y)));
    return `M${points.map(([x, y]) => `${(x / far).toFixed(3)} ${(y / far).toFixed(3)}`).join('L')}Z`;
  });
</script>

<div class="mt-1 flex items-center gap-3">
  <svg class="h-11 w-11 shrink-0" viewBox="-1.1 -1.1 2.2 2.2" aria-hidden="true">
    <path d={shape} fill={look?.colours[0] ?? '#b8ad97'} stroke="var(--ink-2)" stroke-width="0.04" />
    {#if look?.colours[1]}
      {#if isRibbed(look.outline)}
        <path d="M-0.9 0H0.9" stroke={look.colours[1]} stroke-width="0.08" />
      {:else}
        <circle r="0.34" fill={look.colours[1]} />
      {/if}
    {/if}
  </svg>
  <div class="grid min-w-0 flex-1 grid-cols-2 gap-x-3">
    <Row label="Its outline">
      <Choice
        label="Outline of {thing.name}"
        value={kind}
        options={[
          { value: 'unsaid', label: 'not said' },
          ...THING_OUTLINES.map((o) => ({ value: o, label: o })),
          { value: 'drawn', label: 'drawn or traced' }
        ]}
        onchange={choose}
      />
    </Row>
    {#if look && look.outline !== 'round'}
      <Row label="It lies">
        <Choice
          label="How {thing.name} lies"
          value={look.lies}
          options={(['flat', 'on edge'] as const).map((o) => ({ value: o, label: o }))}
          onchange={(lies) => change({ lies: lies === 'flat' ? 'flat' : 'on edge' })}
        />
      </Row>
    {/if}
  </div>
</div>
{#if look}
  <div class="mt-1 grid grid-cols-2 gap-x-3">
    {#each look.colours as colour, i (i)}
      <div>
        <span class="text-ink-2"
          >{i ? (isRibbed(look.outline) ? 'Its rib' : 'Its middle') : 'Its colour'}</span
        >
        <TargetField
          label="{i ? 'Second colour' : 'Colour'} of {thing.name}"
          value={colour}
          onchange={(hex) => change({ colours: look.colours.with(i, hex) })}
        />
      </div>
    {/each}
  </div>
  {#if look.colours.length < 2}
    <button
      class="button bare min-h-9 !px-1.5"
      onclick={() => change({ colours: [...look.colours, '#e8c55a'] })}>+ Second colour</button
    >
  {:else}
    <button class="button bare min-h-9 !px-1.5" onclick={() => change({ colours: look.colours.slice(0, 1) })}
      >One colour only</button
    >
  {/if}
  {#if kind === 'drawn'}
    <OutlineField
      {editor}
      label="Outline of {thing.name}, corner by corner"
      {group}
      {path}
      onchange={drawn}
    />
  {/if}
{/if}
