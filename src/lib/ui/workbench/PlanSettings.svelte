<!-- What holds for the whole batch: scales, vessels, losses, allowance, spare cavities. -->
<script lang="ts">
  import { freshId } from '$core/edit';
  import { materials } from '$core/material';
  import { acts } from '$core/pour';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import Choice from '../forms/Choice.svelte';
  import More from '../More.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import NumberField from '../shelf/NumberField.svelte';
  import Row from '../forms/Row.svelte';
  import { weighing } from '$core/quantity';
  import Tick from '../forms/Tick.svelte';

  let { editor }: { editor: PlanView } = $props();
  const plan = $derived(editor.plan);
  const shelf = $derived(editor.shelf);
  const losses = $derived(editor.computed.losses);
  const countsHeats = $derived(editor.computed.bases.some((b) => materials.has(b.kind, 'counts its heats')));
  const reheats = $derived(Math.max(0, ...plan.mixes.map((m) => m.reheats ?? 0)));
  const piped = $derived(
    plan.steps.some((s) => (acts.read(s.act)?.definition.traits?.(s.act) ?? []).includes('bagged'))
  );
  const scaleOptions = $derived(shelf.scales.filter((s) => s.id !== plan.bench.scaleIds[0]));
  const setBench = (path: string[], value: unknown) => editor.edit({ path: ['bench', ...path], value });
  const set = (key: string, value: unknown) => editor.edit({ path: [key], value });
  const toggled = (ids: readonly string[], id: string) =>
    ids.includes(id) ? ids.filter((x) => x !== id) : [...ids, id];
  /** How often the melted base was heated already holds for every mix of the plan. */
  const setReheats = (n: number | undefined) =>
    editor.edits(
      plan.mixes.map((m) => ({
        path: ['mixes', m.id, 'reheats'],
        value: n === undefined ? undefined : Math.round(n)
      }))
    );

  function addSpare(place: string) {
    const [mouldId, cavityId] = place.split('|');
    const count =
      shelf.moulds.find((m) => m.id === mouldId)?.cavities.find((c) => c.id === cavityId)?.count ?? 1;
    set('spares', [...plan.spares, { id: freshId(plan, 'spare'), mouldId, cavityId, count }]);
  }
</script>

<More title="The batch" words="losses, spare, cups at hand" width="25rem" class="quiet">
  <fieldset class="mt-2">
    <legend class="label"
      >Scales at hand beside {shelf.scales.find((s) => s.id === plan.bench.scaleIds[0])?.name ??
        'the plan’s own'}</legend
    >
    {#each scaleOptions as s (s.id)}
      <Tick
        checked={plan.bench.scaleIds.includes(s.id)}
        onchange={() => setBench(['scaleIds'], toggled(plan.bench.scaleIds, s.id))}
      >
        {s.name}, {weighing(s.division, s.division)} to {weighing(s.capacity, s.division)}
      </Tick>
    {/each}
  </fieldset>
  {#if shelf.vessels.length}
    <fieldset class="mt-2">
      <legend class="label">Cups and jugs at hand (filled to two thirds, to stir)</legend>
      <div class="grid grid-cols-2">
        {#each shelf.vessels as v (v.id)}
          <Tick
            checked={plan.bench.vesselIds.includes(v.id)}
            onchange={() => setBench(['vesselIds'], toggled(plan.bench.vesselIds, v.id))}
          >
            {v.name}
          </Tick>
        {/each}
      </div>
    </fieldset>
  {/if}
  <div class="grid grid-cols-2 gap-x-3">
    <Row
      label="Stuck to cup and stick"
      hint={losses.from === 'record' ? `from ${losses.cups} past cups` : losses.from}
    >
      <QuantityField
        label="Stuck to cup and stick"
        unit="%"
        max={0.5}
        value={losses.cling}
        onchange={(v) =>
          editor.edits([
            { path: ['bench', 'losses', 'cling'], value: v },
            { path: ['bench', 'losses', 'typed'], value: true }
          ])}
      />
    </Row>
    <Row
      label="Left in each cup or jug"
      hint={plan.bench.losses.vessel === undefined ? 'from its card, or 2 g' : 'yours'}
    >
      <QuantityField
        label="Left in each cup or jug"
        unit="g"
        max={500}
        value={plan.bench.losses.vessel ?? losses.vessel ?? 2}
        onchange={(v) => setBench(['losses', 'vessel'], v)}
      />
    </Row>
    {#if piped}
      <Row
        label="Left in each piping bag"
        hint={plan.bench.losses.bag === undefined ? 'bag and tip, usually 3 g: weigh one' : 'yours'}
      >
        <QuantityField
          label="Left in each piping bag"
          unit="g"
          max={200}
          value={plan.bench.losses.bag ?? 3}
          onchange={(v) => setBench(['losses', 'bag'], v)}
        />
      </Row>
    {/if}
    <Row
      label="Extra to mix"
      hint={plan.bench.losses.allowance === undefined ? 'a layer you cannot top up gets 5 %' : 'yours'}
    >
      <QuantityField
        label="Extra to mix"
        unit="%"
        max={0.5}
        value={plan.bench.losses.allowance ?? 0}
        onchange={(v) => setBench(['losses', 'allowance'], v)}
      />
    </Row>
    {#if countsHeats}
      <Row label="Heated already, times">
        <NumberField
          label="Heated already, times"
          optional
          value={reheats || undefined}
          onchange={setReheats}
        />
      </Row>
    {/if}
  </div>
  {#if plan.bench.losses.typed}
    <button class="underline" onclick={() => setBench(['losses', 'typed'], undefined)}
      >use the figure from the record</button
    >
  {/if}
  {#if plan.bench.losses.vessel !== undefined}
    <button class="underline" onclick={() => setBench(['losses', 'vessel'], undefined)}
      >use the figure on each card</button
    >
  {/if}
  <h4 class="mt-3 font-sans text-[0.9rem] font-semibold">Use what is left over for</h4>
  <ol class="mt-1">
    {#each plan.spares as spare, i (spare.id)}
      <li class="flex items-center gap-2 py-1">
        {i + 1}. {spare.count} × {shelf.moulds.find((m) => m.id === spare.mouldId)?.name ??
          'gone from the shelf'}
        <button
          class="ml-auto text-ink-2 hover:text-cinnabar"
          aria-label="Take out spare {i + 1}"
          onclick={() => editor.edit({ path: ['spares', spare.id], value: undefined })}>×</button
        >
      </li>
    {/each}
    <li class="py-1 text-ink-2">{plan.spares.length + 1}. the leftovers</li>
  </ol>
  <Choice
    label="Spare mould"
    value=""
    placeholder="+ Spare mould"
    options={shelf.moulds.flatMap((m) =>
      m.cavities.map((c) => ({ value: `${m.id}|${c.id}`, label: `${m.name}: ${c.count} × ${c.name}` }))
    )}
    onchange={addSpare}
  />
</More>
