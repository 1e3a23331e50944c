import type { Problem } from '../problem';
import type { CavityKind, Mould } from './mould';
import { isOfMould, type ShowFace } from './show-face';

const STIFF = ['aluminium', 'HDPE', 'lined timber'];
/** Least lean at which a piece leaves a stiff mould without dragging, degrees. Typical of casting practice. */
const LEAST_STIFF = 1;
/**
 * How far walls may lean in while a soft mould still gives way, degrees; and how far where the mould face is to be seen,
 * which is then the wider one and is drawn through the narrower rim. Starting figures of our own, without a published source.
 */
const LEAST_SOFT = -20;
const LEAST_SHOWN = -5;

/** Whether a mould gives way to a piece. */
export const isStiff = ({ material }: Pick<Mould, 'material'>): boolean => STIFF.includes(material);

/** Which face of a piece may be the one that shows, by how its walls lean; degrees, below zero they lean in. */
export function mayShow(draft: number | undefined): string {
  if (draft === undefined) return 'Unknown: either face may show.';
  if (draft >= 0) return 'The open face is the wider one; either may show.';
  const lets = 'The mould face is the wider one; only a soft mould lets go';
  return draft < LEAST_SHOWN ? `${lets}, and the open face is the one to show.` : `${lets}.`;
}

/** Walls that lean in, or too little, for what the mould is made of and for the face that is to be seen. */
export function draftProblems(
  mould: Mould,
  { name, draft }: CavityKind,
  showFace: ShowFace,
  path: string
): Problem[] {
  if (draft === undefined) return [];
  const leans = `${name} leans ${draft < 0 ? '−' : ''}${Math.abs(draft)}° in a ${mould.material} mould`;
  const said = (why: string, mend: string): Problem[] => [
    { code: 'draft-grips', level: 'warn', path, sentence: `${leans}: ${why}.`, mend }
  ];
  const wider = 'its wider face is the mould face';
  if (isStiff(mould))
    return draft >= LEAST_STIFF
      ? []
      : said(
          `the piece grips, and ${draft < 0 ? wider : 'its walls drag'}`,
          'Give it 1° or more, or a mould that opens.'
        );
  if (draft < LEAST_SOFT)
    return said(`the piece grips, and ${wider}`, 'Use a mould that opens, or one whose walls lean out.');
  if (draft < LEAST_SHOWN && isOfMould(showFace))
    return said(
      `${wider}, which is to be seen and is drawn through the narrower rim`,
      'Show the open face, or use a mould whose walls lean out.'
    );
  return [];
}
