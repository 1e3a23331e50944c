<!-- A step done otherwise in some cavities of a group: not at all, from another cup, or another amount. -->
<script lang="ts">
  import {
    AMOUNT_FORMS,
    formatAmount,
    parseAmount,
    type Amount,
    type Group,
    type Step
  } from '$core/document';
  import { freshId } from '$core/edit';
  import { amountOf } from '$core/pour';
  import { numberedWords, parseNumbered } from '$core/quantity';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import { inWords } from '../../preferences.svelte';
  import Choice from '../forms/Choice.svelte';
  import ParsedField from '../forms/ParsedField.svelte';

  let { editor, step, n }: { editor: PlanView; step: Step; n: number } = $props();
  type Variation = NonNullable<Group['variations']>[number];

  const groups = $derived(editor.plan.groups.filter((g) => step.where.includes(g.id) && g.count > 1));
  const own = (group: Group) => (group.variations ?? []).filter((v) => v.stepId === step.id);
  const write = (group: Group, variations: Variation[]) =>
    editor.edit({
      path: ['groups', group.id, 'variations'],
      value: variations.length ? variations : undefined
    });
  const change = (group: Group, id: string, part: Partial<Variation>) =>
    write(
      group,
      (group.variations ?? []).map((v) => (v.id === id ? { ...v, ...part } : v))
    );
  const add = (group: Group) =>
    write(group, [
      ...(group.variations ?? []),
      {
        id: freshId(editor.plan, 'otherwise'),
        stepId: step.id,
        cavities: [group.count],
        change: { skip: true }
      }
    ]);
  const amount = $derived(amountOf(step.act));
  const cupId = $derived(typeof step.act.cupId === 'string' ? step.act.cupId : undefined);
  const kindOf = ({ change: c }: Variation) => ('skip' in c ? 'skip' : c.cupId ? 'cup' : 'amount');
  const KINDS = $derived([
    { value: 'skip', label: 'is left out' },
    ...(cupId ? [{ value: 'cup', label: 'is from another cup' }] : []),
    ...(amount ? [{ value: 'amount', label: 'is another amount' }] : [])
  ]);
  function changeOf(kind: string): Variation['change'] {
    if (kind === 'cup') return { cupId: editor.plan.cups.find((c) => c.id !== cupId)?.id ?? cupId! };
    if (kind === 'amount' && amount) return { amount };
    return { skip: true };
  }
  const cups = $derived(editor.plan.cups.map((c) => ({ value: c.id, label: `${c.letter} ${c.name}` })));
</script>

{#each groups as group (group.id)}
  {#each own(group) as v, i (v.id)}
    {@const kind = kindOf(v)}
    <div class="mt-2 flex flex-wrap items-center gap-x-2 border-t border-rule pt-2 text-[0.9rem]">
      <span class="text-ink-2">in</span>
      <ParsedField
        quiet
        width="5rem"
        label="Cavities of {group.name} with step {n} otherwise, {i + 1}"
        value={v.cavities}
        format={numberedWords}
        parse={(text) => parseNumbered(text, group.count)}
        forms="1–3, 5"
        onchange={(cavities) => change(group, v.id, { cavities })}
      />
      <span class="text-ink-2">it</span>
      <Choice
        quiet
        label="How step {n} is otherwise, {i + 1}"
        value={kind}
        options={KINDS}
        onchange={(to) => change(group, v.id, { change: changeOf(to) })}
      />
      {#if kind === 'cup' && 'cupId' in v.change}
        <Choice
          quiet
          label="Cup of step {n} otherwise, {i + 1}"
          value={v.change.cupId ?? ''}
          options={cups}
          onchange={(to) => change(group, v.id, { change: { cupId: to } })}
        />
      {:else if kind === 'amount' && 'amount' in v.change && v.change.amount}
        <ParsedField
          quiet
          width="5.5rem"
          label="Amount of step {n} otherwise, {i + 1}"
          value={v.change.amount}
          format={(a) => inWords(formatAmount(a))}
          parse={parseAmount}
          forms={AMOUNT_FORMS}
          onchange={(to: Amount) => change(group, v.id, { change: { amount: to } })}
        />
      {/if}
      <button
        class="button bare min-h-9 underline"
        aria-label="Step {n} as in the others, {i + 1}"
        onclick={() =>
          write(
            group,
            (group.variations ?? []).filter((x) => x.id !== v.id)
          )}>as in the others</button
      >
    </div>
  {/each}
  <button class="button bare mt-1 min-h-9" onclick={() => add(group)}
    >Different in some cavities of {group.name}</button
  >
{/each}
