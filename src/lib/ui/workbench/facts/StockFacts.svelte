<!-- What the order takes of each lot, and what stands on the shelf of it. -->
<script lang="ts">
  import type { Computed } from '$core/plan';
  import { mass } from '../../../preferences.svelte';
  import Table from '../../Table.svelte';

  let { computed }: { computed: Computed } = $props();
  const several = $derived((computed.order?.turns ?? 1) > 1);
  // Tap water is kept in no lot.
  const needs = $derived(computed.needs.filter((n) => n.have !== undefined || !/^water/.test(n.name)));
  const short = $derived(computed.needs.filter((n) => n.short));
  const uncounted = $derived(needs.filter((n) => n.have === undefined));
  const words = $derived.by(() => {
    if (short.length) return `Short of ${short.map((n) => n.name).join(', ')}.`;
    if (uncounted.length === needs.length)
      return 'No stock is kept of these: add lots on the shelf to count them.';
    const what = several ? 'Enough for the order' : 'Enough';
    return uncounted.length ? `${what} of what is counted.` : `${what}.`;
  });
</script>

{#if needs.length}
  <p class="mt-2 text-[0.88rem] font-semibold {short.length ? 'text-ochre' : ''}">{words}</p>
  <Table
    class="mt-1 text-[0.86rem]"
    label="What the order takes, and what there is"
    rows={needs}
    columns={[
      { id: 'name', head: '', text: (n) => n.name, headClass: '!px-0', class: '!px-0 !py-1 text-ink-2' },
      {
        id: 'needed',
        head: several ? 'each pour' : 'takes',
        num: true,
        text: (n) => mass(n.grams),
        class: '!py-1'
      },
      ...(several
        ? [
            {
              id: 'all',
              head: 'in all',
              num: true,
              text: (n: (typeof needs)[number]) => mass(n.inAll),
              class: '!py-1'
            }
          ]
        : []),
      {
        id: 'have',
        head: 'there',
        num: true,
        text: (n) => (n.have === undefined ? 'not counted' : mass(n.have)),
        class: '!px-0 !py-1',
        headClass: '!px-0'
      }
    ]}
  />
{:else}
  <p class="mt-2 text-[0.88rem] text-ink-2">Nothing is weighed yet.</p>
{/if}
