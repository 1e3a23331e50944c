import { materials, type Form, type MaterialTrait } from '../material';
import type { Plan } from '../document';
import { acts, type Trait } from '../pour';
import type { Shelf } from '../shelf';
import { DEFECTS, type Defect } from './piece';

/** When a defect is one that a piece of a plan may show: any of these is enough; of a defect that is not named here always. */
interface Where {
  /** What its material is like. */
  material?: readonly MaterialTrait[];
  /** What is done to it. */
  act?: readonly Trait[];
  /** Several colours meet in it. */
  colours?: true;
  /** Something is poured onto something else. */
  layers?: true;
  /** A form of colourant is in it. */
  colourant?: readonly Form[];
}

/** Where each defect belongs: usual practice of each material, by what it is like and what is done to it. */
const WHERE: Partial<Record<Defect, Where>> = {
  'muddy blend': { colours: true },
  'colours read as one': { colours: true },
  'colours run together': { colours: true },
  'sunken glitter': { act: ['strewn', 'dusts'], colourant: ['glitter'] },
  'floated or drowned embed': { act: ['embeds'] },
  'colour dragged over an embed': { act: ['embeds'] },
  'embed cut or uncovered': { act: ['embeds'] },
  'blotted lines': { act: ['bagged', 'drags'] },
  'lost lines or bare patches': { act: ['bagged', 'dusts', 'parts', 'refills'] },
  'sweat marks': { material: ['dries in air', 'melts again'] },
  'water marks': { material: ['dries in air'] },
  'tacky or soft': { material: ['heats itself', 'injected hot', 'makes moulds', 'goes by trace'] },
  overheated: { material: ['heats itself', 'melts again', 'goes by trace'] },
  'ash bloom': { material: ['ashes'] },
  'separated layers': { layers: true },
  'layer broke through': { layers: true },
  'sunk sprue or dent': { material: ['draws in the sprue'], act: ['tops the sprue'] },
  yellowed: { material: ['heats itself', 'counts its heats', 'yellows and shrinks'] },
  'washed-out stain': { act: ['stains'] },
  'sealed too early': { act: ['seals'] },
  'haze from a matte mould': { material: ['takes the gloss', 'cures clear'] },
  'no cells': { act: ['digs'], material: ['runs thin'] },
  'white took over': { colours: true },
  'ink faded or spread': { colourant: ['ink'] },
  'unclear edges or numbers': { act: ['sands', 'mills', 'refills', 'stains'] },
  'milled away or peeled out': { act: ['mills', 'refills'] },
  'oily, streaked or crumbly': { material: ['goes by trace'] },
  'mica or glitter where none should be': { act: ['dusts', 'strewn'], colourant: ['mica', 'glitter'] }
};

/** The defects that pieces of a plan may show, by their materials and by what is done to them, in the order a maker meets them. */
export function defectsOf(plan: Plan, shelf: Shelf): Defect[] {
  const kinds = shelf.bases.filter((b) => plan.mixes.some((m) => m.baseId === b.id));
  const material = new Set(kinds.flatMap((b) => materials.of(b).traits));
  const steps = plan.steps.filter((s) => !s.muted);
  const act = new Set(steps.flatMap((s) => acts.traits(s.act)));
  const used = new Set(plan.cups.flatMap((c) => c.recipe.map((r) => r.colourantId)));
  const colourant = new Set(shelf.colourants.filter((c) => used.has(c.id)).map((c) => c.form));
  const pours = steps.filter((s) => {
    const known = acts.read(s.act);
    return known?.definition.amount?.(known.act) !== undefined;
  }).length;
  const isThere = (where: Where): boolean =>
    (where.material ?? []).some((t) => material.has(t)) ||
    (where.act ?? []).some((t) => act.has(t)) ||
    (where.colourant ?? []).some((k) => colourant.has(k)) ||
    (where.colours === true && plan.cups.length > 1) ||
    (where.layers === true && pours > 1);
  return DEFECTS.filter((d) => {
    const where = WHERE[d];
    return !where || isThere(where);
  });
}
