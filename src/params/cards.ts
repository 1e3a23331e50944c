import { CARD_WORDS } from '../lib/store/cards';

/** Matches the shelf's kinds of card in an address. */
export const match = (param: string): boolean => param in CARD_WORDS;
