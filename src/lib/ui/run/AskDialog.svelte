<!-- Asks for a note, a problem, or the state of what is in the mould; or says which keys do what. -->
<script lang="ts">
  import { Dialog } from 'bits-ui';
  import { MOST_WORDS } from '$core/run';

  let {
    asking,
    states,
    of = [],
    onanswer,
    onclose
  }: {
    asking: 'note' | 'problem' | 'state' | 'help' | undefined;
    states: readonly { state: string; tell: string }[];
    /** What a state can be told of: the layer in the mould, and cups whose clocks run. */
    of?: readonly { id: string; name: string; cup: boolean }[];
    onanswer: (text: string, of?: { id: string; cup: boolean }) => void;
    onclose: () => void;
  } = $props();

  let text = $state('');
  let chosen = $state(0);
  const felt = $derived(of[Math.min(chosen, of.length - 1)]);
  const TITLES = {
    note: 'Note',
    problem: 'What went wrong?',
    state: 'How thick is it?',
    help: 'Keys'
  };
  const KEYS = [
    ['space', 'confirm, as a pedal would'],
    ['T', 'report how thick it is'],
    ['N', 'note'],
    ['P', 'problem'],
    ['R', 'fix a mistake: spilled, thickened, wrong pot, left out'],
    ['S', 'short of a cup: what to mix for the rest'],
    ['X', 'take what could be done meanwhile'],
    ['D', 'one drop or spoon more'],
    ['E', 'enough, while creeping up on a colour'],
    ['F', 'photo of this stage, where one is worth having'],
    ['U', 'undo the last thing'],
    ['M', 'sound on or off'],
    ['V', 'say the numbers aloud'],
    ['?', 'this list']
  ];

  function answer(event: SubmitEvent) {
    event.preventDefault();
    if (!text.trim()) return;
    onanswer(text.trim());
    text = '';
  }
</script>

<Dialog.Root open={!!asking} onOpenChange={(open) => !open && onclose()}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/50" />
    <Dialog.Content
      class="fixed top-1/2 left-1/2 z-50 w-[min(620px,94vw)] -translate-x-1/2 -translate-y-1/2 rounded-xl border border-rule-strong bg-ground p-6 shadow-xl"
    >
      {#if asking}
        <Dialog.Title class="font-display text-[1.6rem] font-semibold">{TITLES[asking]}</Dialog.Title>
        {#if asking === 'state'}
          {#if of.length > 1}
            <div class="mt-3 flex flex-wrap gap-2" role="group" aria-label="Of what">
              {#each of as what, i (what.id)}
                <button
                  class="button min-h-[56px] aria-pressed:border-verdigris aria-pressed:bg-verdigris-soft"
                  aria-pressed={i === Math.min(chosen, of.length - 1)}
                  onclick={() => (chosen = i)}>{what.name}</button
                >
              {/each}
            </div>
          {:else if felt}<p class="mt-1 text-ink-2">{felt.name}</p>{/if}
          <ul class="mt-4 space-y-2">
            {#each states as s (s.state)}
              <li>
                <button
                  class="button min-h-[64px] w-full !justify-start text-[1.15rem]"
                  onclick={() => onanswer(s.state, felt)}
                >
                  <strong class="w-32 text-left">{s.state}</strong>
                  <span class="font-normal whitespace-normal text-ink-2">{s.tell}</span>
                </button>
              </li>
            {/each}
          </ul>
        {:else if asking === 'help'}
          <dl class="mt-4 grid grid-cols-[6rem_1fr] gap-y-2 text-[1.1rem]">
            {#each KEYS as [key, what] (key)}
              <dt><kbd class="rounded border border-rule-strong px-2 font-semibold">{key}</kbd></dt>
              <dd>{what}</dd>
            {/each}
          </dl>
        {:else}
          <form class="mt-4" onsubmit={answer}>
            <textarea
              class="field min-h-28 py-2 text-[1.1rem]"
              aria-label={TITLES[asking]}
              maxlength={MOST_WORDS}
              bind:value={text}
              onkeydown={(e) => {
                if (e.key === 'Enter' && !e.shiftKey) {
                  e.preventDefault();
                  e.currentTarget.form?.requestSubmit();
                }
              }}></textarea>
            <button class="button go mt-3 min-h-[64px] w-full text-[1.15rem]">Keep it</button>
          </form>
        {/if}
      {/if}
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
