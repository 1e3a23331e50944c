<!-- What a turn and a good piece cost, by the lots that are taken from. -->
<script lang="ts">
  import { money } from '../../../preferences.svelte';
  import type { PlanView } from '../../../plan/plan-view.svelte';
  import NumberField from '../../shelf/NumberField.svelte';
  import FactRow from './FactRow.svelte';

  let { editor }: { editor: PlanView } = $props();
  const cost = $derived(editor.computed.cost);
</script>

<dl class="mt-2 text-[0.88rem]">
  {#if cost}
    <FactRow
      label="Cost a good piece"
      value={money(cost.perPiece)}
      note={cost.unknown.length ? `without ${cost.unknown.join(', ')}: no price is known` : ''}
    />
    <FactRow label="A turn" value={money(cost.total)} />
  {:else}
    <FactRow label="Cost" value="not known" note="prices stand on the lots of the shelf" />
  {/if}
  <FactRow label="Gloves, cups, blades each pour" note="in the money of your lots">
    <span class="block w-24">
      <NumberField
        label="Consumables each pour"
        optional
        value={editor.plan.consumables}
        onchange={(v) => editor.edit({ path: ['consumables'], value: v })}
      />
    </span>
  </FactRow>
</dl>
