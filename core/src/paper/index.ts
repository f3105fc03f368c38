export { CARDS, type CardName } from './cards';
export { cutPages } from './cutPages';
export type { PaperDrawing, PaperMark } from './drawing';
export { drawingToSvg, pagesToSvg } from './drawingToSvg';
export { type EntrySheet, entrySheet } from './entrySheet';
export type { MeasureWords } from './flow';
export type { CardSetting } from './jobCard';
export { orderSheet, type PrintedOrder } from './orderSheet';
export { PAPER, type Paper, type PaperName, type Printed, paperTitle, templatesOf } from './papers';
export { type Patterns, patternDrawings } from './patternDrawing';
export { placementRuler } from './placementRuler';
export { PROVING_MM } from './provingRulers';
export { rulerSlots, type Slot } from './rulerSlots';
export { sheetDrawing } from './sheetDrawing';
export { templateDrawing } from './templateDrawing';
export {
  CARD_PAPER_IDS,
  CARD_PAPERS,
  type CardPaperId,
  MOST_PAGES,
  PAPER_IDS,
  PAPERS,
  type Page,
  type PaperId,
  pageCount,
  pagesFor,
} from './tiles';
export { traceDrawing } from './traceDrawing';
