<!-- What only a mould rubber's card has: what it cures by. -->
<script lang="ts">
  import Choice from '../forms/Choice.svelte';
  import type { Base, RubberCard } from '$core/material';
  import type { CardForm } from '../../store/card-form.svelte';
  import Row from '../forms/Row.svelte';
  import { whose } from '../shelf/whose';

  let { form, card }: { form: CardForm<Base>; card: RubberCard } = $props();
</script>

<Row label="Cures by" whose={whose(card, 'cure')}>
  <Choice
    label="Cures by"
    value={card.cure}
    options={[
      { value: 'platinum', label: 'platinum' },
      { value: 'tin', label: 'tin' }
    ]}
    onchange={(v) => form.set(['cure'], v)}
  />
</Row>
