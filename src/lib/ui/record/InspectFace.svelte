<!-- One face of a piece: how good it is, and what is wrong with it; a fault for one maker is a feature for another. -->
<script lang="ts">
  import { GRADES, type Defect, type Piece } from '$core/inspect';
  import DefectPicker from './DefectPicker.svelte';

  type Face = Piece['faces'][number];

  let {
    own,
    words,
    isGraded,
    usual,
    onchange,
    onadding,
    onadd
  }: {
    own: Face;
    /** How the face is called. */
    words: string;
    /** Anything was noted of the piece. */
    isGraded: boolean;
    /** Defects that it may show, most usual first. */
    usual: readonly Defect[];
    onchange: (what: Partial<Face>) => void;
    /** A defect is about to be added. */
    onadding: () => void;
    onadd: (defect: Defect) => void;
  } = $props();

  let adding = $state(false);
  const TONES = {
    good: 'data-[on=true]:bg-verdigris data-[on=true]:text-on-verdigris data-[on=true]:border-verdigris',
    second: 'data-[on=true]:bg-ochre data-[on=true]:text-ground data-[on=true]:border-ochre',
    reject: 'data-[on=true]:bg-cinnabar data-[on=true]:text-ground data-[on=true]:border-cinnabar'
  };

  const takeOut = (defect: Defect) =>
    onchange({
      defects: own.defects.filter((d) => d !== defect),
      marks: (own.marks ?? []).filter((m) => m.defect !== defect),
      features: (own.features ?? []).filter((d) => d !== defect)
    });

  function turn(defect: Defect) {
    const features = own.features ?? [];
    onchange({
      features: features.includes(defect) ? features.filter((d) => d !== defect) : [...features, defect]
    });
  }
</script>

<div class="mt-3" data-face={own.face}>
  <div class="flex flex-wrap items-center gap-2">
    <strong class="w-24">{words}</strong>
    {#each GRADES as grade (grade)}
      <button
        class="button {TONES[grade]}"
        data-on={isGraded && own.grade === grade}
        aria-pressed={isGraded && own.grade === grade}
        onclick={() => onchange({ grade })}>{grade}</button
      >
    {/each}
    <button
      class="button"
      aria-expanded={adding}
      aria-label="Add a defect of the {words}"
      onclick={() => {
        adding = !adding;
        onadding();
      }}>+ defect</button
    >
  </div>
  {#if adding}
    <DefectPicker
      of={words}
      {usual}
      chosen={own.defects}
      onchoose={(defect) => {
        adding = false;
        onadd(defect);
      }}
    />
  {/if}
  {#if own.defects.length}
    <ul class="mt-1.5 flex flex-wrap gap-1.5 pl-26">
      {#each own.defects as defect (defect)}
        {@const feature = own.features?.includes(defect)}
        <li class="flex">
          <button
            class="rounded-l-full border px-3 py-1 text-[0.9rem] {feature
              ? 'border-verdigris text-verdigris'
              : 'border-rule-strong'} hover:border-ink"
            aria-label="{defect}: {feature ? 'a feature' : 'a fault'}"
            title="a fault, or a feature of this piece?"
            onclick={() => turn(defect)}>{defect}{feature ? ', a feature' : ''}</button
          >
          <button
            class="rounded-r-full border border-l-0 border-rule-strong px-2.5 py-1 text-[0.9rem] hover:border-cinnabar"
            aria-label="Take out {defect}"
            onclick={() => takeOut(defect)}>×</button
          >
        </li>
      {/each}
    </ul>
  {/if}
</div>
