<!-- Something went otherwise: what it was, and at once what it does; one tap more logs it. Undo takes any of it back. -->
<script lang="ts">
  import { Dialog } from 'bits-ui';
  import { inOf } from '$core/run';
  import { weighing } from '$core/quantity';
  import { PuttingRight, HAPPENINGS } from '../../run/putting-right.svelte';
  import type { RunDesk } from '../../run/run-desk.svelte';
  import { inWords } from '../../preferences.svelte';
  import Choice from '../forms/Choice.svelte';
  import QuantityField from '../forms/QuantityField.svelte';

  let { open, desk, onclose }: { open: boolean; desk: RunDesk; onclose: () => void } = $props();

  // One desk for as long as the run is shown.
  // svelte-ignore state_referenced_locally
  const right = new PuttingRight(desk, () => onclose());
  const { what, grams, problem, books, mixes, mix, weighed, own, gestures, gesture, pours, pour } =
    $derived(right);
  const { groups, group, thin, thinner, colourants, still, fewer, standing, colourantId } = $derived(right);
  const { computed, instruction } = $derived(desk);
</script>

{#snippet amount(label: string, most = 100_000)}
  <span class="w-40"
    ><QuantityField
      {label}
      unit="g"
      above
      max={most}
      value={grams}
      onchange={(v) => (right.grams = v)}
    /></span
  >
{/snippet}

{#snippet whichMix()}
  <Choice
    label="Which cup"
    value={mix?.value ?? ''}
    options={mixes}
    onchange={(v) => (right.mixId = v)}
    class="!min-h-[64px] flex-1"
  />
{/snippet}

{#snippet go(words: string, act: () => void, tone = 'go')}
  <button class="button {tone} min-h-[64px] w-full text-[1.1rem]" onclick={act}>{words}</button>
{/snippet}

<Dialog.Root {open} onOpenChange={(o) => !o && right.close()}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/50" />
    <Dialog.Content
      class="fixed top-1/2 left-1/2 z-50 max-h-[92vh] w-[min(680px,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-xl border border-rule-strong bg-ground p-6 text-[1.1rem] shadow-xl"
    >
      <Dialog.Title class="font-display text-[1.6rem] font-semibold"
        >{HAPPENINGS.find((w) => w.id === what)?.words ?? 'What happened?'}</Dialog.Title
      >
      {#if !what}
        <ul class="mt-4 grid grid-cols-3 gap-2.5 max-sm:grid-cols-2">
          {#each HAPPENINGS as w (w.id)}
            <li>
              <button
                class="button min-h-[92px] w-full flex-col !items-start !gap-0.5 !px-3.5 text-left whitespace-normal"
                onclick={() => right.choose(w.id)}
              >
                <strong class="text-[1.15rem]">{w.words}</strong>
                <span class="text-[0.92rem] leading-tight font-normal text-ink-2">{w.more}</span>
              </button>
            </li>
          {/each}
        </ul>
      {:else}
        <div class="mt-4 space-y-4" data-testid="put-right">
          {#if what === 'extra'}
            {#if own}
              <div class="flex flex-wrap items-center gap-3">
                <Choice
                  label="Of what"
                  value={own.value}
                  options={weighed}
                  onchange={(v) => (right.taskId = v)}
                  class="!min-h-[64px] flex-1"
                />
                {@render amount('How much more')}
              </div>
              <p class="text-ink-2">
                {weighing((inOf(own.entry) ?? 0) + grams, computed.division)} of it instead of {weighing(
                  own.entry.target ?? (own.entry.task.kind === 'weigh' ? own.entry.task.grams : 0),
                  computed.division
                )}.
              </p>
              {@render go('It is in', () => right.tell({ type: 'added', task: own.value, grams }))}
            {:else}<p>Nothing is weighed yet.</p>{/if}
          {:else if what === 'rewet'}
            {#if mix && thinner}
              <div class="flex flex-wrap items-center gap-3">
                {@render whichMix()}
                {#if thin.length > 1}<Choice
                    label="What thins it"
                    value={thinner.part}
                    options={thin.map((t) => ({ value: t.part, label: t.name }))}
                    onchange={(v) => (right.part = v)}
                    class="!min-h-[64px] w-48"
                  />{/if}
                {@render amount(`${thinner.name} stirred in`, 5000)}
              </div>
              {#if standing?.after}
                <p>
                  It leaves {inWords(standing.after.words)},
                  <strong class={standing.after.harms ? 'text-cinnabar' : ''}
                    >{(standing.after.off * 100).toFixed(1)} % off its card</strong
                  >{standing.before ? ` (now ${(standing.before.off * 100).toFixed(1)} %)` : ''}.
                </p>
              {/if}
              {@render go('Stirred in', () =>
                right.tell({ type: 'rewetted', mixId: mix.value, part: thinner.part, grams })
              )}
            {:else}<p>
                Nothing thins this material: a cup that thickens is poured at once or mixed again.
              </p>{/if}
          {:else if what === 'spilled' && mix}
            <div class="flex flex-wrap items-center gap-3">
              {@render whichMix()}
              {@render amount('Spilled', Math.max(0.01, mix.left))}
            </div>
            <p class="text-ink-2">
              {weighing(Math.max(0, mix.left - grams))} are left of {weighing(mix.left)}{fewer
                ? `; that is short by ${fewer.groups.map((x) => x.given).reduce((s, n) => s + n, 0)} cavities`
                : '; that is enough for what it still pours'}.
            </p>
            {@render go('Log it; S tops it up', () =>
              right.tell({ type: 'spilled', mixId: mix.value, grams })
            )}
            {#if fewer}{@render go(
                `Log it, and pour ${fewer.groups.map((x) => x.cavities).join(' + ')} cavities whole`,
                () =>
                  right.tell(
                    { type: 'spilled', mixId: mix.value, grams },
                    ...right.replanned(`${weighing(grams)} spilled from ${right.nameOf(mix.value)}`)
                  ),
                ''
              )}{/if}
          {:else if what === 'lost' && mix}
            <div class="flex">{@render whichMix()}</div>
            <p class="text-ink-2">
              {weighing(mix.left)} are lost. {still?.pours.length
                ? `It still had ${still.pours.length === 1 ? 'one pour' : `${still.pours.length} pours`} to serve, ${weighing(still.pours.reduce((s, p) => s + p.planned * p.gramsEach, 0))}.`
                : 'Nothing more was to be poured from it.'}
            </p>
            {@render go('Mix it again', () =>
              right.tell({ type: 'lost', mixId: mix.value }, { type: 'restarted', mixId: mix.value })
            )}
            {#if still?.pours.length}
              {@render go(
                'Go on without it: leave its pours out',
                () => right.tell({ type: 'lost', mixId: mix.value }, ...right.skipsOf(mix.value)),
                ''
              )}
            {/if}
            {#if fewer}
              {@render go(
                `Give up what needs it: ${fewer.groups.map((x) => `${x.given} cavities`).join(', ')}`,
                () =>
                  right.tell(
                    { type: 'lost', mixId: mix.value },
                    ...right.replanned(`${right.nameOf(mix.value)} was lost`)
                  ),
                ''
              )}
            {/if}
            {#each [...books.values()].filter((b) => b.mixId !== mix.value && b.left - b.wanted > computed.division * 5) as other (other.mixId)}
              <p class="text-[1rem] text-ink-2">
                {right.nameOf(other.mixId)} has {weighing(other.left - other.wanted)} more than it pours.
              </p>
            {/each}
          {:else if what === 'swapped'}
            {#if own}
              <div class="flex flex-wrap items-center gap-3">
                <Choice
                  label="Instead of"
                  value={own.value}
                  options={weighed}
                  onchange={(v) => (right.taskId = v)}
                  class="!min-h-[64px] flex-1"
                />
                <Choice
                  label="What went in"
                  value={colourantId}
                  options={colourants}
                  onchange={(v) => (right.colourantId = v)}
                  class="!min-h-[64px] flex-1"
                />
              </div>
              <p class="text-ink-2">The weight stays; the record and the shelf count the other pot.</p>
              {@render go('That went in', () => right.swap())}
            {:else}<p>Nothing is weighed yet.</p>{/if}
          {:else if what === 'skipped'}
            {#if instruction && instruction.kind !== 'prepare'}
              <p>{inWords(instruction.title)}</p>
              {@render go('Leave it out', () => right.tell({ type: 'skipped', task: instruction.task.id }))}
            {:else}<p>There is nothing here to leave out.</p>{/if}
          {:else if what === 'gesture'}
            {#if gesture}
              <div class="flex">
                <Choice
                  label="Of which act"
                  value={gesture.value}
                  options={gestures}
                  onchange={(v) => (right.taskId = v)}
                  class="!min-h-[64px] flex-1"
                />
              </div>
              {@render go('One more was made', () =>
                right.tell({ type: 'gestured', task: gesture.value, times: 1 })
              )}
            {:else}<p>Nothing is poured or drawn yet.</p>{/if}
          {:else if what === 'misplaced'}
            {#if pour && group}
              <div class="flex flex-wrap items-center gap-3">
                <Choice
                  label="What was poured"
                  value={pour.value}
                  options={pours}
                  onchange={(v) => (right.taskId = v)}
                  class="!min-h-[64px] flex-1"
                />
                <Choice
                  label="Into which cavities"
                  value={group.value}
                  options={groups}
                  onchange={(v) => {
                    right.groupId = v;
                    right.cavity = 0;
                  }}
                  class="!min-h-[64px] flex-1"
                />
                <Choice
                  label="Which cavity"
                  value={`${right.cavity}`}
                  options={right.cavities}
                  onchange={(v) => (right.cavity = Number(v))}
                  class="!min-h-[64px] w-36"
                />
                {@render amount('How much', Math.max(0.01, right.pourable))}
              </div>
              {@render go('It went there', () => right.misplaced())}
            {:else}<p>No cup has anything to pour.</p>{/if}
          {:else if what === 'withdrew'}
            {#if group}
              <div class="flex flex-wrap items-center gap-3">
                <Choice
                  label="Out of which cavities"
                  value={group.value}
                  options={groups}
                  onchange={(v) => (right.groupId = v)}
                  class="!min-h-[64px] flex-1"
                />
                {@render amount('Removed')}
              </div>
              {@render go('It is out', () => right.tell({ type: 'withdrew', groupId: group.value, grams }))}
            {/if}
          {:else}<p>No cup has anything in it yet.</p>{/if}
          {#if problem}<p class="text-cinnabar" role="alert">{problem}</p>{/if}
          <button class="button bare" onclick={() => (right.what = undefined)}
            >← something else happened</button
          >
        </div>
      {/if}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
