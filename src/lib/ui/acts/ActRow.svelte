<!--
  A step on one line: its mark, what is done with which colour, where and how, and its amount. The whole line opens its form
  beneath; its mark is what it is dragged by.
-->
<script lang="ts">
  import ChevronDown from '@lucide/svelte/icons/chevron-down';
  import { AMOUNT_FORMS, formatAmount, parseAmount, type Amount, type Step } from '$core/document';
  import { acts } from '$core/pour';
  import { inWords, length, volume } from '../../preferences.svelte';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import ParsedField from '../forms/ParsedField.svelte';
  import QuantityField from '../forms/QuantityField.svelte';
  import { GRIP } from '../forms/sortable';
  import ActMark from './ActMark.svelte';

  let { editor, step, n }: { editor: PlanView; step: Step; n: number } = $props();
  const known = $derived(acts.read(step.act));
  const computed = $derived(editor.computed);
  const value = (key: string) => (step.act as Record<string, unknown>)[key];
  const cup = $derived(computed.cups.find((c) => c.cupId === value('cupId')));
  const amount = $derived(known?.definition.amount?.(known.act));
  const layers = $derived(computed.groups.flatMap((g) => g.layers.filter((l) => l.stepId === step.id)));
  const words = $derived(computed.lines.find((l) => l.stepId === step.id));
  /** Longer than this, minutes stand in the title, in words; the form has them. */
  const SHORT = 180;
  const several = $derived(computed.groups.some((g) => step.where.includes(g.groupId) && g.count > 1));
  const open = $derived(editor.opened === step.id);
  const set = (key: string, to: unknown) => editor.edit({ path: ['steps', step.id, 'act', key], value: to });

  /** The act's own name stands out of what is said of it. */
  const [does, rest] = $derived.by(() => {
    const title = inWords(words?.title ?? `“${step.act.kind}”`);
    const name = known?.definition.name ?? '';
    const length = title.startsWith(name) ? name.length : title.search(/ |$/);
    return [title.charAt(0).toUpperCase() + title.slice(1, length), title.slice(length)];
  });
  /** What it pours into one cavity; each group by its name where they take different amounts. */
  function eachOf(): string {
    const poured = computed.groups.flatMap(({ name, layers: all }) => {
      const own = all.filter((l) => l.stepId === step.id);
      return own.length ? [{ name, ml: volume(own.reduce((s, l) => s + l.each, 0)) }] : [];
    });
    const alike = poured.every((p) => p.ml === poured[0]!.ml);
    const said = alike ? poured[0]!.ml : poured.map((p) => `${p.ml} in ${p.name}`).join(', ');
    return `${said}${several ? ' each' : ''}`;
  }
  /** What a pour comes to, beyond the amount that was typed. */
  const comes = $derived.by(() => {
    if (!amount) return [];
    if (!layers.length) return ['pours nothing'];
    const levels = known?.definition.traits?.(known.act).includes('levels');
    return [
      ...(amount.kind === 'volume' ? [] : [eachOf()]),
      ...(levels && amount.kind !== 'deep' ? layers.slice(0, 1).map((l) => length(l.to - l.from)) : [])
    ];
  });
  const about = $derived(
    [
      words?.where && inWords(words.where),
      ...comes,
      words?.measures && inWords(words.measures, computed.division),
      step.note,
      step.muted && 'left out',
      known ? '' : 'this version does not know it'
    ].filter(Boolean)
  );
  /** As wide as the amount is long. */
  const width = $derived(
    amount ? `${Math.max(2.9, 1.1 + inWords(formatAmount(amount)).length * 0.4)}rem` : '0rem'
  );
</script>

<div
  class="flex min-h-[46px] items-center gap-2 {step.muted ? 'opacity-50' : ''} {editor.looking === step.id
    ? 'bg-sheet'
    : ''}"
  data-step={step.id}
>
  <span class="{GRIP} flex cursor-grab touch-none active:cursor-grabbing" title="Drag to another place">
    <ActMark kind={step.act.kind} {cup} />
  </span>
  <!-- With a mouse the amount stands on the second line, so that the first has the whole width; for a thumb it is as high as the row. -->
  <div
    class="flex min-w-0 flex-1 items-center gap-2 self-stretch {about.length
      ? 'not-pointer-coarse:relative'
      : ''}"
    style:--amount={width}
  >
    <button
      class="group/row min-w-0 flex-1 self-stretch text-left"
      aria-expanded={open}
      data-open-step={n}
      onclick={() => (editor.opened = open ? undefined : step.id)}
    >
      <span class="block truncate text-[0.97rem] leading-tight"
        ><strong class="font-semibold">{does}</strong>{rest}</span
      >
      {#if about.length}
        <span
          class="block truncate text-[0.82rem] leading-tight text-ink-2 {amount
            ? 'not-pointer-coarse:mr-[calc(var(--amount)+0.2rem)]'
            : ''}">{about.join(' · ')}</span
        >
      {/if}
      <span class="sr-only">Step {n}</span>
    </button>
    {#if amount}
      <span
        class={about.length
          ? 'not-pointer-coarse:absolute not-pointer-coarse:right-0 not-pointer-coarse:bottom-[3px]'
          : ''}
      >
        <ParsedField
          quiet
          {width}
          label="Amount of step {n}"
          value={amount}
          format={(a) => inWords(formatAmount(a))}
          parse={parseAmount}
          forms={AMOUNT_FORMS}
          onchange={(to: Amount) => set('amount', to)}
        />
      </span>
    {:else if typeof value('minutes') === 'number' && (value('minutes') as number) <= SHORT}
      <QuantityField
        quiet
        width="3.9rem"
        label="Minutes of step {n}"
        unit="min"
        above
        max={86_400}
        value={value('minutes') as number}
        onchange={(to) => set('minutes', to)}
      />
    {/if}
  </div>
  <ChevronDown
    size={14}
    class="-ml-1.5 shrink-0 text-ink-2 {open ? 'rotate-180' : ''} pointer-events-none"
    aria-hidden="true"
  />
</div>
