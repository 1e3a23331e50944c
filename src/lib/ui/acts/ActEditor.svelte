<!-- Any act on one line: its cup and its amount where it has them, what else it says, and the form of its fields. -->
<script lang="ts">
  import { AMOUNT_FORMS, formatAmount, parseAmount, type Amount } from '$core/document';
  import { acts } from '$core/pour';
  import { inWords, volume } from '../../preferences.svelte';
  import Choice from '../forms/Choice.svelte';
  import CupMark from '../drawing/CupMark.svelte';
  import Figure from '../Figure.svelte';
  import More from '../More.svelte';
  import ParsedField from '../forms/ParsedField.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import Row from '../forms/Row.svelte';
  import Otherwise from '../workbench/Otherwise.svelte';
  import FieldRow from './FieldRow.svelte';
  import type { ActEditorProps } from '.';

  let { editor, step, n }: ActEditorProps = $props();
  const known = $derived(acts.read(step.act));
  const definition = $derived(acts.find(step.act.kind));
  const fields = $derived(Object.entries(definition?.fields ?? {}));
  const value = (key: string) => (step.act as Record<string, unknown>)[key];
  const computed = $derived(editor.computed);
  const cupId = $derived(value('cupId') as string | undefined);
  const cup = $derived(computed.cups.find((c) => c.cupId === cupId));
  const amount = $derived(known?.definition.amount?.(known.act));
  const layers = $derived(computed.groups.flatMap((g) => g.layers.filter((l) => l.stepId === step.id)));
  const words = $derived(computed.lines.find((l) => l.stepId === step.id));
  const measures = $derived(words?.measures);
  const group = $derived(editor.plan.groups.find((g) => step.where.includes(g.id)));
  const cups = $derived(editor.plan.cups.map((c) => ({ value: c.id, label: c.name })));
  const set = (path: string[], to: unknown) => editor.edit({ path: ['steps', step.id, ...path], value: to });
  // Once its cup and amount stand in fields of their own, the line says the rest.
  const rest = $derived(amount ? (words?.more ?? '') : (words?.line ?? step.act.kind));
</script>

{#if cup}<CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} />{/if}
<div class="min-w-0 flex-1 {step.muted ? 'opacity-50' : ''}">
  {#if amount && cupId !== undefined}
    <div class="flex flex-wrap items-baseline gap-x-1">
      <span>{step.act.kind}</span>
      <Choice
        quiet
        class="max-w-32 shrink-0 border-transparent font-medium"
        label="Cup of step {n}"
        value={cupId}
        options={cup ? cups : [{ value: cupId, label: 'a cup that is gone' }, ...cups]}
        onchange={(v) => set(['act', 'cupId'], v)}
      />
      <ParsedField
        quiet
        width="{Math.max(5, inWords(formatAmount(amount)).length * 0.52)}rem"
        label="Amount of step {n}"
        value={amount}
        format={(a) => inWords(formatAmount(a))}
        parse={parseAmount}
        forms={AMOUNT_FORMS}
        onchange={(to: Amount) => set(['act', 'amount'], to)}
      />
    </div>
  {/if}
  <p class={amount ? 'text-[0.82rem] text-ink-2' : 'text-[0.95rem]'}>
    {#if amount}
      {#if layers.length}<Figure value="{volume(layers.reduce((s, l) => s + l.each, 0))} each" />{:else}pours
        nothing{/if}{rest ? ` · ${inWords(rest)}` : ''}{measures
        ? ` · ${inWords(measures, computed.division)}`
        : ''}
    {:else}
      {inWords(rest)}
    {/if}
    <More
      label="More about step {n}"
      title="Step {n}: {step.act.kind}"
      words="details…"
      width={fields.some(([, f]) => f.asked.is === 'outline') ? '23rem' : '20rem'}
      side="right"
    >
      {#each fields as [key, field] (key)}
        <FieldRow
          {editor}
          {field}
          {group}
          value={value(key)}
          label="{field.label} of step {n}"
          onchange={(to) => set(['act', key], to)}
        />
      {/each}
      <Row label="Takes the hands, for one cavity">
        <QuantityField
          label="Time of step {n} for one cavity"
          unit="min"
          max={1440}
          value={step.hands?.each ?? known?.definition.hands(known.act, { stepId: '' }, 1).attended ?? 0}
          onchange={(v) => set(['hands', 'each'], v)}
        />
      </Row>
      <Row label="In your own words">
        <textarea
          class="field min-h-16 py-2"
          aria-label="How step {n} is done"
          maxlength="200"
          value={step.note ?? ''}
          onchange={(e) => set(['note'], e.currentTarget.value.trim() || undefined)}></textarea>
      </Row>
      <Otherwise {editor} {step} {n} />
    </More>
  </p>
  {#if step.note}<p class="text-[0.8rem] leading-snug text-ink-2 italic">{step.note}</p>{/if}
</div>
