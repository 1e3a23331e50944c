/** The shelf's kinds of card, as they stand in addresses, and what one of each is called. */
export const CARD_WORDS = {
  moulds: 'mould',
  bases: 'base',
  colourants: 'colourant',
  scales: 'scale',
  vessels: 'vessel',
  lots: 'lot',
  trialcards: 'trial card'
} as const;
export type CardKind = keyof typeof CARD_WORDS;
