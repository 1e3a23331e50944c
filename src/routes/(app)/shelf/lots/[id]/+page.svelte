<script lang="ts">
  import DateField from '$lib/ui/forms/DateField.svelte';
  import { materials } from '$core/material';
  import { invalidateAll } from '$app/navigation';
  import { newId } from '$lib/id';
  import Table from '$lib/ui/Table.svelte';
  import { day } from '$lib/when';
  import Choice from '../../../../../lib/ui/forms/Choice.svelte';
  import { addMonths } from 'date-fns/addMonths';
  import { landed, Lot } from '$core/shelf';
  import { CardForm } from '../../../../../lib/store/card-form.svelte';
  import CardHead from '$lib/ui/shelf/CardHead.svelte';
  import NumberField from '$lib/ui/shelf/NumberField.svelte';
  import QuantityField from '../../../../../lib/ui/forms/QuantityField.svelte';
  import { mass, money } from '../../../../../lib/preferences.svelte';
  import Row from '../../../../../lib/ui/forms/Row.svelte';

  let { data } = $props();
  const form = $derived(new CardForm<Lot>('lots', Lot, data.card, data.revision));
  const card = $derived(form.card);
  const chosen = $derived(
    card.of.kind === 'leftover'
      ? 'leftover'
      : String(data.things.findIndex((t) => JSON.stringify(t.of) === JSON.stringify(card.of)))
  );
  const asDay = (ms: number | undefined) =>
    ms === undefined
      ? ''
      : new Date(ms - new Date(ms).getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
  const fromDay = (text: string) => (text ? new Date(`${text}T12:00`).getTime() : undefined);

  /** What was found otherwise is an entry of its own, which can be taken back. */
  let counted = $state<number>();
  async function correct(grams: number) {
    counted = undefined;
    const entry = { id: newId(), at: Date.now(), grams: Number(grams.toFixed(2)), why: '' };
    await keep([...(card.corrections ?? []), entry]);
  }
  const takeBack = (id: string) => keep((card.corrections ?? []).filter((c) => c.id !== id));
  async function keep(corrections: NonNullable<Lot['corrections']>) {
    form.set(['corrections'], corrections);
    await form.shared?.settled();
    await invalidateAll();
  }

  function choose(value: string) {
    if (value === 'leftover') {
      form.set(['of'], { kind: 'leftover', material: 'gypsum', colour: '#cfc8b8', density: 1.75 });
      return;
    }
    const thing = data.things[Number(value)];
    if (!thing) return;
    form.set(['of'], thing.of);
    if (!card.name) form.set(['name'], thing.name.slice(0, 80));
    if (thing.months) form.set(['useBy'], addMonths(card.boughtAt, thing.months).getTime());
  }
</script>

<svelte:head><title>{card.name || 'New lot'} · Kirapen</title></svelte:head>

<div class="page">
  <CardHead {form} back="/shelf" what="lot" put="/shelf" />
  <div class="sheet mt-4 grid gap-x-5 p-5 sm:grid-cols-3">
    <div class="sm:col-span-2">
      <Row label="A lot of" problem={form.at('of')}>
        <Choice
          label="A lot of"
          value={chosen}
          options={[
            ...data.things.map((t, i) => ({ value: String(i), label: t.name })),
            { value: 'leftover', label: 'leftovers, for chips or remelting' }
          ]}
          onchange={(v) => choose(v)}
        />
      </Row>
    </div>
    <Row label="Full weight" problem={form.at('grams')}>
      <QuantityField
        label="Full weight"
        unit="g"
        above
        value={card.grams}
        onchange={(v) => form.set(['grams'], v)}
      />
    </Row>
    <Row label="Buy again below" hint="all lots together" problem={form.at('reorderAt')}>
      <QuantityField
        label="Buy again below"
        unit="g"
        value={card.reorderAt}
        onchange={(v) => form.set(['reorderAt'], v > 0 ? v : undefined)}
      />
    </Row>
    {#if card.of.kind === 'leftover'}
      {@const of = card.of}
      <Row label="Material">
        <Choice
          label="Material"
          value={of.material}
          options={materials.all().map(({ kind }) => ({ value: kind, label: kind }))}
          onchange={(v) => form.set(['of', 'material'], v)}
        />
      </Row>
      <Row label="Density, g/ml" problem={form.at('of/density')}>
        <NumberField label="Density" value={of.density} onchange={(v) => form.set(['of', 'density'], v)} />
      </Row>
      <Row label="Colour">
        <input
          class="h-11 w-full rounded-md border border-rule-strong bg-sheet"
          type="color"
          aria-label="Colour"
          value={of.colour}
          onchange={(e) => form.set(['of', 'colour'], e.currentTarget.value)}
        />
      </Row>
    {/if}
    {#each [['price', 'Price'], ['tax', 'Tax'], ['carriage', 'Its share of the delivery']] as const as [key, label] (key)}
      <Row {label} problem={form.at(key)}>
        <NumberField
          {label}
          optional
          value={card[key] || undefined}
          onchange={(v) => form.set([key], v ?? 0)}
        />
      </Row>
    {/each}
    <Row label="Bought">
      <DateField
        label="Bought"
        value={asDay(card.boughtAt)}
        onchange={(v) => form.set(['boughtAt'], fromDay(v) ?? card.boughtAt)}
      />
    </Row>
    <Row label="Opened">
      <DateField
        label="Opened"
        optional
        value={asDay(card.openedAt)}
        onchange={(v) => form.set(['openedAt'], fromDay(v))}
      />
    </Row>
    <Row label="Use by">
      <DateField
        label="Use by"
        optional
        value={asDay(card.useBy)}
        onchange={(v) => form.set(['useBy'], fromDay(v))}
      />
    </Row>
    <div class="sm:col-span-2">
      <Row label="Kept where" hint="which shelf, which box">
        <input
          class="field"
          aria-label="Kept where"
          value={card.place}
          oninput={(e) => form.set(['place'], e.currentTarget.value)}
        />
      </Row>
    </div>
    <div class="pt-3">
      <p class="font-display text-[2rem] leading-none font-medium">
        {money((1000 * landed(card)) / card.grams)}
      </p>
      <p class="text-[0.88rem] text-ink-2">
        per kg, with tax and delivery{data.book === undefined ? '' : ` · ${mass(data.book.left)} left`}
      </p>
    </div>
  </div>
  {#if data.book}
    {@const book = data.book}
    <section class="mt-6" aria-label="Its history">
      <h2 class="text-[1.35rem]">Its history</h2>
      {#if book.pace}
        <p class="mt-1 text-ink-2" data-testid="pace">
          At this pace, {mass(book.pace.gramsDay * 7)} a week, it is used up by {day(
            book.pace.endsAt
          )}{#if book.pace.unused > 0}:
            <strong class="text-ochre">{mass(book.pace.unused)} will pass its use-by</strong>{/if}.
        </p>
      {/if}
      <div class="mt-2 flex flex-wrap items-center gap-3">
        <span class="text-ink-2">weighed now</span>
        <span class="w-32">
          <QuantityField
            label="Weighed now"
            unit="g"
            max={1_000_000}
            value={counted ?? Number(book.left.toFixed(1))}
            onchange={(grams) => (counted = grams)}
          />
        </span>
        <button
          class="button"
          disabled={counted === undefined || Math.abs(counted - book.left) < 0.05}
          onclick={() => correct((counted ?? book.left) - book.left)}>Correct the stock</button
        >
      </div>
      <Table
        class="mt-2"
        testid="entries"
        rows={book.entries}
        columns={[
          { id: 'at', head: 'when', text: (e) => day(e.at), class: 'whitespace-nowrap text-ink-2' },
          { id: 'by', head: 'what' },
          {
            id: 'grams',
            head: '',
            num: true,
            text: (e) => `${e.grams > 0 ? '+' : '−'}${mass(Math.abs(e.grams))}`
          }
        ]}
      >
        {#snippet cell(e)}
          {#if 'runId' in e.by}
            {#if e.by.runId}<a class="underline" href="/record/{e.by.runId}"
                >{data.runs[e.by.runId] ?? 'a run'}</a
              >{:else}a run{/if}
          {:else if 'correction' in e.by}
            {@const id = e.by.correction}
            counted anew{e.by.why ? `: ${e.by.why}` : ''}
            <button class="button bare !min-h-9 text-[0.9rem]" onclick={() => takeBack(id)}>take back</button>
          {:else}bought{/if}
        {/snippet}
      </Table>
    </section>
  {/if}
</div>
