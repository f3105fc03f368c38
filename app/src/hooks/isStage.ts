import { STAGES, type Stage } from '@zt/core/model/stages';

/** Whether a word from an address is one of the nine stages. */
export const isStage = (word: string): word is Stage => (STAGES as readonly string[]).includes(word);
