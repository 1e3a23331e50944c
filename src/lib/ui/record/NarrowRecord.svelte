<!-- What the record is narrowed to besides words: each as it stands in the address. -->
<script lang="ts">
  import Choice from '../forms/Choice.svelte';
  import DateField from '../forms/DateField.svelte';

  let {
    values,
    narrowed,
    onchange
  }: {
    /** What there is of each kind. */
    values: Record<string, readonly string[]>;
    narrowed: Record<string, string>;
    onchange: (what: Record<string, string>) => void;
  } = $props();

  const LABELS: Record<string, string> = {
    material: 'Material',
    mould: 'Mould',
    colour: 'Colour',
    act: 'What was done',
    person: 'Whose hands',
    grade: 'A piece that is',
    defect: 'Defect'
  };
  const ANY = { value: 'any', label: 'any' };
  const filters = $derived(Object.keys(LABELS).filter((name) => values[name]?.length));
</script>

<div class="mt-3 flex flex-wrap items-end gap-3 text-[0.9rem] text-ink-2" data-testid="narrow">
  {#each filters as name (name)}
    <div class="flex flex-col">
      {LABELS[name]}
      <Choice
        class="mt-0.5 !w-44"
        label={LABELS[name]!}
        value={narrowed[name] ?? ANY.value}
        options={[ANY, ...values[name]!.map((v) => ({ value: v, label: v }))]}
        onchange={(v) => onchange({ [name]: v === ANY.value ? '' : v })}
      />
    </div>
  {/each}
  {#each [{ name: 'since', label: 'Begun from' }, { name: 'until', label: 'Begun to' }] as day (day.name)}
    <div class="flex flex-col">
      {day.label}
      <div class="mt-0.5">
        <DateField
          label={day.label}
          value={narrowed[day.name] ?? ''}
          optional
          onchange={(v) => onchange({ [day.name]: v })}
        />
      </div>
    </div>
  {/each}
  {#if Object.keys(narrowed).length}
    <button
      class="button bare"
      onclick={() => onchange(Object.fromEntries(Object.keys(narrowed).map((k) => [k, ''])))}>Show all</button
    >
  {/if}
</div>
