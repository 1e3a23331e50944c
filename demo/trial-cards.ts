import { lookOf, predictedCard, type BaseLook, type TrialCard } from '../src/core/colour';
import { formulaOf } from '../src/core/material';
import { cards } from './cards';

const DAY = 86_400_000;
const BASE = 'clear-slow';

/** How the pots on this shelf really are, beside their starting values: what the cards should find out. */
const REALLY = new Map([
  ['blue-paste', 1.3],
  ['white-paste', 0.85],
  ['brown-paste', 1.12],
  ['violet-paste', 0.9]
]);

/** Trial cards on Fenwick Sluice's wall: smears measured by daylight, a white ladder and one slip among them. */
export function demoTrialCards(now: number): TrialCard[] {
  const base = cards.bases.find((b) => b.id === BASE)!;
  const formula = formulaOf(base);
  if (!formula.ok) throw new Error(formula.problem.sentence);
  const look: BaseLook = { kind: base.kind, colour: base.colour, density: formula.value.density };
  const colourants = new Map(cards.colourants.map((c) => [c.id, c]));
  /** A card as it was measured; the reading of a colour is off by a little, as readings are. */
  const card = (
    id: string,
    name: string,
    lines: [string, number][],
    over: Partial<TrialCard> = {}
  ): TrialCard => {
    const plain: TrialCard = {
      id,
      name,
      baseId: BASE,
      lines: lines.map(([colourantId, percent]) => ({ colourantId, percent })),
      mm: 20,
      backing: 'deep',
      colour: '#000000',
      light: 'daylight',
      madeAt: now - 30 * DAY,
      note: '',
      ...over
    };
    const measured = predictedCard(plain, look, colourants, REALLY);
    const off = (id.length % 5) - 2;
    return {
      ...plain,
      colour:
        over.colour ??
        lookOf({ l: measured.l + 0.4 * off, a: measured.a - 0.3 * off, b: measured.b + 0.2 * off }).hex
    };
  };
  const heron: [string, number][] = [
    ['blue-paste', 0.6],
    ['white-paste', 1],
    ['brown-paste', 0.3]
  ];
  return [
    card('card-heron', 'heron', heron, { note: 'R. Bluer than the first batch.' }),
    card('card-heron-2', 'heron, paler', [
      ['blue-paste', 0.3],
      ['white-paste', 2]
    ]),
    card('card-mudflat', 'mudflat', [
      ['brown-paste', 2.4],
      ['white-paste', 0.4]
    ]),
    card('card-lavender', 'sea lavender', [
      ['violet-paste', 0.9],
      ['white-paste', 0.8]
    ]),
    card('card-wrong', 'heron, wrong pot?', heron, {
      colour: '#8a5a48',
      note: 'T. Looks like brick drain went in.'
    }),
    ...[0.5, 1, 2, 4, 6].flatMap((percent) =>
      (['black', 'white'] as const).map((backing) =>
        card(
          `ladder-${percent}-${backing}`,
          `white ladder ${percent} %, ${backing}`,
          [['white-paste', percent]],
          {
            backing,
            mm: 3
          }
        )
      )
    )
  ];
}
