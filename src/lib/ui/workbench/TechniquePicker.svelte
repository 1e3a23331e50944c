<!-- A technique for these cavities: those for the plan's material first; with steps there already it asks what to keep. -->
<script lang="ts">
  import { Dialog } from 'bits-ui';
  import { applyTechnique, KEEPS, techniquesFor, type Keep } from '$core/edit';
  import { figuresOf } from '$core/plan';
  import { type Group } from '$core/document';
  import type { Technique } from '$core/pour';
  import type { PlanView } from '../../plan/plan-view.svelte';
  import { inWords } from '../../preferences.svelte';
  import TechniqueThumb from '../begin/TechniqueThumb.svelte';
  import OneOf from '../forms/OneOf.svelte';

  let { editor, group }: { editor: PlanView; group: Group } = $props();
  const plan = $derived(editor.plan);
  let open = $state(false);
  let chosen = $state<Technique>();
  let keep = $state<Keep>('nothing');

  let typed = $state('');
  const named = (t: Technique) => [t.name, t.about, ...t.also].map((w) => w.toLowerCase());
  const asked = (t: Technique) => named(t).some((w) => w.includes(typed.trim().toLowerCase()));
  const found = $derived.by(() => {
    const { suited, others } = techniquesFor(plan, editor.shelf);
    return { suited: suited.filter(asked), others: others.filter(asked) };
  });
  const stands = $derived(plan.steps.some((s) => s.where.includes(group.id)));
  const KEEP_WORDS: Record<Keep, string> = {
    nothing: 'Replace them all',
    'what comes after': 'Keep those after the pour',
    everything: 'Keep them all, and add these at the end'
  };
  /** The plan as it would be, and the lines that would be new in it. */
  const would = $derived.by(() => {
    if (!chosen) return undefined;
    const next = applyTechnique(plan, editor.shelf, { techniqueId: chosen.id, groupId: group.id, keep });
    const { lines } = figuresOf(next, editor.shelf);
    const before = new Set(plan.steps.map((s) => s.id));
    const cups = next.cups.length - plan.cups.length;
    return { next, cups, fresh: lines.filter((l) => !before.has(l.stepId)) };
  });

  function choose(technique: Technique | undefined) {
    chosen = technique;
    keep = 'nothing';
    typed = '';
  }

  function apply() {
    if (would) editor.replace(would.next);
    open = false;
  }
</script>

<Dialog.Root bind:open onOpenChange={() => choose(undefined)}>
  <Dialog.Trigger class="button min-h-9 !px-[7px] text-[0.9rem]">Technique</Dialog.Trigger>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/50" />
    <Dialog.Content
      class="fixed top-1/2 left-1/2 z-50 flex max-h-[88vh] w-[min(720px,94vw)] -translate-x-1/2 -translate-y-1/2 flex-col rounded-xl border border-rule-strong bg-ground p-6 shadow-xl"
      data-testid="techniques"
    >
      <Dialog.Title class="font-display text-[1.5rem] font-semibold">
        {chosen ? chosen.name : `A technique for ${group.name}`}
      </Dialog.Title>
      <Dialog.Description class="mt-0.5 text-ink-2">
        {chosen ? chosen.about : 'It fills in steps that you can then change.'}
      </Dialog.Description>

      {#if chosen && would}
        {#if stands}
          <p class="label mt-4">The steps that are there</p>
          <OneOf
            label="The steps that are there"
            value={keep}
            options={KEEPS.map((value) => ({ value }))}
            onchange={(v) => (keep = v as Keep)}
          >
            {#snippet children(option)}{KEEP_WORDS[option.value]}{/snippet}
          </OneOf>
        {/if}
        <ol class="ruled mt-3 min-h-0 overflow-y-auto text-[0.95rem]" data-testid="would">
          {#each would.fresh as line (line.stepId)}
            <li class="py-1.5">
              {inWords(line.line)}{#if line.hint}<span class="block text-[0.85rem] text-ink-2 italic"
                  >{inWords(line.hint)}</span
                >{/if}
            </li>
          {/each}
        </ol>
        {#if would.cups}
          <p class="mt-2 text-ink-2">
            {would.cups === 1 ? 'One cup is' : `${would.cups} cups are`} added: this technique needs {would.cups ===
            1
              ? 'it'
              : 'them'}.
          </p>
        {/if}
        <p class="mt-2 text-[0.9rem] text-ink-2">During the pour, note {chosen.learn.join('; ')}.</p>
        <div class="mt-4 flex gap-3">
          <button class="button go" onclick={apply}>Fill in these steps</button>
          <button class="button" onclick={() => choose(undefined)}>Another technique</button>
        </div>
      {:else}
        <input
          class="field mt-3"
          aria-label="Search by what makers call it"
          placeholder="Search: lacing, ribbons, chips"
          bind:value={typed}
        />
        <div class="mt-1 min-h-0 overflow-y-auto">
          {#each [{ head: 'For this material', list: found.suited }, { head: 'In other materials', list: found.others }] as part (part.head)}
            {#if part.list.length}
              <h3 class="label mt-2 font-sans">{part.head}</h3>
              <ul class="mt-1 grid gap-1.5 sm:grid-cols-2">
                {#each part.list as technique, nth (technique.id)}
                  <li>
                    <button
                      class="button min-h-[86px] w-full !justify-start !gap-3 !px-2.5 py-1.5 text-left whitespace-normal"
                      onclick={() => choose(technique)}
                    >
                      <span class="w-[72px] shrink-0">
                        <TechniqueThumb {plan} shelf={editor.shelf} {technique} groupId={group.id} {nth} />
                      </span>
                      <span class="min-w-0">
                        <span class="block leading-tight">{technique.name}</span>
                        <span class="block text-[0.85rem] leading-tight font-normal text-ink-2"
                          >{technique.about}</span
                        >
                      </span>
                    </button>
                  </li>
                {/each}
              </ul>
            {/if}
          {/each}
          {#if !found.suited.length && !found.others.length}
            <p class="py-4 text-ink-2">
              Nothing is called that. Try what it looks like: cells, rings, flames, marble.
            </p>
          {/if}
        </div>
      {/if}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
