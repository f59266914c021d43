import { sayer, type Say } from './say';
import { toldEnglish } from './told-en';

export type ToldKey = keyof typeof toldEnglish;

/** Says the words that the server writes, in English: for the desk, which speaks no other language. */
export const sayEnglish: Say<ToldKey> = sayer('en', toldEnglish);
