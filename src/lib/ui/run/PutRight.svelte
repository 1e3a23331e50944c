<!-- Something went otherwise: what it was, and at once what it does; one tap more logs it. Undo takes any of it back. -->
<script lang="ts">
  import { Dialog } from 'bits-ui';
  import {
    booksOf,
    fewerCavities,
    inOf,
    standingOf,
    stillFrom,
    thinners,
    type FrozenRun,
    type RunState
  } from '$core/run';
  import { weighing } from '$core/quantity';
  import type { Instruction } from '../../run/instruction';
  import { taskWords } from '../../run/instruction';
  import type { PendingEvents, EventBody } from '../../run/run-log.svelte';
  import { inWords, problemWords } from '../../preferences.svelte';
  import Choice from '../forms/Choice.svelte';
  import QuantityField from '../forms/QuantityField.svelte';

  let {
    open,
    frozen,
    run,
    instruction,
    log,
    onclose
  }: {
    open: boolean;
    frozen: FrozenRun;
    run: RunState;
    instruction: Instruction | undefined;
    log: PendingEvents;
    onclose: () => void;
  } = $props();

  const WHAT = [
    { id: 'extra', words: 'A drop too much', more: 'more of something that was in' },
    { id: 'rewet', words: 'It thickened', more: 'liquid stirred in' },
    { id: 'spilled', words: 'Spilled', more: 'some of a cup is gone' },
    { id: 'lost', words: 'A cup is lost', more: 'set, spoilt or fallen' },
    { id: 'swapped', words: 'The wrong pot', more: 'another colour went in' },
    { id: 'skipped', words: 'Leave this out', more: 'the step in hand is not done' },
    { id: 'gesture', words: 'One stroke more', more: 'a gesture beyond the plan' },
    { id: 'misplaced', words: 'The wrong cavity', more: 'poured where it does not belong' },
    { id: 'withdrew', words: 'Taken out', more: 'drawn from the mould again' }
  ] as const;
  type What = (typeof WHAT)[number]['id'];

  let what = $state<What>();
  let mixId = $state('');
  let taskId = $state('');
  let groupId = $state('');
  let part = $state('');
  let colourantId = $state('');
  let grams = $state(1);
  let problem = $state('');

  const computed = $derived(frozen.computed);
  const books = $derived(booksOf(frozen, run));
  /** Mixes with something in them, the one in hand first. */
  const mixes = $derived(
    [...books.values()]
      .filter((b) => b.put > 0 && !b.mixId.startsWith('^'))
      .map((b) => ({ value: b.mixId, label: nameOf(b.mixId), left: b.left }))
      .sort((a, b) => Number(b.value === instruction?.mixId) - Number(a.value === instruction?.mixId))
  );
  const mix = $derived(mixes.find((m) => m.value === mixId) ?? mixes[0]);
  const weighed = $derived(
    run.tasks
      .filter((t) => t.task.kind === 'weigh' && t.status === 'done')
      .toReversed()
      .map((t) => ({ value: t.task.id, label: inWords(taskWords(t.task, computed).rest), entry: t }))
  );
  const own = $derived(weighed.find((w) => w.value === taskId) ?? weighed[0]);
  const gestures = $derived(
    run.tasks
      .filter((t) => (t.task.kind === 'do' || t.task.kind === 'pour') && t.status === 'done')
      .toReversed()
      .map((t) => {
        const words = taskWords(t.task, computed);
        return { value: t.task.id, label: inWords(`${words.act} ${words.rest}`) };
      })
  );
  const gesture = $derived(gestures.find((x) => x.value === taskId) ?? gestures[0]);
  const pours = $derived(
    run.tasks
      .filter((t) => t.task.kind === 'pour' && books.get(t.task.mixId)?.left)
      .map((t) => ({ value: t.task.id, label: inWords(taskWords(t.task, computed).rest) }))
  );
  const pour = $derived(
    pours.find((p) => p.value === (taskId || (instruction?.kind === 'pour' ? instruction.task.id : ''))) ??
      pours[0]
  );
  const groups = $derived(frozen.file.plan.groups.map((x) => ({ value: x.id, label: x.name })));
  const group = $derived(groups.find((x) => x.value === groupId) ?? groups[0]);
  const thin = $derived(mix ? thinners(frozen, mix.value) : []);
  const thinner = $derived(thin.find((t) => t.part === part) ?? thin[0]);
  const colourants = $derived([
    ...frozen.file.shelf.colourants.map((c) => ({ value: c.id, label: c.name })),
    { value: '', label: 'something else' }
  ]);
  const still = $derived(what === 'lost' && mix ? stillFrom(frozen, run, mix.value) : undefined);
  /** What a mix is still to serve, as it is lost: its pours, with what else is there. */
  const asLost = $derived(
    what === 'lost' && mix ? { ...run, lost: new Set([...run.lost, mix.value]) } : undefined
  );
  const fewer = $derived.by(() => {
    if (!mix) return undefined;
    if (what === 'lost' && asLost) return fewerCavities(frozen, asLost, mix.value);
    return what === 'spilled'
      ? fewerCavities(
          frozen,
          {
            ...run,
            mishaps: [...run.mishaps, { id: '', at: 0, kind: 'spilled', of: mix.value, grams }]
          },
          mix.value
        )
      : undefined;
  });
  const standing = $derived(
    what === 'rewet' && mix && thinner
      ? {
          before: standingOf(frozen, run, mix.value),
          after: standingOf(frozen, run, mix.value, { part: thinner.part, grams })
        }
      : undefined
  );

  function nameOf(id: string): string {
    const cup = computed.cups.find((c) => c.mixes.some((m) => m.mixId === id));
    if (!cup) return 'the mixing pot';
    const nth = cup.mixes.length > 1 ? `, mix ${cup.mixes.findIndex((m) => m.mixId === id) + 1}` : '';
    return `cup ${cup.letter} ${cup.name}${nth}`;
  }

  function choose(id: What) {
    what = id;
    taskId = '';
    mixId = '';
    problem = '';
    grams = id === 'extra' ? extraOf() : id === 'spilled' ? Math.round((mixes[0]?.left ?? 10) / 2) : 5;
  }

  /** A drop of what is counted, or a division of the scale. */
  function extraOf(): number {
    const task = weighed[0]?.entry.task;
    if (task?.kind !== 'weigh') return computed.division;
    return task.countedIn?.each ?? task.division;
  }

  function tell(...told: EventBody[]) {
    for (const t of told) {
      const refused = log.tell(t);
      if (refused) {
        problem = problemWords(refused);
        return;
      }
    }
    close();
  }

  function close() {
    what = undefined;
    onclose();
  }

  /** The wrong pot: which colourant it was, by its card where there is one. */
  function swap() {
    if (!own) return;
    const card = frozen.file.shelf.colourants.find((c) => c.id === colourantId);
    tell({
      type: 'swapped',
      task: own.value,
      instead: card?.name ?? 'another pot',
      ...(card ? { colourantId: card.id } : {})
    });
  }

  const skipsOf = (id: string): EventBody[] =>
    run.tasks
      .filter((t) => t.task.kind === 'pour' && t.task.mixId === id && t.status === 'open')
      .map((t) => ({ type: 'skipped', task: t.task.id }));

  const replanned = (why: string): EventBody[] =>
    fewer ? [{ type: 'replanned', why, plan: { ...fewer.plan }, tasks: fewer.tasks }] : [];
</script>

{#snippet amount(label: string, most = 100_000)}
  <span class="w-40"
    ><QuantityField {label} unit="g" above max={most} value={grams} onchange={(v) => (grams = v)} /></span
  >
{/snippet}

{#snippet whichMix()}
  <Choice
    label="Which cup"
    value={mix?.value ?? ''}
    options={mixes}
    onchange={(v) => (mixId = v)}
    class="!min-h-[64px] flex-1"
  />
{/snippet}

{#snippet go(words: string, act: () => void, tone = 'go')}
  <button class="button {tone} min-h-[64px] w-full text-[1.1rem]" onclick={act}>{words}</button>
{/snippet}

<Dialog.Root {open} onOpenChange={(o) => !o && close()}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/50" />
    <Dialog.Content
      class="fixed top-1/2 left-1/2 z-50 max-h-[92vh] w-[min(680px,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded-xl border border-rule-strong bg-ground p-6 text-[1.1rem] shadow-xl"
    >
      <Dialog.Title class="font-display text-[1.6rem] font-semibold"
        >{WHAT.find((w) => w.id === what)?.words ?? 'What happened?'}</Dialog.Title
      >
      {#if !what}
        <ul class="mt-4 grid grid-cols-3 gap-2.5 max-sm:grid-cols-2">
          {#each WHAT as w (w.id)}
            <li>
              <button
                class="button min-h-[92px] w-full flex-col !items-start !gap-0.5 !px-3.5 text-left whitespace-normal"
                onclick={() => choose(w.id)}
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
                  onchange={(v) => (taskId = v)}
                  class="!min-h-[64px] flex-1"
                />
                {@render amount('More of it')}
              </div>
              <p class="text-ink-2">
                {weighing((inOf(own.entry) ?? 0) + grams, computed.division)} of it instead of {weighing(
                  own.entry.target ?? (own.entry.task.kind === 'weigh' ? own.entry.task.grams : 0),
                  computed.division
                )}.
              </p>
              {@render go('It is in', () => tell({ type: 'added', task: own.value, grams }))}
            {:else}<p>Nothing is weighed yet.</p>{/if}
          {:else if what === 'rewet'}
            {#if mix && thinner}
              <div class="flex flex-wrap items-center gap-3">
                {@render whichMix()}
                {#if thin.length > 1}<Choice
                    label="What thins it"
                    value={thinner.part}
                    options={thin.map((t) => ({ value: t.part, label: t.name }))}
                    onchange={(v) => (part = v)}
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
                tell({ type: 'rewetted', mixId: mix.value, part: thinner.part, grams })
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
            {@render go('Log it; S tops it up', () => tell({ type: 'spilled', mixId: mix.value, grams }))}
            {#if fewer}{@render go(
                `Log it, and pour ${fewer.groups.map((x) => x.cavities).join(' + ')} cavities whole`,
                () =>
                  tell(
                    { type: 'spilled', mixId: mix.value, grams },
                    ...replanned(`${weighing(grams)} spilled from ${nameOf(mix.value)}`)
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
              tell({ type: 'lost', mixId: mix.value }, { type: 'restarted', mixId: mix.value })
            )}
            {#if still?.pours.length}
              {@render go(
                'Go on without it: leave its pours out',
                () => tell({ type: 'lost', mixId: mix.value }, ...skipsOf(mix.value)),
                ''
              )}
            {/if}
            {#if fewer}
              {@render go(
                `Give up what needs it: ${fewer.groups.map((x) => `${x.given} cavities`).join(', ')}`,
                () => tell({ type: 'lost', mixId: mix.value }, ...replanned(`${nameOf(mix.value)} was lost`)),
                ''
              )}
            {/if}
            {#each [...books.values()].filter((b) => b.mixId !== mix.value && b.left - b.wanted > computed.division * 5) as other (other.mixId)}
              <p class="text-[1rem] text-ink-2">
                {nameOf(other.mixId)} has {weighing(other.left - other.wanted)} more than it pours.
              </p>
            {/each}
          {:else if what === 'swapped'}
            {#if own}
              <div class="flex flex-wrap items-center gap-3">
                <Choice
                  label="Instead of"
                  value={own.value}
                  options={weighed}
                  onchange={(v) => (taskId = v)}
                  class="!min-h-[64px] flex-1"
                />
                <Choice
                  label="What went in"
                  value={colourantId}
                  options={colourants}
                  onchange={(v) => (colourantId = v)}
                  class="!min-h-[64px] flex-1"
                />
              </div>
              <p class="text-ink-2">The weight stays; the record and the shelf count the other pot.</p>
              {@render go('That went in', swap)}
            {:else}<p>Nothing is weighed yet.</p>{/if}
          {:else if what === 'skipped'}
            {#if instruction && instruction.kind !== 'prepare'}
              <p>{inWords(instruction.title)}</p>
              {@render go('Leave it out', () => tell({ type: 'skipped', task: instruction.task.id }))}
            {:else}<p>There is nothing here to leave out.</p>{/if}
          {:else if what === 'gesture'}
            {#if gesture}
              <div class="flex">
                <Choice
                  label="Of which act"
                  value={gesture.value}
                  options={gestures}
                  onchange={(v) => (taskId = v)}
                  class="!min-h-[64px] flex-1"
                />
              </div>
              {@render go('One more was made', () =>
                tell({ type: 'gestured', task: gesture.value, times: 1 })
              )}
            {:else}<p>Nothing is poured or drawn yet.</p>{/if}
          {:else if what === 'misplaced'}
            {#if pour && group}
              <div class="flex flex-wrap items-center gap-3">
                <Choice
                  label="What was poured"
                  value={pour.value}
                  options={pours}
                  onchange={(v) => (taskId = v)}
                  class="!min-h-[64px] flex-1"
                />
                <Choice
                  label="Into which cavities"
                  value={group.value}
                  options={groups}
                  onchange={(v) => (groupId = v)}
                  class="!min-h-[64px] flex-1"
                />
                {@render amount('So much of it')}
              </div>
              {@render go('It went there', () =>
                tell({ type: 'misplaced', task: pour.value, groupId: group.value, grams })
              )}
            {:else}<p>No cup has anything to pour.</p>{/if}
          {:else if what === 'withdrew'}
            {#if group}
              <div class="flex flex-wrap items-center gap-3">
                <Choice
                  label="Out of which cavities"
                  value={group.value}
                  options={groups}
                  onchange={(v) => (groupId = v)}
                  class="!min-h-[64px] flex-1"
                />
                {@render amount('Taken out')}
              </div>
              {@render go('It is out', () => tell({ type: 'withdrew', groupId: group.value, grams }))}
            {/if}
          {:else}<p>No cup has anything in it yet.</p>{/if}
          {#if problem}<p class="text-cinnabar" role="alert">{problem}</p>{/if}
          <button class="button bare" onclick={() => (what = undefined)}>← something else happened</button>
        </div>
      {/if}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
