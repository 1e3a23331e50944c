import type { Casting } from '../pattern';
import type { Amount } from '../document';
import type {
  ActDefinition,
  ActGroup,
  ActStep,
  ActWords,
  Applied,
  Changed,
  Edges,
  Minutes,
  Naming,
  Pouring,
  Trait
} from './act';
import { actSchema, type ActOf, type Fields } from './fields';
import type { Poured } from './flowing';
import type { Measured } from './measured';
import { poured } from './pouring';
import type { Diagnostic } from '../problem';
import type { CavityState } from './cavity-state';

/** What one act tells of itself; the rest follows from its fields. */
interface ActSpec<K extends string, F extends Fields> {
  kind: K;
  /** How it is called on the screens. */
  name: string;
  group: ActGroup;
  fields: F;
  /** Other words a maker may look for it by. */
  also?: readonly string[];
  traits?: readonly Trait[] | ((act: ActOf<K, F>) => readonly Trait[]);
  /** Hands' minutes where the maker gives none: for each cavity, and once. */
  usually?: { each?: number; once?: number };
  /** Hands' minutes that the act itself says, done once, where the maker gives none. */
  keeps?(act: ActOf<K, F>): number;
  /** Minutes that pass by themselves, done once. */
  passes?(act: ActOf<K, F>): number;
  measures?(act: ActOf<K, F>, of: Measured): string | undefined;
  words(act: ActOf<K, F>, names: Naming): ActWords;
  /** The cavity afterwards, where it is not what its cup and amount make of it. */
  apply?(act: ActOf<K, F>, stand: CavityState, step: ActStep): Changed;
  edges?: Edges;
  varies?: string;
  lasts?(act: ActOf<K, F>): 'levels' | 'sets';
  rules?(act: ActOf<K, F>, stand: CavityState, step: ActStep): Diagnostic[];
  flow?(act: ActOf<K, F>, casting: Casting, poured: Poured): void;
}

/**
 * An act from its fields: its schema, how it is first put into a plan, which cups it names, what it draws and how long it
 * takes all follow from them. What pours has a cup (`cupId`) and an `amount`; what is done again has `times` and `every`.
 */
export function defineAct<const K extends string, F extends Fields>(
  spec: ActSpec<K, F>
): ActDefinition<ActOf<K, F>> {
  type Act = ActOf<K, F>;
  const { kind, fields } = spec;
  const cups = Object.keys(fields).filter((key) => fields[key]!.asked.is === 'cup');
  const pours = fields.amount !== undefined && cups.length > 0;
  const value = (act: Act, key: string) => (act as Record<string, unknown>)[key];
  const change = spec.apply ?? (pours ? pour : leave);
  // The types of a kind and of its fields meet here, where TypeScript cannot see that they are one.
  return {
    kind,
    name: spec.name,
    group: spec.group,
    fields,
    also: spec.also ?? [],
    traits:
      typeof spec.traits === 'function'
        ? spec.traits
        : () => (spec.traits as readonly Trait[] | undefined) ?? [],
    schema: actSchema(kind, fields),
    fresh: (cupId: string) =>
      Object.fromEntries([
        ['kind', kind],
        ...Object.entries(fields).flatMap(([key, f]) => {
          const usual = f.asked.is === 'cup' ? cupId : f.usual;
          return usual === undefined ? [] : [[key, usual]];
        })
      ]) as Act,
    cups: (act: Act) => [...new Set(cups.flatMap((key) => (value(act, key) as string | undefined) ?? []))],
    changed: (act: Act, change: { cup?: (id: string) => string; amount?: Amount }) => ({
      ...act,
      ...(change.cup
        ? Object.fromEntries(
            cups.flatMap((key) =>
              value(act, key) === undefined ? [] : [[key, change.cup!(value(act, key) as string)]]
            )
          )
        : {}),
      ...(change.amount && fields.amount ? { amount: change.amount } : {})
    }),
    ...(fields.amount ? { amount: (act: Act) => value(act, 'amount') as Amount } : {}),
    apply(act: Act, stand: CavityState, step: ActStep): Applied {
      const after = change(act, stand, step);
      // What pours draws what lies there now and did not before.
      const laid = pours ? after.stand.layers.slice(stand.layers.length) : [];
      return { ...after, draws: laid.map((l) => ({ cupId: l.cupId, ml: l.each })) };
    },
    hands: (act: Act, step: Pick<ActStep, 'hands'>, cavities: number) => handsOf(spec, act, step, cavities),
    words: spec.words,
    ...(spec.measures ? { measures: spec.measures } : {}),
    ...(spec.edges ? { edges: spec.edges } : {}),
    ...(spec.varies === undefined ? {} : { varies: spec.varies }),
    ...(spec.lasts ? { lasts: spec.lasts } : {}),
    ...(spec.rules ? { rules: spec.rules } : {}),
    ...(spec.flow ? { flow: spec.flow } : {})
  } as unknown as ActDefinition<Act>;
}

const leave = (_: unknown, stand: CavityState): Changed => ({ stand, problems: [] });
const pour = (act: unknown, stand: CavityState, step: ActStep): Changed =>
  poured(act as Pouring, stand, step);

/** Minutes of an act: so many for each cavity and once, as often as it is done, with the time between. */
function handsOf<K extends string, F extends Fields>(
  { usually = {}, keeps, passes }: ActSpec<K, F>,
  act: ActOf<K, F>,
  { hands }: Pick<ActStep, 'hands'>,
  cavities: number
): Minutes {
  const { times = 1, every = 0 } = act as { times?: number; every?: number };
  const once =
    (hands?.once ?? keeps?.(act) ?? usually.once ?? 0) + cavities * (hands?.each ?? usually.each ?? 0);
  const own = passes?.(act) ?? 0;
  // Between two times the hands are free for what is left of the time apart.
  const between = Math.max(0, every - once - own);
  return { attended: times * once, unattended: times * own + (times - 1) * between };
}
