import { aboutStep, gated, type Done, type Rule } from './rule';

/** How much lighter what is poured over ink has to look for the ink to show in it, of 0..1. */
const LIGHTER = 0.12;
/** Hours after which ink has cured in with its layer, where no state is waited for. Usual practice. */
const CURED_HOURS = 12;

/** A lighter colour poured over ink that has not cured: the ink bleeds up into it. */
export const inkBleeds: Rule = (s) =>
  s.steps.flatMap((over, i) => {
    const [cup] = pouredBy(over).map(s.cup);
    if (!cup || cup.ink || !over.traits.includes('levels')) return [];
    const inked = s.steps.slice(0, i).findLast((d) => pouredBy(d).some((id) => s.cup(id).ink));
    const [ink] = inked
      ? pouredBy(inked)
          .map(s.cup)
          .filter((c) => c.ink)
      : [];
    if (!inked || !ink || cup.lightness < ink.lightness + LIGHTER || isCured(inked, over)) return [];
    return [
      {
        code: 'ink-bleeds',
        level: 'warn',
        ...aboutStep(over),
        sentence: `${cup.name} is poured over ${ink.name}, which is coloured with ink: it bleeds up into the lighter colour.`,
        mend: 'Wait until the ink is cured in, or pour the light colour first.',
        fixes: [
          {
            words: `Wait ${CURED_HOURS} h after it`,
            edit: gated(s, over, {
              kind: 'since',
              zero: { stepDone: inked.step.id },
              minutes: CURED_HOURS * 60
            })
          }
        ]
      }
    ];
  });

/** The cups that a step pours. */
const pouredBy = (d: Done): string[] => (d.definition.amount ? d.definition.cups(d.act) : []);

/** Whether so long passes, or a firm state is waited for, between ink and what goes over it. */
const isCured = (inked: Done, over: Done): boolean =>
  (inked.to !== undefined && over.from !== undefined && over.from - inked.to >= CURED_HOURS * 60 - 1) ||
  over.step.gates.some((g) =>
    g.all.some(
      (c) =>
        (c.kind === 'state' && c.state === 'firm') || (c.kind === 'since' && c.minutes >= CURED_HOURS * 60)
    )
  );
