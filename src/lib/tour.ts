/** One stop of the tour: where it is, what to do there, what to look at, and how it is seen to be done. */
export interface Stop {
  at: string;
  title: string;
  says: string;
  /** What is ringed, as a selector. */
  ring?: string;
  /** Whether the page shows that it was done; without it one goes on by a tap. */
  done?: (page: Document) => boolean;
}

const PLAN = '/plans/tideline-knobs';
const REHEARSAL = '/rehearse/plan/tideline-knobs';

const field = (page: Document, label: string): string =>
  page.querySelector<HTMLInputElement>(`input[aria-label="${label}"]`)?.value ?? '';
const words = (page: Document, selector: string): string => page.querySelector(selector)?.textContent ?? '';

/** The first piece, on the real screens: from a change in the plan to a piece that is looked at. */
export const STOPS: readonly Stop[] = [
  {
    at: PLAN,
    title: 'Change one thing',
    says: 'Type 5 mm over 4 mm in the first layer and press Enter. Every gram, the picture and the timeline follow.',
    ring: 'input[aria-label="Amount of step 1"]',
    done: (page) => field(page, 'Amount of step 1').startsWith('5')
  },
  {
    at: PLAN,
    title: 'Take it back',
    says: 'Undo goes as far back as you like; nothing asks whether you are sure.',
    ring: 'button[aria-label="Undo"]',
    done: (page) => field(page, 'Amount of step 1').startsWith('4')
  },
  {
    at: PLAN,
    title: 'Ask the piece',
    says: 'Tap any place of the picture. It says which step put that colour there, and what moved it since.',
    ring: 'button[aria-label^="What is here?"]',
    done: (page) => words(page, '[data-testid="told"]').includes('from “')
  },
  {
    at: PLAN,
    title: 'Read the timeline',
    says: 'Time runs right: what your hands do, cup by cup, waits folded. The green band is how long the last cup stays pourable. It opens to one lane for each cup.',
    ring: 'section[aria-label="Timeline"]'
  },
  {
    at: '/plans/from-picture',
    title: 'Or ask by a picture',
    says: 'A photo of a stone, a shell or an earlier piece, its four corners, and the program looks for the pour that comes near. Try it with the one it has made itself.',
    ring: '[data-testid="made-picture"], main section'
  },
  {
    at: REHEARSAL,
    title: 'Rehearse it',
    says: 'The run’s own screen, with nothing on the bench and a clock you can hurry. Begin without mishaps.',
    ring: 'button.go',
    done: (page) => page.querySelector('[data-testid="now"]') !== null
  },
  {
    at: REHEARSAL,
    title: 'Confirm with Space',
    says: 'One thing at a time: a pedal or Space says it is done. Go on until the first cup is poured and it says to wait.',
    ring: '[data-testid="now"]',
    done: (page) => words(page, '[data-testid="now"]').trim().startsWith('Wait')
  },
  {
    at: REHEARSAL,
    title: 'Say what you feel',
    says: 'A wait opens by its clock, or by your fingertip before it: press T, say gelled, and confirm.',
    ring: '[data-testid="number"]',
    done: (page) => !words(page, '[data-testid="now"]').trim().startsWith('Wait')
  },
  {
    at: REHEARSAL,
    title: 'Too much went in',
    says: 'Type a weight about a fifth over the one it asks for, and press Enter. What is still to come follows; the other ways out stand beside it, and Undo takes it back.',
    ring: '[data-testid="now"]',
    done: (page) => page.querySelector('[data-testid="corrected"], [data-testid="colour-over"]') !== null
  },
  {
    at: '/',
    title: 'After the pour',
    says: 'The bench says what is due, how early and how late it may be, and what is in which mould.',
    ring: '[aria-label="Due"], main section'
  },
  {
    at: '/record/tideline-third',
    title: 'Look at the pieces',
    says: 'Grade a face, add a defect and place it: with G, S, R and the arrows a tray of forty takes minutes. A defect’s causes stand beside it, each with its fact.',
    ring: '[data-testid="inspect"]'
  },
  {
    at: '/record/tideline-third',
    title: 'Make it again',
    says: 'Repeat the same makes a plan of what really went in, for the same order; with changes it scales to another mould or count.',
    ring: '[data-testid="repeat"]'
  },
  {
    at: '/guide/first-piece',
    title: 'That was the round',
    says: 'Plan, weigh, pour, inspect, repeat. The guide has a page for each stage.'
  }
];

const KEPT = 'kirapen.tour';

/** The stop where the tour of this tab stands; undefined where none is on. */
export function tourAt(): number | undefined {
  const kept = sessionStorage.getItem(KEPT);
  const at = kept === null ? NaN : Number(kept);
  return Number.isInteger(at) && at >= 0 && at < STOPS.length ? at : undefined;
}

/** Keeps where the tour stands, so that it goes on after a reload; ends it with undefined. */
export function keepTour(at: number | undefined): void {
  if (at === undefined) sessionStorage.removeItem(KEPT);
  else sessionStorage.setItem(KEPT, String(at));
}
