<!-- Puts a new card on the shelf, once it is right. -->
<script lang="ts" generics="T extends { id: string; name: string }">
  import type { CardForm } from '../../store/card-form.svelte';
  import { submission } from '../../store/submission.svelte';

  let { form, then, id }: { form: CardForm<T>; then: string; id: string } = $props();
  // svelte-ignore state_referenced_locally
  const sending = submission(form.schema, form.card, (card) => form.put(card, then));
  const { form: sent, enhance } = sending;
  $effect(() => sent.set(form.card));
  $effect(() => {
    form.problems = sending.problems;
  });
</script>

<form method="POST" {id} use:enhance>
  <button class="button go">Save</button>
</form>
