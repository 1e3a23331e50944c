<!-- A pour that comes near to a picture: the drawn face beside what is seen, its colours, in what it is alike and in what not. -->
<script lang="ts">
  import type { Areas } from '$core/photo';
  import { figuresOf } from '$core/plan';
  import { TECHNIQUES } from '$core/pour';
  import type { PouredLike } from '$core/propose';
  import type { Shelf } from '$core/shelf';
  import { paintAreas } from '../../photo/read-photo';
  import PiecePicture from '../drawing/PiecePicture.svelte';

  let {
    pour,
    areas,
    shelf,
    making,
    onopen
  }: { pour: PouredLike; areas: Areas; shelf: Shelf; making: boolean; onopen: () => void } = $props();

  const technique = $derived(TECHNIQUES.find((t) => t.id === pour.techniqueId)!);
  const computed = $derived(figuresOf(pour.plan, shelf));
  const percent = (x: number) => `${(x * 100).toFixed(0)} %`;
  let canvas = $state<HTMLCanvasElement>();
  $effect(() => {
    if (canvas)
      paintAreas(
        canvas,
        areas,
        areas.colours.map((c) => c.hex)
      );
  });
  /** A difference of colour that an eye does not see, and one that it cannot miss. */
  const [UNSEEN, PLAIN] = [2, 6];
  const nearness = (deltaE: number) =>
    deltaE < UNSEEN ? 'the same colour' : deltaE < PLAIN ? 'nearly the colour' : 'another colour';
</script>

<article class="sheet p-4" data-testid="poured-like" data-technique={pour.techniqueId}>
  <h3 class="text-[1.2rem]">{technique.name}</h3>
  <p class="text-[0.9rem] text-ink-2">{technique.about}</p>
  {#if !pour.isAlike}
    <p class="mt-2 border-l-4 border-ochre pl-2" data-testid="not-alike">
      No technique here makes this. This is the nearest, and it is not alike.
    </p>
  {/if}
  <div class="mt-3 grid grid-cols-2 gap-3">
    <figure>
      <canvas
        bind:this={canvas}
        class="w-full rounded-md border border-rule"
        aria-label="The picture, as flat areas"
      ></canvas>
      <figcaption class="label mt-1">the picture</figcaption>
    </figure>
    <figure>
      {#if computed.groups[0]}
        <PiecePicture
          piece={{ plan: pour.plan, shelf, group: computed.groups[0], cups: computed.cups }}
          face={pour.face}
          size={320}
          letters={false}
        />
      {/if}
      <figcaption class="label mt-1">
        the pour, as drawn{pour.coarse ? '; its shares are being sought' : ''}
      </figcaption>
    </figure>
  </div>
  <table class="mt-3 w-full text-[0.92rem]">
    <thead class="text-left text-ink-2">
      <tr
        ><th class="font-normal">colour</th><th class="text-right font-normal">wanted</th><th
          class="text-right font-normal">drawn</th
        ><th class="pl-3 font-normal">recipe</th></tr
      >
    </thead>
    <tbody>
      {#each pour.colours as c (c.cupId)}
        {@const cup = computed.cups.find((x) => x.cupId === c.cupId)}
        <tr>
          <td class="py-0.5">
            <span class="flex">
              <span
                class="h-6 w-6 rounded-l-md border border-rule-strong"
                style="background:{c.wanted.hex}"
                title="wanted"
              ></span>
              <span
                class="h-6 w-6 rounded-r-md border border-l-0 border-rule-strong"
                style="background:{cup?.colour}"
                title="from the shelf"
              ></span>
            </span>
          </td>
          <td class="text-right tabular-nums">{percent(c.wanted.share)}</td>
          <td class="text-right tabular-nums">{percent(c.drawn)}</td>
          <td class="pl-3">
            {#if c.deltaE === undefined}no pot suits{:else}{nearness(c.deltaE)}, ΔE {c.deltaE.toFixed(1)}{/if}
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
  {#if pour.alike.length}<p class="mt-2 text-[0.9rem]">Alike: {pour.alike.join(', ')}.</p>{/if}
  {#if pour.unlike.length}<p class="text-[0.9rem]">Not alike: {pour.unlike.join(', ')}.</p>{/if}
  <button class="button go mt-3" disabled={making} onclick={onopen}
    >{making ? 'Making the plan' : 'Open as plan'}</button
  >
</article>
