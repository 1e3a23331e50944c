<!-- Find anything: a few letters; what is found can be opened, or begun, repeated or printed from here. -->
<script lang="ts">
  import { Command, Dialog } from 'bits-ui';
  import { goto } from '$app/navigation';
  import { send } from '../store/send';
  import { day } from '$lib/when';
  import { problemWords } from '../preferences.svelte';

  interface Hit {
    kind: string;
    id: string;
    name: string;
    more: string;
  }
  interface Act {
    words: string;
    go: () => Promise<unknown> | undefined;
  }
  let { open = $bindable() }: { open: boolean } = $props();
  let query = $state('');
  let hits = $state.raw<Hit[]>([]);
  let problem = $state('');

  const PAGES: Hit[] = [
    ['/', 'Bench', 'what is due now'],
    ['/plans', 'Plans', ''],
    ['/days', 'Days', 'every open order on the calendar'],
    ['/practise', 'Practise', 'lessons and rehearsals'],
    ['/colours', 'Colours', ''],
    ['/colours/match', 'Match a colour', ''],
    ['/colours/cards', 'Trial cards', ''],
    ['/colours/paste', 'Make a paste', ''],
    ['/colours/drops', 'Weigh drops', ''],
    ['/shelf', 'Shelf', 'moulds, materials, stock, tools'],
    ['/shelf/make-mould', 'Make a mould', ''],
    ['/shelf/import', 'Import a table', 'colourants, vessels, scales, lots from CSV'],
    ['/record', 'Record', 'runs, pieces, lessons'],
    ['/record/compare', 'Compare two runs', ''],
    ['/guide', 'Guide', 'a page for each stage'],
    ['/workshop', 'Workshop', 'units, hours, backup']
  ].map(([id, name, more]) => ({ kind: 'page', id: id!, name: name!, more: more! }));
  const HREF: Record<string, (id: string) => string> = {
    page: (id) => id,
    plan: (id) => `/plans/${id}`,
    run: (id) => `/record/${id}`,
    lesson: (id) => `/record/${id}`,
    piece: (id) => `/record/${id}`,
    mould: (id) => `/shelf/moulds/${id}`,
    base: (id) => `/shelf/bases/${id}`,
    colourant: (id) => `/colours/${id}`,
    scale: (id) => `/shelf/scales/${id}`,
    vessel: (id) => `/shelf/vessels/${id}`,
    lot: (id) => `/shelf/lots/${id}`,
    'trial card': () => '/colours/cards'
  };

  const pages = $derived(
    query.trim()
      ? PAGES.filter((p) => `${p.name} ${p.more}`.toLowerCase().includes(query.trim().toLowerCase()))
      : PAGES.slice(0, 8)
  );
  const shown = $derived([...hits, ...pages]);

  const placeOf = (hit: Hit, i: number) => `${hit.kind}-${hit.id}-${i}`;
  /** What Enter opens: the first that was found, until an arrow key chooses another. */
  let chosen = $derived(shown[0] ? placeOf(shown[0], 0) : '');

  // What was asked for last wins, however late an earlier answer comes.
  let asked = 0;
  $effect(() => {
    const words = query.trim();
    const mine = ++asked;
    if (!words) {
      hits = [];
      return;
    }
    void send<Hit[]>('GET', `/find?q=${encodeURIComponent(words)}`).then((found) => {
      if (mine === asked && found.ok) hits = found.value;
    });
  });

  /** What can be done with what was found, besides opening it. */
  function actsOf({ kind, id }: Hit): Act[] {
    if (kind === 'plan')
      return [
        { words: 'Start', go: () => begin(id) },
        { words: 'Rehearse', go: () => leave(`/rehearse/plan/${id}`) },
        { words: 'Print', go: () => leave(`/plans/${id}/sheet`) }
      ];
    if (kind === 'run') return [{ words: 'Repeat', go: () => repeat(id) }];
    if (kind === 'mould')
      return [{ words: 'New plan with this mould', go: () => leave(`/plans/new?mould=${id}`) }];
    return [];
  }

  function leave(href: string) {
    open = false;
    return goto(href);
  }

  async function begin(planId: string) {
    const begun = await send<{ id: string }>('POST', '/runs', { planId });
    if (begun.ok) await leave(`/run/${begun.value.id}`);
    else problem = problemWords(begun.problems[0]);
  }

  async function repeat(runId: string) {
    const made = await send<{ id: string }>('POST', `/runs/${runId}/repeat`);
    if (made.ok) await leave(`/plans/${made.value.id}`);
    else problem = problemWords(made.problems[0]);
  }

  const openHit = (hit: Hit) => leave(HREF[hit.kind]?.(hit.id) ?? '/');
  const moreOf = (hit: Hit) => (hit.kind === 'run' && hit.more ? `begun ${day(Number(hit.more))}` : hit.more);

  // Each time it is opened it is asked anew.
  $effect(() => {
    if (!open) return;
    query = '';
    problem = '';
  });
</script>

<Dialog.Root bind:open>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/40" />
    <Dialog.Content
      class="fixed top-[12vh] left-1/2 z-50 w-[min(680px,94vw)] -translate-x-1/2 rounded-xl border border-rule-strong bg-ground p-3 shadow-xl"
    >
      <Dialog.Title class="sr-only">Find anything</Dialog.Title>
      <Command.Root shouldFilter={false} label="Find anything" bind:value={chosen}>
        <Command.Input
          class="field !min-h-[56px] text-[1.15rem]"
          placeholder="A plan, a mould, a pot, a run, a lesson, a page"
          aria-label="Find anything"
          bind:value={query}
        />
        <Command.List class="mt-2 max-h-[56vh] overflow-y-auto">
          <Command.Viewport>
            {#each shown as hit, i (placeOf(hit, i))}
              <Command.Item
                value={placeOf(hit, i)}
                onSelect={() => openHit(hit)}
                class="flex min-h-12 cursor-pointer items-center gap-3 rounded-md px-3 data-[selected]:bg-sunk"
              >
                <span class="w-20 shrink-0 text-[0.85rem] text-ink-2">{hit.kind}</span>
                <span class="min-w-0 flex-1 truncate">
                  <strong>{hit.name}</strong>
                  <span class="text-ink-2">{moreOf(hit)}</span>
                </span>
                {#each actsOf(hit) as act (act.words)}
                  <button
                    class="button bare !min-h-10 text-[0.92rem]"
                    aria-label="{act.words}: {hit.name}"
                    onclick={(e) => {
                      e.stopPropagation();
                      void act.go();
                    }}>{act.words}</button
                  >
                {/each}
              </Command.Item>
            {:else}
              <p class="px-3 py-4 text-ink-2">Nothing is called that.</p>
            {/each}
          </Command.Viewport>
        </Command.List>
      </Command.Root>
      {#if problem}<p class="px-3 pt-2 text-cinnabar" role="alert">{problem}</p>{/if}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
