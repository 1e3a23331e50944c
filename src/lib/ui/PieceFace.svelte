<!-- One face of the finished piece, straight on, as its level layers show in it. -->
<script lang="ts">
  import { seenBy, type Vision } from '$core/colour';
  import type { ComputedGroup, ComputedLayer } from '$core/plan';
  import CupPattern from './CupPattern.svelte';
  import { inkOn } from './ink';
  import { extentOf } from './outline';
  import { halfWidthAt } from './section';
  import type { Mark } from './marks';

  let {
    group,
    face,
    size = 190,
    vision = 'everyone',
    marks = []
  }: {
    group: ComputedGroup;
    face: 'mould face' | 'open face';
    size?: number;
    vision?: Vision;
    /** Places and ways to point out: of the step that is looked at. */
    marks?: readonly Mark[];
  } = $props();

  const uid = $props.id();
  const widest = $derived(Math.max(...group.profile.map(([, w]) => w)));
  const scale = $derived((size / 2 - 6) / widest);
  // In the piece a layer looks as its thickness lets what is behind it show through.
  const colourOf = $derived((layer: ComputedLayer) =>
    seenBy(face === 'mould face' ? layer.colour : layer.openColour, vision)
  );
  // From the rim inwards, so that each smaller ring covers the middle of the one before.
  const rings = $derived(
    face === 'mould face'
      ? group.layers.toReversed().map((l) => ({ layer: l, r: halfWidthAt(group.profile, l.to) * scale }))
      : group.layers.slice(-1).map((l) => ({ layer: l, r: halfWidthAt(group.profile, l.to) * scale }))
  );
  const middle = $derived(size / 2);
  // The footprint at half width r: what a layer covers as seen straight on.
  const shapeAt = $derived((r: number): string => {
    const f = group.footprint;
    if (f.kind === 'rectangle') {
      const h = r * f.aspect;
      return `M${middle - r} ${middle - h}H${middle + r}V${middle + h}H${middle - r}Z`;
    }
    if (f.kind === 'outline') {
      const xs = f.points.map(([x]) => x);
      const ys = f.points.map(([, y]) => y);
      const [cx, cy] = [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2];
      const k = (2 * r) / Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys));
      return `M${f.points.map(([x, y]) => `${middle + (x - cx) * k} ${middle + (y - cy) * k}`).join('L')}Z`;
    }
    const disc = (q: number) =>
      `M${middle - q} ${middle}a${q} ${q} 0 1 0 ${2 * q} 0a${q} ${q} 0 1 0 ${-2 * q} 0Z`;
    return f.kind === 'ring' ? disc(r) + disc(r * f.inner) : disc(r);
  });
  // A long face needs no empty bands above and below it.
  const tall = $derived.by(() => {
    const f = group.footprint;
    if (f.kind !== 'rectangle' && f.kind !== 'outline') return size;
    const ys = f.kind === 'outline' ? f.points.map(([, y]) => y) : [];
    const xs = f.kind === 'outline' ? f.points.map(([x]) => x) : [];
    const aspect =
      f.kind === 'rectangle'
        ? f.aspect
        : (Math.max(...ys) - Math.min(...ys)) / Math.max(1e-6, Math.max(...xs) - Math.min(...xs));
    return Math.min(size, (size - 12) * aspect + 12);
  });
  // Places are shares of the rim as the open face is drawn; the mould face shows them mirrored.
  const extent = $derived(extentOf(group));
  const at = $derived((p: Mark['points'][number]) => {
    const side = face === 'mould face' ? -1 : 1;
    const x = middle + side * p.x * extent.width * scale;
    return `${x.toFixed(1)} ${(middle - p.y * extent.length * scale).toFixed(1)}`;
  });
  const inner = (i: number) => rings[i + 1]?.r ?? 0;
</script>

<svg
  viewBox="0 {middle - tall / 2} {size} {tall}"
  class="block w-full"
  role="img"
  aria-label="{face} of {group.name}"
>
  <defs>
    {#each rings as { layer } (layer.stepId)}
      <CupPattern id="{uid}-{layer.stepId}" colour={colourOf(layer)} hatch={layer.hatch} scale={0.9} />
    {/each}
    <radialGradient id="{uid}-light" cx="0.36" cy="0.3" r="0.85">
      <stop offset="0" stop-color="#fff" stop-opacity="0.32" />
      <stop offset="0.45" stop-color="#fff" stop-opacity="0" />
      <stop offset="1" stop-color="#000" stop-opacity="0.3" />
    </radialGradient>
  </defs>
  {#each rings as { layer, r }, i (layer.stepId)}
    <path
      d={shapeAt(r)}
      fill-rule="evenodd"
      fill="url(#{uid}-{layer.stepId})"
      stroke="var(--ink)"
      stroke-width="0.6"
    />
    {#if r - inner(i) > 11}
      <text
        x={size / 2}
        y={inner(i) ? size / 2 + (r + inner(i)) / 2 : size / 2}
        text-anchor="middle"
        dominant-baseline="central"
        font-size="13"
        font-weight="750"
        fill={inkOn(colourOf(layer))}
        stroke={colourOf(layer)}
        stroke-width="4"
        paint-order="stroke">{layer.letter}</text
      >
    {/if}
  {/each}
  {#if rings.length}
    {#if face === 'mould face'}
      <path d={shapeAt(rings[0]!.r)} fill-rule="evenodd" fill="url(#{uid}-light)" />
    {/if}
    <path d={shapeAt(rings[0]!.r)} fill="none" stroke="var(--ink)" stroke-width="1.5" />
  {:else}
    <path d={shapeAt(widest * scale)} fill="none" stroke="var(--rule-strong)" stroke-dasharray="4 4" />
  {/if}
  {#if marks.length}
    <g fill="none" data-testid="marks">
      {#each marks as mark, i (i)}
        {@const d = `M${mark.points.map(at).join('L')}${mark.closed ? 'Z' : ''}`}
        {#if mark.points.length > 1}
          <path {d} stroke="var(--ground)" stroke-width="3.4" stroke-linejoin="round" />
          <path {d} stroke="var(--ink)" stroke-width="1.4" stroke-linejoin="round" stroke-dasharray="4 2.5" />
        {:else}
          {@const [x, y] = at(mark.points[0]!).split(' ')}
          <circle cx={x} cy={y} r="7" stroke="var(--ground)" stroke-width="3.4" />
          <circle cx={x} cy={y} r="7" stroke="var(--ink)" stroke-width="1.4" stroke-dasharray="4 2.5" />
        {/if}
      {/each}
    </g>
  {/if}
</svg>
