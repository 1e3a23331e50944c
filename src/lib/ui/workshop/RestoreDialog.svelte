<!-- What a backup holds, beside what is here, before it takes its place. -->
<script lang="ts">
  import { Dialog } from 'bits-ui';
  import Table from '../Table.svelte';
  import { moment } from '$lib/when';
  import type { Contents } from './contents';

  let {
    name,
    preview,
    here,
    onrestore,
    onleave
  }: { name: string; preview: Contents; here: Contents; onrestore: () => void; onleave: () => void } =
    $props();
</script>

<Dialog.Root open onOpenChange={(open) => !open && onleave()}>
  <Dialog.Portal>
    <Dialog.Overlay class="fixed inset-0 z-40 bg-black/50" />
    <Dialog.Content
      class="fixed top-1/2 left-1/2 z-50 w-[min(560px,94vw)] -translate-x-1/2 -translate-y-1/2 rounded-xl border border-rule-strong bg-ground p-6 shadow-xl"
      data-testid="preview"
    >
      <Dialog.Title class="font-display text-[1.5rem] font-semibold">This backup holds</Dialog.Title>
      <Dialog.Description class="mt-1 text-ink-2">
        {name}{#if preview.lastChange}, last changed {moment(preview.lastChange, Date.now())}{/if}
      </Dialog.Description>
      <Table
        class="mt-3"
        rows={preview.counts}
        columns={[
          { id: 'what', head: '', text: (c) => c.what },
          { id: 'there', head: 'in the backup', num: true, text: (c) => c.count, class: 'font-semibold' },
          {
            id: 'here',
            head: 'here now',
            num: true,
            text: (c) => here.counts.find((x) => x.what === c.what)?.count ?? 0
          }
        ]}
      />
      <p class="mt-3 text-ink-2">
        It takes the place of everything here. What is here now is kept as a copy beside it.
      </p>
      <div class="mt-4 flex gap-3">
        <button class="button go flex-1" onclick={onrestore}>Restore it</button>
        <Dialog.Close class="button flex-1">Leave things as they are</Dialog.Close>
      </div>
    </Dialog.Content>
  </Dialog.Portal>
</Dialog.Root>
