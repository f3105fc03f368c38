export { type Card, deckOf } from './cards';
export { colourDifference, lightnessOf, nameOfColour } from './colour/colour';
export { nearestOwned, sameHue, shuffledThreads, toneLadder } from './colour/fromShelf';
export { DENSITY_CLASSES, DENSITY_TABLE, DESIGN_NUMBERS, type DensityClass } from './design/numbers';
export { type DesignFacts, type DesignPlan, densityClassOf, densityRank } from './design/planDesign';
export { type Artwork, type ColourStop, type DesignInput, LOOKS, type Looks } from './design/schema';
export type { StitchFigures } from './design/svg/estimate';
export type { ReadSvg } from './design/svg/readSvg';
export type { SvgRefusal } from './design/svg/refuse';
export {
  applyMend,
  byGravity,
  type Finding,
  FindingSchema,
  type Mend,
  type Severity,
} from './findings/finding';
export { questionText, type Reason, ReasonSchema } from './findings/reason';
export type { FinishPlan, FinishStep } from './finish/planFinish';
export { type Box, boxOf, grown, heightOf, widthOf } from './geometry/box';
export { distanceToSegment, minus, type Point, plus, turn } from './geometry/point';
export { placed } from './geometry/polygon';
export type { Hooping } from './hoop/hoopings';
export type { HoopVerdict } from './hoop/judgeHoop';
export { factsInHoop, type LaidHoop } from './hoop/layHoop';
export type { HoopPlan } from './hoop/planHoop';
export type { RingPicture } from './hoop/ritual';
export type { HoopInput, Method, QuarterTurn } from './hoop/schema';
export { IdSchema } from './ids';
export {
  BOBBINS,
  CHOICES,
  type Choice,
  NEEDLES,
  STABILIZERS,
  sheetsInWords,
  TOPPERS,
} from './layers/materials';
export type { ChosenPart, LayersPlan, StackLayer } from './layers/planLayers';
export type { RiskBar } from './layers/risk';
export { RISKS, type Risk } from './layers/riskWeights';
export {
  CHOICE_PARTS,
  type ChoicePart,
  HOLDS,
  type Hold,
  type LayersInput,
  type Sheet,
  STABILIZER_IDS,
  type StabilizerId,
} from './layers/schema';
export { type SheetPiece, sheetPieces } from './layers/sheetPieces';
export {
  frozenPlan,
  type LogEntry,
  LogEntrySchema,
  type LogSummary,
  LogSummarySchema,
  summaryOf,
} from './log/entry';
export { FAULT_IDS, FAULTS, type FaultId, SEVERITY_WORDS } from './log/faults';
export { type LogInput, OUTCOMES, type Outcome, outcomeOf, worstFault } from './log/schema';
export { type CrookedPlan, MARK_NAMES } from './mount/crooked';
export type { Display } from './mount/display';
export type { SideHold } from './mount/holdDown';
export { OBSTACLE_SIZES, obstacleOutline } from './mount/obstacles';
export { type Keys, keysNeeded, type MountPlan } from './mount/planMount';
export { pieceInHoopFrame, type TurnRank } from './mount/rankTurns';
export {
  MARK_IDS,
  type MarkFound,
  type MarkId,
  type MountInput,
  OBSTACLE_KINDS,
  type Obstacle,
  type ObstacleKind,
} from './mount/schema';
export type { TracePlan } from './mount/trace';
export { newTicket, withTodaysFields } from './newTicket';
export { FABRICS } from './piece/fabrics';
export {
  type NoGoArea,
  PIECE_FAMILIES,
  type PieceKind,
  type PieceOutline,
  type PieceView,
  type Reading,
  type Seam,
} from './piece/geometry';
export { PIECE_KIND_IDS, PIECE_KINDS, type PieceKindId } from './piece/kinds';
export { type Face, fabricOf, faceOf, type PiecePlan } from './piece/planPiece';
export {
  type Evenness,
  type Fabric,
  FabricSchema,
  type Grain,
  type PieceInput,
  type Size,
  STRUCTURES,
} from './piece/schema';
export { type CutPiece, sewingCuts } from './piece/sewing';
export type { UsualPlacement } from './piece/usualPlacement';
export type { Copy } from './place/copies';
export type { MarkStep } from './place/marks';
export { movedCopy, posesOf } from './place/moveCopy';
export { faceWidthOf, type PlacePlan, placementsFor } from './place/planPlace';
export { scatterQuestionFor } from './place/scatterQuestion';
export type { MarkMethod, PlaceInput } from './place/schema';
export { type SizeRow, sizeRun, widestOf } from './place/sizeRun';
export { dragGridMm } from './place/snap';
export { type Plan, planTicket } from './plan';
export { BELIEFS, type Belief } from './rules/beliefs';
export { NUMBERS, type NumberId, numberFor } from './rules/numbers';
export { DEFAULT_HOUSE_RULES, type HouseRules, HouseRulesSchema, schoolFor } from './rules/schema';
export { QUESTION_IDS, QUESTIONS, type QuestionId, schoolsOf } from './rules/schools';
export { type ChangedTicket, whatChanges } from './rules/whatChanges';
export { HOOP_PRESETS, hoopOf, USUAL_HOOP, USUAL_MACHINE } from './shelf/presets';
export {
  type Blank,
  EMPTY_SHELF,
  HOOP_KINDS,
  type Hoop,
  HoopSchema,
  type Machine,
  MachineSchema,
  type Material,
  MaterialSchema,
  type OwnPlacement,
  SHELF_ITEMS,
  SHELF_NOUNS,
  type Shelf,
  type ShelfNoun,
  ShelfSchema,
  SIDES,
  type Thread,
  ThreadSchema,
} from './shelf/schema';
export { type ShelfUse, ShelfUseSchema, shelfAfter, shelfUseOf } from './shelf/shelfUse';
export { type ShoppingLine, shoppingList } from './shelf/shopping';
export { nextStage, type StageState, stageStates } from './stageStates';
export { STAGE_QUESTIONS, STAGES, type Stage } from './stages';
export { type StitchPlan, type StitchStop, topThreadM } from './stitch/planStitch';
export { applyChange, type Change, ChangeSchema, type Ticket, TicketSchema } from './ticket';
export {
  bareUnitOf,
  type DisplayUnits,
  formatFigure,
  formatLength,
  MM_PER_INCH,
  type ParsedLength,
  parseLength,
  stepOf,
} from './units/length';
export { mm, type Phrase, phrase, type Quantity, say } from './units/phrase';
