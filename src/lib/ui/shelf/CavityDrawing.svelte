<!-- The empty section of a cavity, in true proportion; a level can be marked. -->
<script lang="ts">
  import { geometryOf, type CavityKind } from '$core/mould';
  import { halfWidthAt, slicePath } from '../drawing/section';

  let { kind, level = 0 }: { kind: CavityKind; level?: number } = $props();
  const STEPS = 40;
  const W = 240;
  const H = 150;

  const geometry = $derived(geometryOf(kind.shape));
  const profile = $derived(
    Array.from({ length: STEPS + 1 }, (_, i): [number, number] => {
      const z = geometry.depth * (i / STEPS) ** 2;
      return [z, geometry.halfWidthAt(z)];
    })
  );
  const widest = $derived(Math.max(1e-6, ...profile.map(([, w]) => w)));
  const scale = $derived(Math.min((W - 40) / (2 * widest), (H - 30) / Math.max(1e-6, geometry.depth)));
  const top = $derived((H - geometry.depth * scale) / 2 - 4);
  const x = $derived((mm: number) => W / 2 + mm * scale);
  const y = $derived((z: number) => top + (geometry.depth - z) * scale);
</script>

<svg viewBox="0 0 {W} {H}" class="block w-full" role="img" aria-label="section of {kind.name}">
  <path
    d="M{x(-widest) - 12} {y(geometry.depth)}H{x(widest) + 12}V{y(0) + 12}H{x(-widest) - 12}Z {slicePath(
      profile,
      [0, geometry.depth],
      { x, y }
    )}"
    fill="var(--mould)"
    fill-rule="evenodd"
  />
  <path
    d={slicePath(profile, [0, geometry.depth], { x, y })}
    fill="var(--sheet)"
    stroke="var(--ink)"
    stroke-width="2"
  />
  {#if level > 0}
    <path
      d={slicePath(profile, [0, Math.min(level, geometry.depth)], { x, y })}
      fill="var(--verdigris-soft)"
      stroke="var(--ink)"
    />
    <path
      d="M{x(-halfWidthAt(profile, level))} {y(level)}H{x(halfWidthAt(profile, level))}"
      stroke="var(--verdigris)"
      stroke-width="2.500"
    />
  {/if}
</svg>
