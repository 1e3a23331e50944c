<!-- What holds for the whole batch: scales, vessels, losses, allowance, spare cavities, consumables. -->
<script lang="ts">
  import { freshId } from '$core/plan';
  import type { PlanEditor } from '$lib/plan-editor.svelte';
  import More from '../More.svelte';
  import QuantityField from '../QuantityField.svelte';
  import NumberField from '../shelf/NumberField.svelte';
  import Row from '../shelf/Row.svelte';

  let { editor }: { editor: PlanEditor } = $props();
  const plan = $derived(editor.plan);
  const shelf = $derived(editor.shelf);
  const losses = $derived(editor.computed.losses);
  const base = $derived(shelf.bases.find((b) => b.id === plan.baseId));
  const set = (key: string, value: unknown) => editor.edit({ path: [key], value });
  const toggled = (ids: readonly string[] | undefined, id: string) => {
    const next = ids?.includes(id) ? ids.filter((x) => x !== id) : [...(ids ?? []), id];
    return next.length ? next : undefined;
  };

  function addSpare(place: string) {
    const [mouldId, cavityId] = place.split('|');
    const count =
      shelf.moulds.find((m) => m.id === mouldId)?.cavities.find((c) => c.id === cavityId)?.count ?? 1;
    set('spares', [...(plan.spares ?? []), { id: freshId(plan, 'spare'), mouldId, cavityId, count }]);
  }
</script>

<More label="Settings of the batch" title="The batch" words="batch…" width="25rem">
  <fieldset class="mt-2">
    <legend class="label"
      >Scales at hand beside {shelf.scales.find((s) => s.id === plan.scaleId)?.name}</legend
    >
    {#each shelf.scales.filter((s) => s.id !== plan.scaleId) as s (s.id)}
      <label class="flex min-h-10 items-center gap-2">
        <input
          type="checkbox"
          class="h-5 w-5"
          checked={plan.otherScaleIds?.includes(s.id)}
          onchange={() => set('otherScaleIds', toggled(plan.otherScaleIds, s.id))}
        />
        {s.name}, {s.division} g to {s.capacity} g
      </label>
    {/each}
  </fieldset>
  {#if shelf.vessels.length}
    <fieldset class="mt-2">
      <legend class="label">Vessels at hand (a third is left free to stir)</legend>
      <div class="grid grid-cols-2">
        {#each shelf.vessels as v (v.id)}
          <label class="flex min-h-10 items-center gap-2">
            <input
              type="checkbox"
              class="h-5 w-5"
              checked={plan.vesselIds?.includes(v.id)}
              onchange={() => set('vesselIds', toggled(plan.vesselIds, v.id))}
            />
            {v.name}
          </label>
        {/each}
      </div>
    </fieldset>
  {/if}
  <div class="grid grid-cols-2 gap-x-3">
    <Row
      label="Clings, of what is poured"
      hint={losses.from === 'record' ? `from ${losses.cups} past cups` : losses.from}
    >
      <QuantityField
        label="Share that clings"
        unit="%"
        max={0.5}
        value={losses.cling}
        onchange={(v) =>
          editor.edits([
            { path: ['losses', 'cling'], value: v },
            { path: ['lossesFrom'], value: 'typed' }
          ])}
      />
    </Row>
    <Row label="Stays in each vessel">
      <QuantityField
        label="Stays in each vessel"
        unit="g"
        max={500}
        value={plan.losses.vessel}
        onchange={(v) => editor.edit({ path: ['losses', 'vessel'], value: v })}
      />
    </Row>
    <Row
      label="Mixed on top"
      hint={plan.allowance === undefined ? 'by remix risk: what cannot be poured again gets 5 %' : 'yours'}
    >
      <QuantityField
        label="Mixed on top"
        unit="%"
        max={0.5}
        value={plan.allowance ?? 0}
        onchange={(v) => set('allowance', v)}
      />
    </Row>
    <Row label="Consumables a turn" hint="in the money of your lots">
      <NumberField
        label="Consumables a turn"
        optional
        value={plan.consumables}
        onchange={(v) => set('consumables', v)}
      />
    </Row>
    {#if base?.kind === 'plastisol'}
      <Row label="Heated already, times">
        <NumberField
          label="Heated already, times"
          optional
          value={plan.reheats}
          onchange={(v) => set('reheats', v === undefined ? undefined : Math.round(v))}
        />
      </Row>
    {/if}
  </div>
  {#if plan.lossesFrom === 'typed'}
    <button class="underline" onclick={() => set('lossesFrom', undefined)}
      >let the record say what clings</button
    >
  {/if}
  <h4 class="mt-3 font-sans text-[0.9rem] font-semibold">What is left over goes to</h4>
  <ol class="mt-1">
    {#each plan.spares ?? [] as spare, i (spare.id)}
      <li class="flex items-center gap-2 py-1">
        {i + 1}. {spare.count} × {shelf.moulds.find((m) => m.id === spare.mouldId)?.name ??
          'gone from the shelf'}
        <button
          class="ml-auto text-ink-2 hover:text-cinnabar"
          aria-label="Take out spare {i + 1}"
          onclick={() =>
            set('spares', (plan.spares ?? []).length > 1 ? plan.spares!.toSpliced(i, 1) : undefined)}
          >×</button
        >
      </li>
    {/each}
    <li class="py-1 text-ink-2">{(plan.spares?.length ?? 0) + 1}. the leftovers</li>
  </ol>
  <select
    class="field"
    aria-label="Add a spare cavity"
    value=""
    onchange={(e) => {
      if (e.currentTarget.value) addSpare(e.currentTarget.value);
      e.currentTarget.value = '';
    }}
  >
    <option value="">+ spare cavities…</option>
    {#each shelf.moulds as m (m.id)}{#each m.cavities as c (c.id)}
        <option value="{m.id}|{c.id}">{m.name}: {c.count} × {c.name}</option>
      {/each}{/each}
  </select>
</More>
