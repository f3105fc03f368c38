export type { PaperDrawing, PaperMark } from './drawing';
export { drawingToSvg } from './drawingToSvg';
export { placementRuler } from './placementRuler';
export { PROVING_MM } from './provingRulers';
export { rulerSlots, type Slot } from './rulerSlots';
export { sheetDrawing } from './sheetDrawing';
export { templateDrawing } from './templateDrawing';
export { MOST_PAGES, PAPER_IDS, PAPERS, type Page, type PaperId, pageCount, pagesFor } from './tiles';
export { traceDrawing } from './traceDrawing';
