<script lang="ts">
  import Table from '$lib/ui/Table.svelte';
  import Choice from '../../../../../lib/ui/forms/Choice.svelte';
  import { CavityKind, cavityOf, CONDITIONS, Mould, nearItsEnd } from '$core/mould';
  import { counted } from '$core/quantity';
  import { CardForm } from '../../../../../lib/store/card-form.svelte';
  import CardHead from '$lib/ui/shelf/CardHead.svelte';
  import CavityCard from '$lib/ui/shelf/CavityCard.svelte';
  import NumberField from '$lib/ui/shelf/NumberField.svelte';
  import Row from '../../../../../lib/ui/forms/Row.svelte';
  import { volume } from '../../../../../lib/preferences.svelte';
  import { day } from '$lib/when';

  let { data } = $props();
  const form = $derived(new CardForm<Mould>('moulds', Mould, data.card, data.revision));
  /** Runs it was poured in, however many of its cavities. */
  const uses = $derived(new Set(data.history.map((h) => h.runId)).size);
  const MATERIALS = ['silicone', 'aluminium', 'HDPE', 'lined timber', 'latex', 'other'];
  const FINISHES = ['gloss', 'satin', 'matte'];

  /** Whether a measured volume is another than the cavity's own; one that is not all typed yet has none to compare. */
  const differs = (ml: number, kind: CavityKind): boolean =>
    CavityKind.safeParse(kind).success && Math.abs(ml / cavityOf(kind).capacity - 1) > 0.002;

  function addKind() {
    const taken = form.card.cavities.map((c) => c.id);
    let n = 2;
    while (taken.includes(`cavity-${n}`)) n++;
    form.set(['cavities', form.card.cavities.length], {
      id: `cavity-${n}`,
      name: `piece ${n}`,
      count: 1,
      shape: { kind: 'cylinder', radius: 20, depth: 10 },
      capacity: { from: 'dimensions' }
    });
  }
</script>

<svelte:head><title>{form.card.name || 'New mould'} · Kirapen</title></svelte:head>

<div class="page">
  <CardHead
    {form}
    back="/shelf"
    what="mould"
    put={data.shelfEmpty ? '/' : `/shelf/moulds/${form.card.id}`}
    main={form.fresh || data.shelfEmpty ? undefined : planned}
  />
  {#snippet planned()}
    <a class="button go" href="/plans/new?mould={form.card.id}">New plan with this mould</a>
  {/snippet}
  {#each form.card.cavities as kind, index (kind.id)}
    <CavityCard {form} {kind} {index} />
  {/each}
  <div class="mt-2 flex flex-wrap items-center gap-2">
    <button class="button" onclick={addKind}>+ Another kind of cavity</button>
    {#if form.card.cavities.length > 1}
      {#each form.card.cavities as kind, index (kind.id)}
        <button class="button bare" onclick={() => form.set(['cavities', index], undefined)}
          >take out {kind.name}</button
        >
      {/each}
    {/if}
  </div>
  {#if data.history.length}
    <section class="sheet mt-4 p-5" aria-label="History">
      <h2 class="text-[1.2rem]">Cast in it so far</h2>
      <p
        class="text-[0.95rem] {nearItsEnd(form.card, uses) ? 'text-ochre' : 'text-ink-2'}"
        data-testid="uses"
      >
        {counted(uses, 'run')}{form.card.lasts === undefined
          ? ''
          : ` of about ${form.card.lasts}${nearItsEnd(form.card, uses) ? ': time to make the next one' : ''}`}
      </p>
      <Table
        class="mt-1"
        testid="history"
        rows={data.history.map((use) => {
          const index = form.card.cavities.findIndex((c) => c.id === use.cavityId);
          return { use, index, kind: form.card.cavities[index] };
        })}
        columns={[
          { id: 'run', head: 'run', by: ({ use }) => use.at },
          {
            id: 'count',
            head: 'cavities',
            num: true,
            by: ({ use }) => use.count,
            text: ({ use }) => use.count
          },
          { id: 'colour', head: 'first colour' },
          {
            id: 'took',
            head: 'measured volume',
            num: true,
            by: ({ use }) => use.ml ?? 0,
            text: ({ use }) => (use.ml ? `${volume(use.ml)} each` : 'not weighed')
          },
          { id: 'take', head: '', num: true }
        ]}
      >
        {#snippet cell({ use, index, kind }, column)}
          {#if column === 'run'}
            <a class="underline" href="/record/{use.runId}">{use.name}</a>, {day(use.at)}
          {:else if column === 'colour'}
            <span
              class="mr-1 inline-block h-4 w-4 rounded-sm border border-ink align-[-2px]"
              style="background:{use.colour}"
            ></span>
            {use.colourName}{use.dye ? ', a dye' : ''}
          {:else if use.ml && kind && differs(use.ml, kind)}
            <button
              class="underline"
              onclick={() =>
                form.set(['cavities', index, 'capacity'], {
                  from: 'pour',
                  ml: Number(use.ml!.toFixed(3)),
                  note: `${use.name}, ${day(use.at)}`
                })}>use that</button
            >
          {/if}
        {/snippet}
      </Table>
    </section>
  {/if}
  <div class="mt-4 grid gap-x-6 md:grid-cols-4 xl:grid-cols-7">
    <Row label="Made of">
      <Choice
        label="Made of"
        value={form.card.material}
        options={MATERIALS.map((m) => ({ value: m, label: m }))}
        onchange={(v) => form.set(['material'], v)}
      />
    </Row>
    <Row label="Finish">
      <Choice
        label="Finish"
        value={form.card.finish}
        options={FINISHES.map((f) => ({ value: f, label: f }))}
        onchange={(v) => form.set(['finish'], v)}
      />
    </Row>
    <Row label="Before each pour">
      <Choice
        label="Before each pour"
        value={form.card.needs ?? 'nothing'}
        options={['nothing', 'release', 'liner'].map((n) => ({ value: n, label: n }))}
        onchange={(v) => form.set(['needs'], v)}
      />
    </Row>
    <Row label="Takes heat to, °C" problem={form.at('heatLimit')}>
      <NumberField
        label="Takes heat to"
        optional
        value={form.card.heatLimit}
        onchange={(v) => form.set(['heatLimit'], v)}
      />
    </Row>
    <Row label="Pour hole, mm" hint="empty for an open mould" problem={form.at('pourHole')}>
      <NumberField
        label="Pour hole"
        optional
        value={form.card.pourHole}
        onchange={(v) => form.set(['pourHole'], v)}
      />
    </Row>
    <Row label="Condition">
      <Choice
        label="Condition"
        value={form.card.condition ?? 'sound'}
        options={CONDITIONS.map((c) => ({ value: c, label: c }))}
        onchange={(v) => form.set(['condition'], v)}
      />
    </Row>
    <Row label="Lasts how many casts" problem={form.at('lasts')}>
      <NumberField
        label="Lasts how many casts"
        optional
        value={form.card.lasts}
        onchange={(v) => form.set(['lasts'], v === undefined ? undefined : Math.round(v))}
      />
    </Row>
    <div class="col-span-full">
      <Row label="Notes">
        <textarea
          class="field min-h-20 py-2"
          aria-label="Notes"
          value={form.card.notes}
          oninput={(e) => form.set(['notes'], e.currentTarget.value)}></textarea>
      </Row>
    </div>
  </div>
</div>
