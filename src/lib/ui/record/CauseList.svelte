<!-- What the log points to for every fault that was found: the fact, how strongly, and the change to try. -->
<script lang="ts">
  import type { CausesFound } from '$core/inspect';
  import type { Plan } from '$core/plan';
  import { send } from '../../store/send';
  import { inWords, problemWords } from '../../preferences.svelte';

  let {
    causes,
    runId,
    planId,
    groups
  }: {
    causes: readonly { groupId: string; found: CausesFound[] }[];
    runId: string;
    planId: string | null;
    groups: Plan['groups'];
  } = $props();

  let made = $state<Record<string, true>>({});
  let problem = $state('');
  const MOST = 3;
  const many = $derived(groups.length > 1);

  async function take(groupId: string, defect: string, cause: string) {
    const done = await send<Plan>('POST', `/runs/${runId}/causes`, { groupId, defect, cause });
    problem = done.ok ? '' : problemWords(done.problems[0]);
    if (done.ok) made = { ...made, [`${groupId}|${defect}|${cause}`]: true };
  }

  /** How strongly, as marks: a little outside, outside, far outside. */
  const marks = (strength: number) => (strength > 1 ? 3 : strength > 0.3 ? 2 : 1);
  const WORDS = ['', 'a little outside', 'outside', 'far outside'];
</script>

<h2 class="mt-7 text-[1.35rem]">Likely causes</h2>
<div data-testid="causes">
  {#each causes as own (own.groupId)}
    {#each own.found as f (f.defect)}
      <section class="mt-3">
        <h3 class="font-sans text-[1.05rem] font-bold">
          {f.defect}{#if many}<span class="font-normal text-ink-2"
              >, {groups.find((g) => g.id === own.groupId)?.name}</span
            >{/if}
        </h3>
        <ol class="ruled mt-0.5">
          {#each f.likely.slice(0, MOST) as l (l.id)}
            {@const key = `${own.groupId}|${f.defect}|${l.id}`}
            <li class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2.5">
              <span
                role="img"
                class="flex w-9 gap-1"
                title={WORDS[marks(l.strength)]}
                aria-label={WORDS[marks(l.strength)]}
              >
                {#each [1, 2, 3] as n (n)}
                  <span class="size-2.5 rounded-full {n <= marks(l.strength) ? 'bg-cinnabar' : 'bg-rule'}"
                  ></span>
                {/each}
              </span>
              <span class="min-w-[14rem] flex-1">
                <strong class="font-semibold first-letter:uppercase">{inWords(l.fact)}</strong>
                <span class="block text-ink-2">Next time: {inWords(l.change)}.</span>
              </span>
              {#if planId}
                {#if made[key]}
                  <a class="font-semibold text-verdigris underline" href="/plans/{planId}">in the plan</a>
                {:else}
                  <button class="button" onclick={() => take(own.groupId, f.defect, l.id)}
                    >Change the plan</button
                  >
                {/if}
              {/if}
            </li>
          {:else}
            <li class="py-2 text-ink-2">The log points to nothing.</li>
          {/each}
        </ol>
        {#if f.unlogged.length}
          <p class="text-[0.9rem] text-ink-2">
            The log cannot tell more; next time note {f.unlogged.join('; ')}.
          </p>
        {/if}
      </section>
    {/each}
  {/each}
  {#if causes.reduce((s, c) => s + new Set(c.found.flatMap((f) => f.likely
            .filter((l) => l.strength > 0.3)
            .map((l) => l.id))).size, 0) > 1}
    <p class="mt-2 border-l-4 border-ochre bg-ochre-soft px-3 py-2 text-[0.95rem]">
      Several things differed at once. Change one of them next time, the first named, and leave the rest as
      they were: then you will know.
    </p>
  {/if}
  {#if problem}<p class="text-cinnabar" role="alert">{problem}</p>{/if}
</div>
