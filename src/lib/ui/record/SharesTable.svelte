<!-- What each colour of a face was planned to show and really shows, and whether that is more than a photo can err. -->
<script lang="ts">
  import { shownOtherwise, type MeasuredShares, type ShareSpread } from '$core/inspect';
  import type { FigureCup } from '$core/run';
  import CupMark from '../drawing/CupMark.svelte';

  let {
    shows,
    cups,
    own
  }: {
    shows: MeasuredShares;
    cups: readonly FigureCup[];
    /** How far this maker's pours vary, once that is known. */
    own: ShareSpread | undefined;
  } = $props();

  const cupsOf = (ids: readonly string[]) => cups.filter((c) => ids.includes(c.cupId));
  const percent = (x: number) => `${(x * 100).toFixed(0)} %`;
  const otherwise = $derived(
    shownOtherwise({ faces: [{ face: 'open face', defects: [], shows }] }, own).length > 0
  );
  const limit = $derived(Math.max(shows.within, 2 * (own?.spread ?? 0)));
</script>

<div>
  <table class="text-[0.95rem]" data-testid="measured-shares">
    <thead class="text-left text-ink-2"
      ><tr
        ><th class="font-normal">colour</th><th class="px-3 text-right font-normal">planned</th><th
          class="px-3 text-right font-normal">measured</th
        ></tr
      ></thead
    >
    <tbody>
      {#each shows.shares as s (s.cupIds.join())}
        {@const differs = Math.abs(s.measured - s.planned) > limit}
        <tr>
          <td class="py-1">
            <span class="flex items-center gap-1.5">
              {#each cupsOf(s.cupIds) as cup (cup.cupId)}
                <CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={24} />
              {/each}
              {cupsOf(s.cupIds)
                .map((c) => c.name)
                .join(' and ')}{s.cupIds.length > 1 ? ', too alike to be told apart' : ''}
            </span>
          </td>
          <td class="px-3 text-right tabular-nums">{percent(s.planned)}</td>
          <td class="px-3 text-right tabular-nums {differs ? 'font-bold text-ochre' : ''}"
            >{percent(s.measured)}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>
  <p class="mt-1 text-[0.9rem] text-ink-2">
    {otherwise
      ? `A difference above ${percent(limit)} is more than ${own && 2 * own.spread > shows.within ? 'your own pours vary' : 'measuring errs'}.`
      : `As planned, as far as a ${shows.quality === 'poor' ? 'poor ' : ''}photo can tell: within ${percent(limit)}.`}
  </p>
</div>
