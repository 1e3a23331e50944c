<!-- The batch in time: when the hands are done, how long each cup pours and why, when the pieces come out. -->
<script lang="ts">
  import { materials } from '$core/material';
  import { duration, holdsFor } from '$core/quantity';
  import type { PlanView } from '../../../plan/plan-view.svelte';
  import CupMark from '../../drawing/CupMark.svelte';
  import Figure from '../../Figure.svelte';
  import Fold from '../../Fold.svelte';
  import CureChart from './CureChart.svelte';
  import FactRow from './FactRow.svelte';
  import Warmth from './Warmth.svelte';

  let { editor }: { editor: PlanView } = $props();
  const computed = $derived(editor.computed);
  const cups = $derived(
    computed.cups.flatMap((cup) => {
      const own = computed.score.windows.filter((w) => w.cupId === cup.cupId).map((w) => w.to - w.zero);
      return own.length ? [{ ...cup, pours: Math.min(...own) }] : [];
    })
  );
  const modelled = $derived(computed.bases.some((b) => materials.has(b.kind, 'heats itself')));
</script>

<dl class="mt-2 text-[0.88rem]" data-testid="times">
  <FactRow label="Hands done after" value={duration(computed.score.ends)} />
  {#each computed.score.demould as d (d.groupId)}
    <FactRow
      label={computed.groups.length > 1
        ? `Demould ${editor.plan.groups.find((g) => g.id === d.groupId)?.name ?? ''}`
        : 'Demould'}
      value="{duration(d.from - d.lastPour)} – {duration(d.to - d.lastPour)}"
      note="after the last pour{d.cured === undefined ? '' : `, full cure ${duration(d.cured - d.lastPour)}`}"
    />
  {/each}
  {#each cups as cup (cup.cupId)}
    <div class="flex items-start justify-between gap-3 border-t border-rule py-1.5">
      <dt class="flex items-center gap-2 text-ink-2">
        <CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} size={19} />pours for
      </dt>
      <dd class="text-right">
        <Figure class="font-semibold" value={holdsFor(cup.pours)} />
        {#each cup.paces ?? [] as p, i (i)}
          <span class="block text-[0.8rem] text-ink-2">{p.why}: × {p.factor.toFixed(2)}</span>
        {/each}
      </dd>
    </div>
  {/each}
  {#each computed.starts ?? [] as start (start.cupId)}
    <FactRow
      label="Mix {computed.cups.find((c) => c.cupId === start.cupId)?.name ?? ''}"
      value={start.later < 0.5 ? 'first' : `${duration(start.later)} later`}
      note="so that all {start.state} at one moment"
    />
  {/each}
</dl>
<Warmth {editor} />
{#if modelled && cups.length}
  <Fold class="mt-1" words="How each cup cures">
    <CureChart plan={editor.plan} {computed} {editor} />
  </Fold>
{/if}
