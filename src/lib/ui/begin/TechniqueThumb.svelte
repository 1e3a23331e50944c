<!-- A technique as it would come out in a plan's own cups and mould: worked out in its turn, so that a list of them opens at once. -->
<script lang="ts">
  import { applyTechnique } from '$core/edit';
  import { figuresOf, type Computed, type Plan } from '$core/plan';
  import type { Technique } from '$core/pour';
  import type { Shelf } from '$core/shelf';
  import { afterFrame } from '../../page/after-frame';
  import { facePictured } from '../drawing/face-shown';
  import PiecePicture from '../drawing/PiecePicture.svelte';

  let {
    plan,
    shelf,
    technique,
    groupId,
    nth,
    high = 72
  }: {
    plan: Plan;
    shelf: Shelf;
    technique: Technique;
    groupId: string;
    /** Its place in the list: those before it come first. */
    nth: number;
    /** Pixels it may be high. */
    high?: number;
  } = $props();
  let drawn = $state.raw<{ plan: Plan; computed: Computed }>();
  $effect(() => {
    const of = { plan, shelf, groupId, techniqueId: technique.id };
    let gone = false;
    void (async () => {
      for (let frames = 0; frames <= nth && !gone; frames++) await afterFrame();
      if (gone) return;
      const made = applyTechnique(of.plan, of.shelf, {
        techniqueId: of.techniqueId,
        groupId: of.groupId,
        keep: 'nothing'
      });
      drawn = { plan: made, computed: figuresOf(made, of.shelf) };
    })();
    return () => (gone = true);
  });
  const group = $derived(drawn?.computed.groups.find((g) => g.groupId === groupId));
</script>

<span class="block" style="--piece-high:{high}px;min-height:{high}px">
  {#if drawn && group}
    <PiecePicture
      piece={{ plan: drawn.plan, shelf, group, cups: drawn.computed.cups }}
      face={facePictured(technique, drawn.plan, group)}
      size={Math.round(high * 1.6)}
      letters={false}
    />
  {/if}
</span>
