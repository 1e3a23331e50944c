import {
  filmReflectance,
  flat,
  hidingThickness,
  labOf,
  lookOf,
  mixtureOf,
  tintingStrength,
  PLAIN_BASE
} from '$core/colour';
import { concentrationsOf } from '$core/dosing';
import { compatibilityOf, formulaOf, limitOf, type Base, type Colourant } from '$core/material';
import { carrierWords, startingLibrary } from '$core/shelf';

/** The strengths at which a colourant is shown, percent as supplied. */
export const STRENGTHS = [0.1, 0.3, 1, 3];
/** How thick the shown layers are, mm, and the white card they lie on. */
const LAYER = 2;
const WHITE = flat(0.85);

/** One colourant as the list of colours shows it in a material. */
export interface ColourRow {
  id: string;
  name: string;
  colour: string;
  form: Colourant['form'];
  /** Form, strength and carrier. */
  words: string;
  /** Whether its colour was measured here or is where the library starts. */
  starts: boolean;
  most: ReturnType<typeof limitOf>;
  fits: ReturnType<typeof compatibilityOf>;
  /** Thickness that hides what is behind it at 1 %, mm; null where it never does. */
  hides: number | null;
  /** How much darker it makes white than a common brown oxide, percent for percent. */
  strength: number;
  /** How a thin layer looks over white at each strength; whether a screen can show it. */
  seen: { hex: string; onScreen: boolean }[];
}

/** Every colourant in a material: how it looks, what it hides, how strong it is, how much of it may be used. */
export function colourTable(colourants: readonly Colourant[], base: Base | undefined): ColourRow[] {
  const formula = base ? formulaOf(base) : undefined;
  const material = base?.kind ?? PLAIN_BASE.kind;
  const look = {
    kind: material,
    colour: base?.colour ?? '#f1ede0',
    density: formula?.ok ? formula.value.density : 1.1
  };
  const mixed = (colourant: Colourant, supplied: number) => {
    const percent = formula?.ok
      ? concentrationsOf(formula.value, [{ colourant, percent: supplied, of: 'supplied' }])[0]!
      : supplied;
    return mixtureOf({ base: look, doses: [{ colourant, percent }] });
  };
  // Strength is told beside a common brown oxide, as the starting library has it.
  const reference = startingLibrary.colourants.find((c) => c.id === 'brown-paste')!;
  return colourants.map((c): ColourRow => {
    const hides = hidingThickness(mixed(c, 1));
    return {
      id: c.id,
      name: c.name,
      colour: c.colour,
      form: c.form,
      words: formWords(c),
      starts: !c.colourFrom,
      most: limitOf(c, material),
      fits: compatibilityOf(c.form, material),
      hides: Number.isFinite(hides) ? hides : null,
      strength: tintingStrength(c, reference),
      seen: STRENGTHS.map((percent) => {
        const { hex, onScreen } = lookOf(labOf(filmReflectance(mixed(c, percent), LAYER, WHITE)));
        return { hex, onScreen };
      })
    };
  });
}

const formWords = (c: Colourant): string =>
  `${c.form}${c.pigmentFraction < 1 ? `, ${Math.round(c.pigmentFraction * 100)} %` : ''}${
    c.carrier === 'none' ? '' : ` in ${carrierWords(c.carrier)}`
  }`;
