import type { ContentSvg } from 'pdfmake/interfaces';
import { render } from 'svelte/server';
import type { Computed, Plan } from '$core/plan';
import CoreDrawing from '../../ui/drawing/CoreDrawing.svelte';
import CupMark from '../../ui/drawing/CupMark.svelte';
import ScoreDrawing from '../../ui/drawing/ScoreDrawing.svelte';
import { printable } from './pdf';

/** The inks of the light theme (`app.css`), by the names that drawings use; the sheet itself is white. */
const INKS: Record<string, string> = {
  '--ink': '#1f2428',
  '--ink-2': '#5e574c',
  '--rule': '#d8cbb6',
  '--rule-strong': '#b9a98e',
  '--sheet': '#ffffff',
  '--mould': '#ddd1bd',
  '--sunk': '#e6dccb',
  '--verdigris': '#1b6657',
  '--verdigris-soft': '#cfe0d8',
  '--ochre': '#8a5a08',
  '--ochre-soft': '#f6ecd3',
  '--cinnabar': '#a62f23',
  '--cinnabar-soft': '#f5e3dc'
};

function inkOf(name: string): string {
  const ink = INKS[name];
  if (ink === undefined) throw new Error(`A drawing uses ${name}, which no sheet has an ink for.`);
  return ink;
}

/** A letter is filled over its halo, which a PDF would draw on top: the halo goes first, as a letter of its own. */
function haloed(letter: string): string {
  const halo = / stroke="([^"]*)"/.exec(letter)?.[1] ?? 'none';
  const under = letter.replace(/ fill="[^"]*"/, ` fill="${halo}"`);
  return under + letter.replace(/ stroke(?:-width)?="[^"]*"/g, '');
}

/**
 * A drawing of a page as one for a PDF: its inks by value, its comments and classes away.
 */
function plainSvg(body: string): string {
  const svg = body.slice(body.indexOf('<svg'), body.lastIndexOf('</svg>') + 6).replace(/<!--.*?-->/gs, '');
  return printable(svg)
    .replace(/var\((--[\w-]+)\)/g, (_, name: string) => inkOf(name))
    .replace(/<text[^>]*paint-order[^>]*>[^<]*<\/text>/g, haloed)
    .replace(/ (?:class|role|aria-label|data-testid|paint-order)="[^"]*"/g, '');
}

/** A cup’s letter on its colour and hatch. */
export function markOf({ letter, colour, hatch }: Computed['cups'][number], size = 13): ContentSvg {
  const { body } = render(CupMark, { props: { letter, colour, hatch, size } });
  return { svg: plainSvg(body), width: size };
}

/** The section through the cavities of a group. */
export function coreOf(
  computed: Computed,
  plan: Plan,
  group: Computed['groups'][number],
  width: number
): ContentSvg {
  const props = { group, cups: computed.cups, showFace: plan.showFace, width: 320, height: 200 };
  return { svg: plainSvg(render(CoreDrawing, { props }).body), width };
}

/** The score of the pour. */
export function scoreDrawn(computed: Computed, width: number): ContentSvg {
  const props = { computed, zoom: 'pour' as const, width: 756 };
  return { svg: plainSvg(render(ScoreDrawing, { props }).body), width };
}
