<!-- A laid layer on one line: which cup, how much; what that comes to below. -->
<script lang="ts">
  import { AMOUNT_FORMS, formatAmount, parseAmount } from '$core/document';
  import { lay } from '$core/pour';
  import { length, inWords, volume } from '../../preferences.svelte';
  import Choice from '../forms/Choice.svelte';
  import CupMark from '../drawing/CupMark.svelte';
  import Figure from '../Figure.svelte';
  import ParsedField from '../forms/ParsedField.svelte';
  import StepMore from '../workbench/StepMore.svelte';
  import type { ActEditorProps } from '.';

  let { editor, step, n }: ActEditorProps = $props();
  const act = $derived(lay.schema.safeParse(step.act).data);
  const computed = $derived(editor.computed);
  const layer = $derived(computed.groups.flatMap((g) => g.layers).find((l) => l.stepId === step.id));
  const cup = $derived(computed.cups.find((c) => c.cupId === act?.cupId));
  const cups = $derived(editor.plan.cups.map((c) => ({ value: c.id, label: c.name })));
  const set = (key: string, value: unknown) => editor.edit({ path: ['steps', step.id, 'act', key], value });
</script>

{#if act}
  {#if cup}<CupMark letter={cup.letter} colour={cup.colour} hatch={cup.hatch} />{/if}
  <div class="min-w-0 flex-1 {step.muted ? 'opacity-50' : ''}">
    <div class="flex flex-wrap items-baseline gap-x-1">
      <Choice
        quiet
        class="max-w-32 shrink-0 border-transparent font-medium"
        label="Cup of step {n}"
        value={act.cupId}
        options={cup ? cups : [{ value: act.cupId, label: 'a cup that is gone' }, ...cups]}
        onchange={(v) => set('cupId', v)}
      />
      <ParsedField
        quiet
        width="{Math.max(5, inWords(formatAmount(act.amount)).length * 0.52)}rem"
        label="Amount of step {n}"
        value={act.amount}
        format={(a) => inWords(formatAmount(a))}
        parse={parseAmount}
        forms={AMOUNT_FORMS}
        onchange={(amount) => set('amount', amount)}
      />
    </div>
    <p class="text-[0.82rem] text-ink-2">
      {#if layer}
        <Figure value="{volume(layer.each)} each" /> ·
        <Figure value={length(layer.to - layer.from)} />
        {#if layer.chamber}· {layer.chamber.name}{/if}
      {:else}
        pours nothing
      {/if}
      <StepMore {editor} {step} {n} />
    </p>
    {#if step.note}<p class="text-[0.8rem] leading-snug text-ink-2 italic">{step.note}</p>{/if}
  </div>
{/if}
