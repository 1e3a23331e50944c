<!-- The empty section of a cavity, in true proportion; a level can be marked. -->
<script lang="ts">
  import { halfWidthAt, slicePath } from '../drawing/section';
  import type { CavitySection } from './cavity-section';

  let { section, level = 0 }: { section: CavitySection; level?: number } = $props();
  const W = 240;
  const H = 150;

  const { name, depth, profile } = $derived(section);
  const widest = $derived(Math.max(1e-6, ...profile.map(([, w]) => w)));
  const scale = $derived(Math.min((W - 40) / (2 * widest), (H - 30) / Math.max(1e-6, depth)));
  const top = $derived((H - depth * scale) / 2 - 4);
  const x = $derived((mm: number) => W / 2 + mm * scale);
  const y = $derived((z: number) => top + (depth - z) * scale);
</script>

<svg viewBox="0 0 {W} {H}" class="block w-full" role="img" aria-label="section of {name}">
  <path
    d="M{x(-widest) - 12} {y(depth)}H{x(widest) + 12}V{y(0) + 12}H{x(-widest) - 12}Z {slicePath(
      profile,
      [0, depth],
      { x, y }
    )}"
    fill="var(--mould)"
    fill-rule="evenodd"
  />
  <path
    d={slicePath(profile, [0, depth], { x, y })}
    fill="var(--sheet)"
    stroke="var(--ink)"
    stroke-width="2"
  />
  {#if level > 0}
    <path
      d={slicePath(profile, [0, Math.min(level, depth)], { x, y })}
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
