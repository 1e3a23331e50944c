<!-- One field of an act, by what it asks for. -->
<script lang="ts">
  import { AMOUNT_FORMS, formatAmount, parseAmount, type Amount, type Group } from '$core/document';
  import { CIRCLE, type Field, type Path, type Place } from '$core/pour';
  import { fail, ok } from '$core/problem';
  import { parseCount } from '$core/quantity';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import { inWords } from '../../preferences.svelte';
  import Choice from '../forms/Choice.svelte';
  import ParsedField from '../forms/ParsedField.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import Row from '../forms/Row.svelte';
  import OutlineField from './OutlineField.svelte';
  import PathField from './PathField.svelte';

  let {
    editor,
    field,
    value,
    label,
    group,
    onchange
  }: {
    editor: PlanView;
    field: Field<unknown>;
    value: unknown;
    /** What it is called among all the fields of the page. */
    label: string;
    group: Group | undefined;
    onchange: (value: unknown) => void;
  } = $props();

  const asked = $derived(field.asked);
  const drawn = $derived(editor.computed.groups.find((g) => g.groupId === group?.id));
  const NONE = '~none';

  /** The parts of the cavity, or the cups, that this field chooses among. */
  const options = $derived.by(() => {
    const all = { value: NONE, label: 'none in particular' };
    const of = (list: readonly { id: string; name: string }[]) =>
      list.map((x) => ({ value: x.id, label: x.name }));
    switch (asked.is) {
      case 'cup':
        return of(editor.plan.cups);
      case 'chamber':
        return [{ value: NONE, label: 'the whole cavity' }, ...of(drawn?.chambers ?? [])];
      case 'zone':
        return [all, ...of(drawn?.zones ?? [])];
      case 'embed':
        return [all, ...of(group?.embeds ?? [])];
      case 'pot': {
        const pots = of(editor.shelf.colourants);
        const own = value as string | undefined;
        const typed = own !== undefined && !pots.some((p) => p.value === own);
        return [all, ...(typed ? [{ value: own, label: own }] : []), ...pots];
      }
      case 'choice':
        return asked.of.map((v) => ({ value: v, label: v }));
      default:
        return [];
    }
  });

  const numbers = (text: string, max: number) => {
    const list = text
      .split(/[,;\s]+/)
      .filter(Boolean)
      .map(Number);
    return list.length && list.every((n) => Number.isInteger(n) && n > 0 && n <= max)
      ? ok(list)
      : fail({
          code: 'count-not-whole',
          path: '',
          sentence: `“${text}” is not a row of whole numbers.`,
          mend: 'Type them with commas, for example 120, 240, 400.'
        });
  };
</script>

<Row label={field.label}>
  {#if asked.is === 'amount'}
    <ParsedField
      {label}
      value={value as Amount}
      format={(a) => inWords(formatAmount(a))}
      parse={parseAmount}
      forms={AMOUNT_FORMS}
      {onchange}
    />
  {:else if asked.is === 'quantity'}
    <QuantityField
      {label}
      unit={asked.unit}
      min={asked.min}
      max={asked.max}
      value={value as number | undefined}
      {onchange}
    />
  {:else if asked.is === 'count'}
    <ParsedField
      {label}
      value={value as number}
      format={String}
      parse={(text) => parseCount(text, asked.max)}
      {onchange}
    />
  {:else if asked.is === 'list'}
    <ParsedField
      {label}
      value={value as number[]}
      format={(list) => list.join(', ')}
      parse={(text) => numbers(text, asked.max)}
      {onchange}
    />
  {:else if asked.is === 'words'}
    <input
      class="field"
      aria-label={label}
      maxlength="60"
      autocomplete="off"
      value={(value as string | undefined) ?? ''}
      onchange={(e) => onchange(e.currentTarget.value.trim() || undefined)}
    />
  {:else if asked.is === 'place'}
    <PathField
      {label}
      group={drawn}
      path={{ points: [value as Place] }}
      single
      onchange={(path) => onchange(path.points[0])}
    />
  {:else if asked.is === 'path'}
    <PathField {label} group={drawn} path={value as Path} {onchange} />
  {:else if asked.is === 'outline'}
    {#if value}
      <OutlineField {editor} {label} group={drawn} path={value as Path} {onchange} />
      {#if field.usual === undefined}
        <button class="mt-1 text-[0.85rem] text-ink-2 underline" onclick={() => onchange(undefined)}
          >Leave it untraced</button
        >
      {/if}
    {:else}
      <button class="text-[0.9rem] text-verdigris underline" onclick={() => onchange(CIRCLE)}
        >Trace it, to see it in the picture</button
      >
    {/if}
  {:else if options.length > 1 || asked.is === 'cup' || asked.is === 'choice'}
    <Choice
      {label}
      value={(value as string | undefined) ?? NONE}
      {options}
      onchange={(v) => onchange(v === NONE ? undefined : v)}
    />
  {:else}
    <p class="text-[0.85rem] text-ink-2">This cavity has none; its card can name some.</p>
  {/if}
</Row>
