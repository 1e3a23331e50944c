import { candidatesFor, matchColour, type MatchAnswer } from '../../colour';
import { cupNameOf, planToMake, recipeOf } from '../../edit';
import { ofTheirOwn, type Plan } from '../../document';
import { formulaOf, type Base } from '../../material';
import { usualHeading } from '../../mould';
import { traitsOf, type Areas, type SeenColour } from '../../photo';
import { askingFace, cupsOnFace, pieceOf, type CupsOnFace, type Face } from '../../piece';
import { materialsFor, TECHNIQUES, type Technique } from '../../pour';
import type { Shelf } from '../../shelf';
import { inSpreads, library, ranked, worthShowing, ALIKE, type Ranked } from './library';
import { assigned, sharesByZone } from './assigned';

/** What is asked: the face seen, and what it is to be made in. */
export interface AskedByPicture {
  areas: Pick<Areas, 'width' | 'height' | 'labels' | 'colours'>;
  shelf: Shelf;
  mouldId: string;
  baseId: string;
  /** A name for the plans that come of it. */
  id: string;
}

/** A colour that is wanted, the cup it went into, and what it comes to there. */
export interface ColourPoured {
  cupId: string;
  wanted: SeenColour;
  /** What is drawn of it, 0..1. */
  drawn: number;
  /** Difference of its recipe from what is wanted, ΔE; none where nothing on the shelf comes near. */
  deltaE?: number;
}

/** A pour that comes near to a picture. */
export interface PouredLike {
  techniqueId: string;
  distance: number;
  /** Whether it is like it: otherwise it is only the nearest there is. */
  isAlike: boolean;
  plan: Plan;
  face: Face;
  colours: ColourPoured[];
  alike: Likeness[];
  unlike: Likeness[];
  /** Still sought: what is shown so far is coarse. */
  coarse: boolean;
}

/** In what faces are compared. */
const LIKENESSES = [
  'how fine it is',
  'its parts',
  'its borders',
  'rings and rays',
  'its bands',
  'the shares of its colours'
] as const;
export type Likeness = (typeof LIKENESSES)[number];

/** Traits each of them is made of: how many of the traits in their order. */
const TRAITS_OF = [18, 13, 11, 7, 5, 5] as const;

/** Colours that a pour is made of at most; more are drawn together with their nearest by the maker. */
const MOST_COLOURS = 6;
/** Pixels to the root of a face that is compared. */
const ROOT = 96;
/** Pours tried for the shares: straight first, then a few by chance. */
const TRIES = 14;
/** A colour that is to be seen hides within so many mm. */
const A_LAYER = 4;

/**
 * Pours that come near to a picture: the techniques whose faces are most like it, each with as many cups as it has colours,
 * the recipes that come nearest, and its amounts changed until each colour shows as much as is wanted. Offers what it has after
 * every step; coarse first.
 */
export function* pouringLike(asked: AskedByPicture): Generator<PouredLike[], PouredLike[]> {
  const { shelf, baseId, areas } = asked;
  const base = shelf.bases.find((b) => b.id === baseId);
  if (!base) return [];
  const colours = areas.colours.slice(0, MOST_COLOURS);
  const traits = traitsOf(areas);
  const quick = colours.map((c) => easiest(matches(c, base, shelf, FIRST_POTS)));
  const found: PouredLike[] = [];
  for (const technique of worthShowing(possible(traits, base))) {
    const made = coarsely(asked, { technique, colours, recipes: quick, traits });
    if (made) found.push(made);
    yield [...found];
  }
  const recipes = colours.map((c, i) =>
    easiest([...(quick[i] ? [quick[i]] : []), ...matches(c, base, shelf, MOST_POTS)])
  );
  for (const [i, made] of found.entries()) {
    // A recipe changes the flow: it is drawn anew.
    const own = poured(made, shelf, { colours, recipes });
    found[i] = lookedAt(own, drawnOf(own.plan, shelf, own.face), traits);
    yield [...found];
    found[i] = yield* refined(found[i]!, asked, { traits, soFar: found });
    yield [...found];
  }
  return found;
}

/** Techniques by how near their faces come, of those done in a material. */
const possible = (traits: readonly number[], { kind }: Base): Ranked[] =>
  ranked(traits).filter(({ techniqueId }) => {
    const technique = TECHNIQUES.find((t) => t.id === techniqueId);
    return technique !== undefined && materialsFor(technique).some((m) => m.kind === kind);
  });

interface Making {
  technique: Ranked;
  colours: readonly SeenColour[];
  recipes: readonly (MatchAnswer | undefined)[];
  traits: readonly number[];
}

/** A pour of a technique's template in those colours, before its amounts are sought. */
function coarsely(
  asked: AskedByPicture,
  { technique: { techniqueId, distance }, colours, recipes, traits }: Making
): PouredLike | undefined {
  const { shelf, mouldId, baseId, areas } = asked;
  const technique = TECHNIQUES.find((t) => t.id === techniqueId)!;
  const count = cupsFor(technique, colours.length);
  const blank = planToMake(shelf, {
    id: asked.id,
    techniqueId,
    mouldId,
    baseId,
    good: shelf.moulds.find((m) => m.id === mouldId)?.cavities[0]?.count ?? 1,
    colourantIds: Array.from({ length: count }, () => '')
  });
  const face = blank && faceOf(technique, blank, shelf);
  const drawn = blank && face && drawnOf(blank, shelf, face);
  if (!drawn) return undefined;
  // What the template shows of each cup, and where, says which colour belongs into which.
  const cups = blank.cups.filter((c) => 'mix' in c.from).map((c) => c.id);
  const into = assigned(
    colours.map((_, i) => sharesByZone(areas, i)),
    cups.map((id) =>
      sharesByZone(
        drawn,
        drawn.cups.findIndex((c) => c.cupId === id)
      )
    )
  );
  const made: PouredLike = {
    techniqueId,
    distance,
    isAlike: distance < ALIKE,
    plan: blank,
    face,
    colours: cups.flatMap((cupId, k) => {
      const i = into[k];
      return i === undefined ? [] : [{ cupId, wanted: colours[i]!, drawn: 0 }];
    }),
    alike: [],
    unlike: [],
    coarse: true
  };
  // At first sight it shows what its template shows, whatever a recipe does to the flow.
  return lookedAt(poured(made, shelf, { colours, recipes }), drawn, traits);
}

/** A pour with each colour's recipe in its cup, and how far off that is. */
function poured(
  made: PouredLike,
  shelf: Shelf,
  { colours, recipes }: Pick<Making, 'colours' | 'recipes'>
): PouredLike {
  const answerOf = ({ wanted }: ColourPoured) => recipes[colours.indexOf(wanted)];
  const into = new Map(made.colours.map((c) => [c.cupId, answerOf(c)]));
  return {
    ...made,
    plan: coloured(made.plan, shelf, into),
    colours: made.colours.map(({ deltaE: _, ...c }) => {
      const answer = answerOf(c);
      return answer ? { ...c, deltaE: answer.deltaE } : c;
    })
  };
}

const cupsFor = ({ cups, least }: Technique, colours: number): number =>
  Math.max(least, Math.min(colours, cups.at(-1) === '…' ? MOST_COLOURS : cups.length));

/** So many pots to a recipe: of few, what a first sight waits for. Triples cost three times what pairs do. */
const [FIRST_POTS, MOST_POTS] = [2, 3];
/** One more pot in a recipe is one more to weigh: it has to bring the colour so much nearer, ΔE. */
const A_POT = 1;
/** Kept under the most a material takes, so that rounding does not take it over. */
const BELOW = 0.98;
/** A cup of so many grams is weighed, to say which doses are too small for the scale. */
const A_CUP = 15;

/** Recipes of so many pots at most that come near a colour. */
function matches({ lab }: SeenColour, base: Base, shelf: Shelf, pots: number): MatchAnswer[] {
  const formula = formulaOf(base);
  if (!formula.ok) return [];
  const [scale] = [...shelf.scales].sort((a, b) => a.division - b.division);
  const { candidates, mostInAll } = candidatesFor(base, formula.value, shelf.colourants, {
    ...(scale ? { weighing: { batch: A_CUP, scale } } : {})
  });
  if (!candidates.length) return [];
  return matchColour({
    target: lab,
    base: { kind: base.kind, colour: base.colour, density: formula.value.density },
    candidates,
    mostInAll: BELOW * mostInAll,
    colourants: pots
  });
}

/** Of recipes the nearest that hides within a layer, of few pots; the nearest of all where none hides. */
function easiest(answers: readonly MatchAnswer[]): MatchAnswer | undefined {
  const hiding = answers.filter((a) => a.hides !== null && a.hides <= A_LAYER);
  const costOf = (a: MatchAnswer) => a.deltaE + A_POT * a.lines.length;
  return [...(hiding.length ? hiding : answers)].sort((a, b) => costOf(a) - costOf(b))[0];
}

/** The plan with each colour's recipe in its cup, called after the pot that most of it is. */
function coloured(
  plan: Plan,
  { colourants }: Shelf,
  into: ReadonlyMap<string, MatchAnswer | undefined>
): Plan {
  const names = new Map<string, number>();
  const called = ({ lines }: MatchAnswer): string => {
    const most = lines.reduce((a, b) => (b.percent > a.percent ? b : a), lines[0]!);
    const pot = colourants.find((c) => c.id === most.colourantId);
    const name = pot ? cupNameOf(pot) : 'colour';
    const n = (names.get(name) ?? 0) + 1;
    names.set(name, n);
    return n > 1 ? `${name} ${n}` : name;
  };
  return {
    ...plan,
    cups: plan.cups.map((cup) => {
      const answer = into.get(cup.id);
      if (!answer) return cup;
      const grams = answer.lines.map((l) => ({
        colourantId: l.colourantId,
        grams: l.percent,
        delivers: l.percent
      }));
      let n = 0;
      const recipe = recipeOf(
        { grams },
        answer.lines.map((l) => l.percent),
        () => `${cup.id}-colour-${++n}`
      );
      return { ...cup, name: called(answer), recipe };
    })
  };
}

/** The face that a technique's piece is looked at from. */
function faceOf({ pictured }: Technique, plan: Plan, shelf: Shelf): Face {
  const kind = pictured ?? plan.showFace;
  if (kind !== 'cut') return { kind };
  const group = plan.groups[0]!;
  const cavity = shelf.moulds
    .find((m) => m.id === group.mouldId)
    ?.cavities.find((c) => c.id === group.cavityId);
  const piece = cavity && pieceOf(plan, shelf, {}, {});
  const half = piece?.traced.prism.shaped.section.half ?? { width: 1, length: 1 };
  return { kind: 'cut', heading: usualHeading(half), off: 0 };
}

const drawnOf = (plan: Plan, shelf: Shelf, face: Face): CupsOnFace | undefined => {
  const piece = pieceOf(plan, shelf, {}, {});
  return piece && cupsOnFace(piece, face, ROOT);
};

/** A pour with what it shows of each colour, and in what it is like the picture. */
function lookedAt(made: PouredLike, drawn: CupsOnFace | undefined, traits: readonly number[]): PouredLike {
  if (!drawn) return made;
  const counts = drawn.cups.map((_, i) => drawn.labels.filter((l) => l === i).length);
  const all = Math.max(
    1,
    counts.reduce((s, n) => s + n, 0)
  );
  const shareOf = (cupId: string) => (counts[drawn.cups.findIndex((c) => c.cupId === cupId)] ?? 0) / all;
  const own = traitsOf({
    ...drawn,
    colours: drawn.cups.map((c, i) => ({ lab: { l: 0, a: 0, b: 0 }, hex: c.hex, share: counts[i]! / all }))
  });
  return {
    ...made,
    colours: made.colours.map((c) => ({ ...c, drawn: shareOf(c.cupId) })),
    ...likenesses(traits, own)
  };
}

/** Below and above so many spreads, in the middle of its traits, a likeness is one, or is none. */
const [LIKE, UNLIKE] = [1, 2];

/** In what two faces are alike and in what they are not. */
function likenesses(one: readonly number[], other: readonly number[]): Pick<PouredLike, 'alike' | 'unlike'> {
  const [p, q] = [inSpreads(library, one), inSpreads(library, other)];
  let from = 0;
  const off = TRAITS_OF.map((n) => {
    const far = p.slice(from, from + n).map((v, i) => Math.abs(v - q[from + i]!));
    from += n;
    return far.reduce((s, v) => s + v, 0) / n;
  });
  return {
    alike: LIKENESSES.filter((_, i) => off[i]! < LIKE),
    unlike: LIKENESSES.filter((_, i) => off[i]! > UNLIKE)
  };
}

/** The pour with its amounts sought, so that each colour shows as much as is wanted; what came no nearer is not taken. */
function* refined(
  made: PouredLike,
  { shelf }: AskedByPicture,
  { traits, soFar }: { traits: readonly number[]; soFar: readonly PouredLike[] }
): Generator<PouredLike[], PouredLike> {
  const group = ofTheirOwn(made.plan.groups)[0] ?? made.plan.groups[0]!;
  const all = made.colours.reduce((s, c) => s + c.wanted.share, 0);
  const search = askingFace(made.plan, shelf, {
    groupId: group.id,
    face: made.face,
    wishes: made.colours.map(({ cupId, wanted }) => ({
      cupId,
      zone: 'all of it',
      share: wanted.share / all
    })),
    tries: TRIES
  });
  for (;;) {
    const { value, done } = search.next();
    if (done)
      return lookedAt(
        { ...made, plan: value.plan, coarse: false },
        drawnOf(value.plan, shelf, made.face),
        traits
      );
    yield [...soFar];
  }
}
