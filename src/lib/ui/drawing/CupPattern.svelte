<!-- A cup's colour with its hatch, as an SVG paint: the same everywhere a cup appears. -->
<script lang="ts">
  import type { Cup } from '$core/document';
  import { hatchOn } from './ink';

  let {
    id,
    colour,
    hatch,
    scale = 1
  }: { id: string; colour: string; hatch: Cup['hatch']; scale?: number } = $props();
  const line = $derived(hatchOn(colour));
</script>

<pattern {id} width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="scale({scale})">
  <rect width="8" height="8" fill={colour} />
  {#if hatch === 'slant'}
    <path d="M-2 10 10 -2M-2 2 2 -2M6 10 10 6" stroke={line} stroke-width="1.2" />
  {:else if hatch === 'back slant'}
    <path d="M-2 -2 10 10M6 -2 10 2M-2 6 2 10" stroke={line} stroke-width="1.2" />
  {:else if hatch === 'level'}
    <path d="M0 4H8" stroke={line} stroke-width="1.2" />
  {:else if hatch === 'upright'}
    <path d="M4 0V8" stroke={line} stroke-width="1.2" />
  {:else if hatch === 'dots'}
    <circle cx="2" cy="2" r="0.95" fill={line} /><circle cx="6" cy="6" r="0.95" fill={line} />
  {:else if hatch === 'weave'}
    <path d="M0 2H4M4 6H8M2 4V8M6 0V4" stroke={line} stroke-width="1.1" />
  {:else if hatch === 'rings'}
    <circle cx="4" cy="4" r="2.2" fill="none" stroke={line} stroke-width="1" />
  {/if}
</pattern>
