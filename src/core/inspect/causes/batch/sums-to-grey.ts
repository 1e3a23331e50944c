import type { Lab } from '../../../colour';
import { wetRuns } from '../../../plan';
import { strongest, type Cause, type Pointed } from '../cause';

/** Chroma from which a colour is one, and the share of the colours’ own below which their mixture reads as grey. Starting figures. */
const COLOURED = 15;
const GREY = 0.4;

const chromaOf = ({ a, b }: Lab): number => Math.hypot(a, b);

/** One of several cups that were fluid together, and how much of it. */
interface Share {
  id: string;
  lab: Lab;
  ml: number;
}

/** Colours whose mixture has none: those that were fluid together in one cavity. */
export const sumsToGrey: Cause = {
  id: 'sums-to-grey',
  defects: ['muddy blend'],
  evidence(c) {
    const own = c.frozen.computed.groups.filter((g) => g.groupId === c.groupId);
    return strongest(
      own.flatMap((g) =>
        wetRuns(g.layers, (l) => l.gated).flatMap((run) =>
          greyOf(run.map((l) => ({ id: l.cupId, lab: l.look.lab, ml: l.each })))
        )
      )
    );
  }
};

function greyOf(cups: readonly Share[]): Pointed[] {
  const ml = cups.reduce((s, x) => s + x.ml, 0);
  const mean = (of: (lab: Lab) => number) =>
    cups.reduce((s, x) => s + of(x.lab) * x.ml, 0) / Math.max(1e-9, ml);
  const together = Math.hypot(
    mean((lab) => lab.a),
    mean((lab) => lab.b)
  );
  const alone = mean(chromaOf);
  const coloured = new Set(cups.filter((x) => chromaOf(x.lab) >= COLOURED).map((x) => x.id));
  // White, black and one colour only pale each other: it takes two colours to cancel.
  if (coloured.size < 2 || together > alone * GREY) return [];
  return [
    {
      fact: `its ${coloured.size} colours have a chroma of ${alone.toFixed(0)} on the whole, mixed through one another ${together.toFixed(0)}`,
      strength: (alone * GREY - together) / alone,
      change: 'fewer colours, or colours that lie nearer to each other'
    }
  ];
}
