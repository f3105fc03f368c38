import type { PaperDrawing } from './drawing';
import { type CardSetting, jobCard } from './jobCard';
import type { Printed } from './papers';
import { swingLabels } from './swingLabel';

/** What is set on pages of its own, not at true size: a page is a drawing. */
export const CARDS = {
  card: jobCard,
  label: swingLabels,
} satisfies Record<string, (printed: Printed, setting: CardSetting) => PaperDrawing[]>;
export type CardName = keyof typeof CARDS;
