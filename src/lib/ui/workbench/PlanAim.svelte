<!-- The picture a plan was asked by, laid over its pour as drawn. -->
<script lang="ts">
  import type { Plan } from '$core/plan';
  import { uprighted } from '$core/photo';
  import { paintUpright, readPhoto } from '../../photo/read-photo';
  import LaidOver from '../photo/LaidOver.svelte';

  let {
    aim,
    drawn
  }: {
    aim: NonNullable<Plan['aim']>;
    /** Where the pour is fetched from as a picture. */
    drawn: string;
  } = $props();
  const ROOT = 360;
  const fetched = async (address: string) => {
    const response = await fetch(address);
    if (!response.ok) throw new Error(`${address} answers ${response.status}`);
    return readPhoto(await response.blob());
  };
  const both = $derived(Promise.all([fetched(`/api/v1/photos/${aim.photo}`), fetched(drawn)]));
  const WHOLE = [
    { x: 0, y: 0 },
    { x: 1, y: 0 },
    { x: 1, y: 1 },
    { x: 0, y: 1 }
  ] as const;
</script>

<div class="mx-auto mt-1 w-[200px]" data-testid="aim">
  {#await both}
    <p class="text-ink-2" role="status">The picture is on its way.</p>
  {:then [photo, pour]}
    {@const aspect = pour.width / pour.height}
    <LaidOver
      words={['asked for', 'as drawn']}
      left={(c) => paintUpright(c, uprighted(photo, { ...aim, aspect }, ROOT))}
      right={(c) =>
        paintUpright(c, uprighted(pour, { corners: [...WHOLE], outline: aim.outline, aspect }, ROOT))}
    />
  {:catch}
    <p class="text-ink-2" role="status">The picture it was asked by does not come.</p>
  {/await}
</div>
