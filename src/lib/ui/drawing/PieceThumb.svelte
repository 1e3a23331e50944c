<!-- A small picture of the piece that a plan or a run comes to, drawn by the server and kept there. -->
<script lang="ts">
  import type { ShowFace } from '$core/mould';

  let {
    of,
    at = 0,
    cavities,
    until,
    face,
    made,
    width
  }: {
    /** `plans/ID` or `runs/ID`. */
    of: string;
    /** The revision it is drawn from: a new one, a new picture. */
    at?: number;
    cavities?: string | undefined;
    /** The last step that is done in it; all of them when absent. */
    until?: string | undefined;
    /** The plan's show face when absent. */
    face?: ShowFace | undefined;
    /** A piece of a run by its number: drawn by what was really poured. */
    made?: number | undefined;
    /** Pixels on the page. */
    width: number;
  } = $props();

  const query = $derived(
    new URLSearchParams({
      size: String(width * 2),
      at: String(at),
      ...(cavities ? { cavities } : {}),
      ...(until ? { until } : {}),
      ...(face ? { face } : {}),
      ...(made === undefined ? {} : { by: 'what was poured', piece: String(made) })
    })
  );
</script>

<img
  src="/api/v1/{of}/picture?{query}"
  alt=""
  loading="lazy"
  decoding="async"
  class="thumb mx-auto block max-w-full object-contain"
  style="width:{width}px;height:{width}px"
  {width}
  height={width}
/>
