import { RESIN_STATES } from '$core/cure';

/** What a hand can say of resin, with how to tell. */
export const resinStates = RESIN_STATES.map(({ state }) => ({
  state,
  tell: {
    fresh: 'runs off the stick like syrup',
    stringy: 'draws a thread from the stick',
    'holds a line': 'a drawn line stays for a breath',
    paste: 'stands up, no longer levels',
    gelled: 'a fingertip leaves a mark and comes away clean',
    firm: 'a fingernail leaves no mark'
  }[state]
}));
