import { cards } from '../../demo/cards';
import { usualHeading } from '../../src/core/mould';
import { chanceFrom, normal, seedOf, type Chance } from '../../src/core/pattern';
import { areasOf, photographed, QUALITIES, traitsOf, uprighted } from '../../src/core/photo';
import { pieceOf, wholePicture, type Face } from '../../src/core/piece';
import { type Plan } from '../../src/core/plan';
import { type Technique } from '../../src/core/pour';
import { planOf, type Ink } from './own-ways';

/** Moulds whose faces are drawn: round, square and oblong. */
const MOULDS = ['roundel', 'square-tile', 'soap-dish'] as const;
/** Colours that are told apart in any light, in palettes that change their places. */
const COLOURS: readonly Ink[] = ['foam', 'heron', 'brick', 'ochre', 'black', 'samphire'];
/** How far amounts of a layout stray from its template, as a logarithm. */
const STRAY = 0.35;
/** Pixels of a drawn face, and of the photo's piece. */
const DRAWN = 180;
/** A face of one colour, or nearly, shows no pattern. */
const PLAIN = 0.96;

/** A face as it was drawn: from which technique, its pixels, and whether it is round. */
export interface DrawnPour {
  techniqueId: string;
  width: number;
  height: number;
  rgba: Uint8ClampedArray;
  outline: 'round' | 'square';
  /** What each cup shows of it, 0..1. */
  shows: number[];
}

/** One pour by a technique with amounts, places of colours and chance of its own; nothing where it shows no pattern. */
export function drawnPour(technique: Technique, layout: number): DrawnPour | undefined {
  const chance = chanceFrom(seedOf(`${technique.id} ${layout}`));
  const mould = MOULDS[layout % MOULDS.length]!;
  const most = technique.cups.at(-1) === '…' ? 4 : technique.cups.length;
  const cups = technique.least + Math.floor(chance() * (most - technique.least + 1));
  const inks = shuffled(COLOURS, chance).slice(0, Math.max(1, cups));
  const plan = strayed(planOf({ id: technique.id, mould, inks }), chance);
  const piece = pieceOf(plan, cards, {}, { seed: `${layout}` });
  if (!piece) return undefined;
  const face = facePictured(technique, plan, mould);
  const drawn = wholePicture(piece, face, { size: DRAWN });
  if (Math.max(0, ...drawn.shows.map((s) => s.share)) > PLAIN) return undefined;
  const round = mould === 'roundel' && face.kind !== 'cut';
  return {
    techniqueId: technique.id,
    ...turnedOver(drawn, chance),
    outline: round ? 'round' : 'square',
    shows: drawn.shows.map((s) => s.share)
  };
}

function facePictured(technique: Technique, plan: Plan, mould: string): Face {
  const kind = technique.pictured ?? plan.showFace;
  if (kind !== 'cut') return { kind };
  const cavity = cards.moulds.find((m) => m.id === mould)!.cavities[0]!;
  const { shape } = cavity;
  const [length, width] = 'rimLength' in shape ? [shape.rimLength, shape.rimWidth] : [1, 1];
  return { kind: 'cut', heading: usualHeading({ length, width }), off: 0 };
}

function shuffled<T>(of: readonly T[], chance: Chance): T[] {
  const left = [...of];
  return of.map(() => left.splice(Math.floor(chance() * left.length), 1)[0]!);
}

/** The amounts of a plan a little more or less, each by itself. */
const strayed = (plan: Plan, chance: Chance): Plan => ({
  ...plan,
  steps: plan.steps.map((s) => {
    const amount = s.act.amount as { kind: string; of?: number } | undefined;
    if (!amount || amount.kind !== 'share' || amount.of === undefined) return s;
    return {
      ...s,
      act: {
        ...s.act,
        amount: { ...amount, of: Math.min(0.6, amount.of * Math.exp(STRAY * normal(chance))) }
      }
    };
  })
});

/** A picture as it may lie on the table: as it is, on its head, turned over, or both. */
function turnedOver(
  { width, height, rgba }: { width: number; height: number; rgba: Uint8ClampedArray },
  chance: Chance
): Pick<DrawnPour, 'width' | 'height' | 'rgba'> {
  const [over, head] = [chance() < 0.5, chance() < 0.5];
  const turned = new Uint8ClampedArray(rgba.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const from = 4 * ((head ? height - 1 - y : y) * width + (over ? width - 1 - x : x));
      turned.set(rgba.subarray(from, from + 4), 4 * (y * width + x));
    }
  return { width, height, rgba: turned };
}

/** What a photo of a pour, so good, is like. */
export function traitsSeen(pour: DrawnPour, quality: keyof typeof QUALITIES, seed: number): number[] {
  const { photo, placed } = photographed(pour, { quality: QUALITIES[quality], seed, outline: pour.outline });
  return traitsOf(areasOf(uprighted(photo, placed, SEEN_AT)));
}

/** Pixels to the root of a face's area when it is compared with others. */
export const SEEN_AT = 96;

/** Colours that a reference is told by at most. */
const REFERENCE = 4;

/**
 * What the first pour of a technique shows of its colours, most first, 0..1: where the engine or the technique has changed
 * since faces were learnt, it shows something else. Empty where no pattern is drawn.
 */
export function referenceOf(technique: Technique): number[] {
  const shows = drawnPour(technique, 0)?.shows ?? [];
  return [...shows]
    .sort((a, b) => b - a)
    .slice(0, REFERENCE)
    .map((s) => Number(s.toFixed(3)));
}
