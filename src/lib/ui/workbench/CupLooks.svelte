<!-- A cup's colour where it will be seen: in the cup, in the piece, sealed, aged; and when it hides. -->
<script lang="ts">
  import Hint from '../forms/Hint.svelte';
  import { length } from '../../preferences.svelte';
  import type { Computed, ComputedCup } from '$core/plan';

  let {
    out,
    computed,
    composite
  }: {
    out: ComputedCup;
    computed: Computed;
    /** Filled from other cups: they are what is poured. */
    composite: boolean;
  } = $props();
  const layer = $derived(computed.groups.flatMap((g) => g.layers).find((l) => l.cupId === out.cupId));
  const looks = $derived(
    [
      { words: 'in the cup', look: out.looks.cup },
      ...(layer ? [{ words: `${length(layer.to - layer.from)} in the piece, dry`, look: layer.look }] : []),
      { words: 'sealed', look: out.looks.sealed },
      { words: 'after a year or two', look: out.looks.aged }
    ].filter((x, i, all) => i === 0 || all.findIndex((y) => y.look.hex === x.look.hex) === i)
  );
  const off = $derived(looks.some((x) => !x.look.onScreen));
</script>

<div class="flex items-center gap-1 text-[0.8rem] text-ink-2" data-testid="looks-{out.letter}">
  <Hint words="From the left: {looks.map((l) => l.words).join('; ')}." class="flex gap-1">
    {#each looks as { words, look } (words)}
      <span
        class="h-4 w-6 rounded-sm border border-rule-strong"
        style="background:{look.hex}"
        role="img"
        aria-label="{words}: {look.hex}"
      ></span>
    {/each}
  </Hint>
  <span class="ml-auto">
    {#if off}<Hint words="The screen cannot show this colour as strong as it is." class="text-ochre"
        >looks stronger in the cup ·</Hint
      >{/if}
    {#if !composite && out.shareOfPour > 0}{(out.shareOfPour * 100).toFixed(0)} % of the pour ·
    {/if}{out.hides === null ? 'see-through' : `opaque from ${length(out.hides, out.hides < 10 ? 1 : 0)}`}
  </span>
</div>
