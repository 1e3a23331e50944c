/** The list that each kind of stored thing stands in. */
export const BACK: Readonly<Record<string, string | undefined>> = {
  plans: '/plans',
  runs: '/record',
  moulds: '/shelf',
  bases: '/shelf',
  scales: '/shelf',
  vessels: '/shelf',
  lots: '/shelf',
  colourants: '/colours',
  trialcards: '/colours/cards'
};

/** What one of each kind is called. */
export const CALLED: Readonly<Record<string, string | undefined>> = {
  plans: 'plan',
  runs: 'run',
  moulds: 'mould',
  bases: 'base',
  scales: 'scale',
  vessels: 'vessel',
  lots: 'lot',
  colourants: 'colourant',
  trialcards: 'trial card'
};
