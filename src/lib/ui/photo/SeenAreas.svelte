<!-- What is seen on a photo: its colours as flat areas with their shares. Two are joined, one is taken apart, one is gloss. -->
<script lang="ts">
  import { joinedAreas, partedAreas, withoutColour, type Areas } from '$core/photo';
  import { paintAreas } from '../../photo/read-photo';
  import Choice from '../forms/Choice.svelte';

  let { areas, onchange }: { areas: Areas; onchange: (areas: Areas) => void } = $props();
  let canvas = $state<HTMLCanvasElement>();
  $effect(() => {
    if (canvas)
      paintAreas(
        canvas,
        areas,
        areas.colours.map((c) => c.hex)
      );
  });
  const MOST = 8;
  function change(i: number, what: string) {
    if (what === 'gloss') onchange(withoutColour(areas, i));
    else if (what === 'part') onchange(partedAreas(areas, i));
    else onchange(joinedAreas(areas, Number(what), i));
  }
</script>

<div class="flex flex-wrap items-start gap-4" data-testid="seen">
  <canvas
    bind:this={canvas}
    class="w-[220px] rounded-md border border-rule [image-rendering:pixelated]"
    aria-label="What is seen, as flat areas"
  ></canvas>
  <ul class="min-w-[230px] flex-1 space-y-1.5">
    {#each areas.colours as colour, i (i)}
      <li class="flex items-center gap-2" data-testid="seen-colour">
        <span
          class="size-8 shrink-0 rounded-md border border-rule-strong"
          style="background:{colour.hex}"
          aria-hidden="true"
        ></span>
        <strong class="w-14 text-right tabular-nums">{(colour.share * 100).toFixed(0)} %</strong>
        <Choice
          quiet
          class="!w-44"
          label="Change colour {i + 1}"
          value=""
          placeholder="change"
          options={[
            ...areas.colours.flatMap((c, k) =>
              k === i
                ? []
                : [{ value: String(k), label: `the same as ${(c.share * 100).toFixed(0)} %`, swatch: c.hex }]
            ),
            ...(areas.colours.length < MOST ? [{ value: 'part', label: 'two colours' }] : []),
            ...(areas.colours.length > 1 ? [{ value: 'gloss', label: 'gloss, no colour' }] : [])
          ]}
          onchange={(what) => change(i, what)}
        />
      </li>
    {/each}
  </ul>
</div>
