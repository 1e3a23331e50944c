import { leadingPart, sizedByPart } from '$core/propose';
import type { Problem } from '$core/problem';
import { coloursOf, planToMake, potsApart, startingColours, techniquesIn } from '$core/edit';
import { formulaOf, materials, type Base } from '$core/material';
import type { Mould } from '$core/mould';
import type { Plan } from '$core/plan';
import type { Technique } from '$core/pour';
import type { Shelf } from '$core/shelf';
import { newId } from '../id';

/** What a plan was last made with. */
interface Last {
  mouldId?: string | undefined;
  baseId?: string | undefined;
  colourantIds?: readonly string[] | undefined;
}

/** A mould to draw in while none is on the shelf yet: a round coaster. */
const STAND_IN: Mould = {
  id: 'stand-in',
  name: 'coaster',
  material: 'silicone',
  finish: 'gloss',
  notes: '',
  cavities: [
    {
      id: 'piece',
      name: 'coaster',
      count: 1,
      shape: { kind: 'cylinder', radius: 48, depth: 9 },
      capacity: { from: 'dimensions' }
    }
  ]
};

/** The few answers that a plan cannot do without, with what was used last filled in, and the plans they come to. */
export class ToBegin {
  readonly #shelf: () => Shelf;
  readonly #last: () => Last;
  #mouldId = $state<string>();
  #baseId = $state<string>();
  #techniqueId = $state<string>();
  /** Colours as they were chosen, and for which technique. */
  #colours = $state.raw<{ of: string | undefined; ids: readonly string[] }>();
  good = $state<number>();
  /** Bars that each casting is cut into. */
  bars = $state<number>();
  /** Grams of the material’s leading part to start from, in place of a full mould. */
  grams = $state<number>();

  constructor(shelf: () => Shelf, last: () => Last) {
    this.#shelf = shelf;
    this.#last = last;
  }

  get shelf(): Shelf {
    return this.#shelf();
  }
  /** The mould that is chosen; none while the shelf has none. */
  readonly mould = $derived.by((): Mould | undefined => {
    const { moulds } = this.#shelf();
    const asked = this.#mouldId ?? this.#last().mouldId;
    return moulds.find((m) => m.id === asked) ?? moulds[0];
  });
  readonly base = $derived.by((): Base | undefined => {
    const { bases } = this.#shelf();
    const asked = this.#baseId ?? this.#last().baseId;
    return bases.find((b) => b.id === asked) ?? bases[0];
  });
  /** What may be started from instead of the mould: the oils of a soap, the cement of a concrete. */
  readonly leading = $derived.by(() => {
    const formula = this.base && formulaOf(this.base);
    return formula?.ok ? leadingPart(formula.value) : undefined;
  });
  /** Whether what is cast is cut in bars. */
  readonly cuts = $derived.by(() => !!this.base && materials.has(this.base.kind, 'is cut in bars'));
  /** Techniques that are done in the material. */
  readonly techniques = $derived.by((): readonly Technique[] => (this.base ? techniquesIn(this.base) : []));
  readonly technique = $derived.by(
    () => this.techniques.find((t) => t.id === this.#techniqueId) ?? this.techniques[0]
  );
  /** Pots that suit the material, in an order that is told apart. */
  readonly pots = $derived.by(() => (this.base ? potsApart(this.base, this.#shelf().colourants) : []));

  /** The colours of the technique: as chosen for it, else by what its cups are, as chosen for another, as last used, or as told apart. */
  colours(technique: Technique): readonly string[] {
    // An empty id is a cup left as the material is.
    const fits = (id: string) => !id || this.pots.some((p) => p.id === id);
    const own = (this.#colours?.ids ?? this.#last().colourantIds ?? []).filter(fits);
    const others = this.pots.map((p) => p.id).filter((id) => !own.includes(id));
    const count = Math.max(this.#colours?.ids.length ?? coloursOf(technique), technique.least);
    if (this.#colours?.of === technique.id || !this.base) return [...own, ...others].slice(0, count);
    return startingColours(technique, this.base, [...own.filter(Boolean), ...others], count);
  }

  choose(what: { technique?: string; mould?: string; base?: string }): void {
    if (what.technique) this.#techniqueId = what.technique;
    if (what.mould) this.#mouldId = what.mould;
    if (what.base) this.#baseId = what.base;
  }

  setColours(ids: readonly string[]): void {
    this.#colours = { of: this.technique?.id, ids };
  }

  /** The plan of a technique with these answers; in the stand-in's mould while there is none. */
  plan(technique: Technique, id = 'drawn'): { plan: Plan; shelf: Shelf } | undefined {
    const mould = this.mould ?? STAND_IN;
    const shelf = this.mould ? this.#shelf() : { ...this.#shelf(), moulds: [STAND_IN] };
    if (!this.base) return undefined;
    const plan = planToMake(shelf, {
      id,
      techniqueId: technique.id,
      mouldId: mould.id,
      baseId: this.base.id,
      good: this.good ?? (mould.cavities[0]?.count ?? 1) * (this.#bars ?? 1),
      colourantIds: this.colours(technique),
      cutInto: this.#bars
    });
    return plan && { plan, shelf };
  }

  get #bars(): number | undefined {
    return this.cuts ? this.bars : undefined;
  }

  /** The plan of the chosen technique, of as much as was asked; what is wrong with that beside it. */
  sized(id = 'drawn'): { plan: Plan; shelf: Shelf; problem?: Problem } | undefined {
    const whole = this.technique && this.plan(this.technique, id);
    if (!whole || !this.base || !this.leading || !this.grams) return whole;
    const sized = sizedByPart(whole.plan, whole.shelf, this.base, this.grams);
    return sized.ok ? { ...whole, plan: sized.value } : { ...whole, problem: sized.problem };
  }

  /** The plan as it is kept. */
  made(): { plan: Plan; shelf: Shelf } | undefined {
    const made = this.mould && this.sized(newId());
    return made && !made.problem ? made : undefined;
  }
}
