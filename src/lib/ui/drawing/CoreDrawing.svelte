<!--
  The core: a section through the cavity in true proportion. Letters and hatches name the cups, a dashed line
  marks where a gate lets the layer below gel, a heavy line the show face.
-->
<script lang="ts">
  import type { Plan } from '$core/plan';
  import type { FigureCup, FigureGroup } from '$core/run';
  import CupPattern from './CupPattern.svelte';
  import { inkOn } from './ink';
  import { shownUnit, volume, length } from '../../preferences.svelte';
  import { halfWidthAt, slicePath } from './section';

  let {
    group,
    cups,
    showFace,
    width = 360,
    height: most = 230,
    seen = (hex) => hex,
    slim = false
  }: {
    group: FigureGroup;
    cups: readonly FigureCup[];
    showFace: Plan['showFace'];
    width?: number;
    height?: number;
    /** How a colour is shown: as it is, unless it is looked at with other eyes. */
    seen?: (hex: string) => string;
    /** Under a picture that says the rest: no words below it. */
    slim?: boolean;
  } = $props();

  const uid = $props.id();
  const LEFT = $derived(slim ? 62 : 46);
  const RIGHT = 112;
  const TOP = $derived(slim ? 8 : 20);
  const BOTTOM = $derived(slim ? 5 : 34);
  const WALL = $derived(slim ? 7 : 11);

  const widest = $derived(Math.max(...group.profile.map(([, w]) => w)));
  const scale = $derived(
    Math.min((width - LEFT - RIGHT - 2 * WALL) / (2 * widest), (most - TOP - BOTTOM - WALL) / group.depth)
  );
  const middle = $derived(LEFT + WALL + (width - LEFT - RIGHT - 2 * WALL) / 2);
  // A flat piece sits lower, so that the labels of its layers have room above and below it.
  const gap = $derived(
    Math.max(13, Math.min(27, (most - TOP - (slim ? 6 : 18)) / Math.max(1, group.layers.length)))
  );
  /** Many layers leave room for their names alone; what each takes stands in the pour. */
  const namesOnly = $derived(gap < 25);
  const needs = $derived(group.layers.length * gap);
  // And takes no more room than it needs for either.
  const height = $derived(Math.min(most, Math.max(group.depth * scale, needs) + TOP + BOTTOM + WALL));
  const base = $derived(
    Math.min(
      height - BOTTOM - WALL,
      TOP + group.depth * scale + Math.max(0, (needs - group.depth * scale) / 2)
    )
  );
  const x = $derived((mm: number) => middle + mm * scale);
  const y = $derived((z: number) => base - z * scale);
  const cupOf = (id: string) => cups.find((c) => c.cupId === id);
  const colours = $derived((cup: FigureCup) => seen(cup.colour));
  const unit = $derived(shownUnit('mm'));
  // The unit stands once beside the scale.
  const mm = (z: number) => length(z).slice(0, -unit.length - 1);

  // Labels beside the drawing keep a line's distance from each other, in order from the bottom up.
  const labels = $derived.by(() => {
    const wanted = group.layers.map((l) => (y(l.from) + y(l.to)) / 2);
    const middle = wanted.reduce((s, v) => s + v, 0) / Math.max(1, wanted.length);
    for (let i = 1; i < wanted.length; i++) wanted[i] = Math.min(wanted[i]!, wanted[i - 1]! - gap);
    // Spread about the middle of the layers, inside the drawing.
    const spread = wanted.reduce((s, v) => s + v, 0) / Math.max(1, wanted.length);
    const down = Math.min(middle - spread, height - 14 - Math.max(...wanted, 0));
    const moved = wanted.map((v) => v + down);
    const over = TOP + 4 - Math.min(...moved, Infinity);
    return over > 0 && Number.isFinite(over) ? moved.map((v) => v + over) : moved;
  });
  // Heights that would stand on each other are left out, the lowest and highest last of all.
  const ticks = $derived.by(() => {
    const all = [...new Set([0, ...group.layers.map((l) => l.to)])].sort((a, b) => a - b);
    const top = all.at(-1) ?? 0;
    let last = 0;
    return all.filter((z) => {
      if (z === 0) return true;
      const free = (z - last) * scale >= 12 && (z === top || (top - z) * scale >= 12);
      if (free) last = z;
      return free;
    });
  });
  const top = $derived(Math.max(...ticks));
  const mould = $derived(
    `M${x(-widest) - WALL} ${y(group.depth)}H${x(widest) + WALL}V${base + WALL}H${x(-widest) - WALL}Z ` +
      slicePath(group.profile, [0, group.depth], { x, y })
  );
</script>

<svg
  viewBox="0 0 {width} {height}"
  class="block w-full"
  role="img"
  aria-label="Section of {group.name}: {group.layers
    .map((l) => `${l.letter} ${cupOf(l.cupId)?.name} from ${mm(l.from)} to ${mm(l.to)} ${unit}`)
    .join(', ')}"
  data-testid="core"
>
  <defs>
    {#each cups as cup (cup.cupId)}
      <CupPattern id="{uid}-{cup.cupId}" colour={colours(cup)} hatch={cup.hatch} />
    {/each}
  </defs>

  <path d={mould} fill="var(--mould)" fill-rule="evenodd" />
  <path d={slicePath(group.profile, [0, group.depth], { x, y })} fill="var(--sheet)" />

  {#each group.layers as layer (layer.pourId)}
    {@const cup = cupOf(layer.cupId)}
    {@const tall = (layer.to - layer.from) * scale}
    {#if layer.chamber}
      <clipPath id="{uid}-{layer.stepId}">
        <rect
          x={x(-widest + 2 * widest * layer.chamber.from)}
          y="0"
          width={2 * widest * (layer.chamber.to - layer.chamber.from) * scale}
          {height}
        />
      </clipPath>
    {/if}
    <path
      d={slicePath(group.profile, [layer.from, layer.to], { x, y })}
      fill="url(#{uid}-{layer.cupId})"
      clip-path={layer.chamber ? `url(#${uid}-${layer.stepId})` : undefined}
      data-layer={layer.letter}
    />
    {#if tall > 19.5}
      <text
        x={layer.chamber ? x(widest * (layer.chamber.from + layer.chamber.to - 1)) : middle}
        y={y((layer.from + layer.to) / 2)}
        text-anchor="middle"
        dominant-baseline="central"
        font-size={Math.min(22, tall * 0.62)}
        font-weight="750"
        fill={inkOn(cup?.colour ?? '#ffffff')}
        stroke={cup?.colour}
        stroke-width="5"
        paint-order="stroke">{layer.letter}</text
      >
    {/if}
  {/each}

  <!-- Boundaries: dashed where the layer below has gelled, wavering where it is still wet. -->
  {#each group.layers.slice(1).filter((l) => !l.chamber && l.from > 0) as layer (layer.pourId)}
    {@const w = halfWidthAt(group.profile, layer.from)}
    {@const yy = y(layer.from)}
    {#if layer.gated}
      <path d="M{x(-w)} {yy}H{x(w)}" stroke="var(--ink)" stroke-width="2" stroke-dasharray="5 3" />
    {:else}
      <path
        d="M{x(-w)} {yy}{Array.from(
          { length: 12 },
          (_, i) => `q${(w * scale) / 24} ${i % 2 ? 4 : -4} ${(w * scale) / 6 / 2 + (w * scale) / 12} 0`
        ).join('')}"
        fill="none"
        stroke="var(--cinnabar)"
        stroke-width="1.5"
      />
    {/if}
  {/each}

  <path
    d={slicePath(group.profile, [0, group.depth], { x, y })}
    fill="none"
    stroke="var(--ink)"
    stroke-width="2"
  />

  <!-- The rim, and the show face. -->
  <path
    d="M{x(-widest) - WALL} {y(group.depth)}H{x(widest) + WALL}"
    stroke="var(--ink-2)"
    stroke-width="1.2"
    stroke-dasharray="2 3"
  />
  {#if showFace === 'mould face'}
    <path
      d={`M${group.profile
        .toReversed()
        .map(([z, w]) => `${x(-w)} ${y(z)}`)
        .join('L')}L${group.profile.map(([z, w]) => `${x(w)} ${y(z)}`).join('L')}`}
      fill="none"
      stroke="var(--verdigris)"
      stroke-width="3.5"
      transform="translate(0 2.5)"
      stroke-linecap="round"
    />
  {:else if showFace === 'wall'}
    {#each [-1, 1] as side (side)}
      <path
        d={`M${group.profile.map(([z, w]) => `${x(side * w)} ${y(z)}`).join('L')}`}
        fill="none"
        stroke="var(--verdigris)"
        stroke-width="3.5"
        transform="translate({side * 2.5} 0)"
        stroke-linecap="round"
      />
    {/each}
  {:else if showFace === 'open face'}
    <path
      d="M{x(-widest)} {y(group.depth) - 3}H{x(widest)}"
      stroke="var(--verdigris)"
      stroke-width="3.5"
      stroke-linecap="round"
    />
  {/if}
  {#if !slim && (showFace === 'mould face' || showFace === 'open face')}
    <text x={middle} y={base + WALL + 16} text-anchor="middle" font-size="12.5" fill="var(--ink-2)"
      >{showFace === 'mould face' ? 'show face' : 'mould side'}</text
    >
  {/if}

  <!-- Heights on the left. -->
  <path d="M{LEFT - 4} {y(0)}V{y(group.depth)}" stroke="var(--ink-2)" stroke-width="1" />
  {#each ticks as tick (tick)}
    <path d="M{LEFT - 8} {y(tick)}H{LEFT - 4}" stroke="var(--ink-2)" stroke-width="1" />
    <text
      x={LEFT - 11}
      y={y(tick)}
      text-anchor="end"
      dominant-baseline="central"
      font-size="12.5"
      fill="var(--ink)">{mm(tick)}{slim && tick === top ? ` ${unit}` : ''}</text
    >
  {/each}
  {#if !slim}
    <text x={LEFT - 11} y={base + 16} text-anchor="end" font-size="12.5" fill="var(--ink-2)">{unit}</text>
    <text x={x(widest) + WALL} y={y(group.depth) - 7} text-anchor="end" font-size="12.5" fill="var(--ink-2)"
      >rim</text
    >
  {/if}

  <!-- What each layer takes, on the right. -->
  {#each group.layers as layer, i (layer.pourId)}
    {@const yy = labels[i] ?? 0}
    {@const at = (layer.from + layer.to) / 2}
    <path
      d="M{x(halfWidthAt(group.profile, at)) + 4} {y(at)}L{width - RIGHT + 6} {yy}"
      stroke="var(--ink-2)"
      stroke-width="0.8"
      fill="none"
    />
    <text
      x={width - RIGHT + 10}
      y={namesOnly ? yy + 4 : yy - 1}
      font-size={namesOnly ? 12.5 : 13}
      font-weight="650"
      fill="var(--ink)">{layer.letter} {cupOf(layer.cupId)?.name}</text
    >
    {#if !namesOnly}<text x={width - RIGHT + 10} y={yy + 12.5} font-size="12.5" fill="var(--ink-2)"
        >{volume(layer.each)} · {mm(layer.to - layer.from)}</text
      >{/if}
  {/each}
</svg>
