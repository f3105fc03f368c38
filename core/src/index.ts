export { lightnessOf, nameOfColour } from './colour/colour';
export { isSeenOn, nearestThread, shuffledThreads, toneLadder } from './colour/fromShelf';
export { nameOfFile } from './design/bounds';
export { DENSITY_CLASSES } from './design/numbers';
export type { DesignFacts } from './design/planDesign';
export type { ColourStop, DesignInput } from './design/schema';
export type { StitchFigures } from './design/svg/estimate';
export type { ReadSvg } from './design/svg/readSvg';
export type { SvgRefusal } from './design/svg/refuse';
export { allBounds, type Bounds, boundsAt } from './fields/bounds';
export { mendKept } from './fields/mendKept';
export { fieldName, stageOfField, wordsOfPath } from './fields/names';
export { boundsInWords, type FieldReading, readField } from './fields/readField';
export { type Refusal, refusalInWords, refusalsOf } from './fields/refusal';
export {
  changedThing,
  FIELD_LETTERS,
  keptUnread,
  type Unread,
  type WithUnread,
  withUnread,
} from './fields/unread';
export { whyUnread } from './fields/unreadFindings';
export { applyMend, type Finding, FindingSchema, isInTheWay, type Mend } from './findings/finding';
export { questionText, type Reason, ReasonSchema } from './findings/reason';
export { type Box, boxOf, centreOf, grown, heightOf, holdsPoint, widthOf } from './geometry/box';
export { distanceToSegment, minus, opposite, type Point, plus, turn } from './geometry/point';
export { placed } from './geometry/polygon';
export type { HoopVerdict } from './hoop/judgeHoop';
export { factsInHoop, type LaidHoop } from './hoop/layHoop';
export type { HoopPlan } from './hoop/planHoop';
export { inHoopFrame } from './hoop/ring';
export { type Method, otherHoop } from './hoop/schema';
export { sidesInWords } from './hoop/sides';
export { IdSchema } from './ids';
export { sheetsOfToday } from './layers/keptSheets';
export { KNOWN_WAYS, type KnownWay } from './layers/knownWays';
export {
  BOBBINS,
  type Choice,
  NEEDLES,
  STABILIZERS,
  sheetsInWords,
  TOPPERS,
} from './layers/materials';
export { FURTHER_SHEET } from './layers/placing';
export type { ChosenPart, LayersPlan, StackLayer } from './layers/planLayers';
export type { RiskBar } from './layers/risk';
export {
  BONDS,
  type BobbinId,
  CHOICE_PARTS,
  type ChoicePart,
  FASTENINGS,
  type LayersInput,
  MOST_SHEETS,
  type NeedleId,
  type Sheet,
  STABILIZER_IDS,
  type TopperId,
  WHERES,
  withChoice,
} from './layers/schema';
export { type SheetPiece, sheetPieces } from './layers/sheetPieces';
export { appliesInWords, wayFrom, wayTitle } from './layers/ways';
export { asUsed } from './log/asUsed';
export {
  frozenPlan,
  type LogEntry,
  LogEntrySchema,
  type LogSummary,
  LogSummarySchema,
  summaryOf,
} from './log/entry';
export { FAULTS, SAVED_BY_A_PATCH, SEVERITY_WORDS, SPOILT } from './log/faults';
export { type LogInput, OUTCOMES, type Outcome } from './log/schema';
export type { CrookedPlan } from './mount/crooked';
export type { SideHold } from './mount/holdDown';
export { MARK_NAMES } from './mount/hoopAgain';
export { type KeyStep, type Keys, keysNeeded } from './mount/keys';
export { OBSTACLE_SIZES, obstacleOutline } from './mount/obstacles';
export type { MountPlan } from './mount/planMount';
export {
  MARK_IDS,
  type MarkFound,
  type MarkId,
  type MountInput,
  OBSTACLE_KINDS,
  type Obstacle,
} from './mount/schema';
export { logOfToday, newTicket, withTodaysFields } from './newTicket';
export { FABRICS } from './piece/fabrics';
export { datumName, isA, PIECE_FAMILIES, type PieceOutline, type Reading } from './piece/geometry';
export { PIECE_KIND_IDS, PIECE_KINDS, type PieceKindId } from './piece/kinds';
export { type Face, faceOf, type PiecePlan } from './piece/planPiece';
export {
  type Evenness,
  type Fabric,
  type Grain,
  type PieceInput,
  pieceCount,
  type Size,
  STRIP_EDGES,
  STRUCTURES,
} from './piece/schema';
export { sewingCuts } from './piece/sewing';
export { depthLandmarks } from './place/depths';
export { movedCopy, posesOf } from './place/moveCopy';
export { faceWidthOf, type PlacePlan, placementsFor } from './place/planPlace';
export { scatterQuestionFor } from './place/scatterQuestion';
export {
  DESIGN_PARTS,
  type DesignPart,
  type MarkMethod,
  type PlaceInput,
} from './place/schema';
export { type SizeRow, sizeRun, widestOf } from './place/sizeRun';
export { type Plan, planTicket } from './plan';
export { BELIEFS, type Belief } from './rules/beliefs';
export { NUMBERS, type NumberId, numberFor } from './rules/numbers';
export { DEFAULT_HOUSE_RULES, type HouseRules, HouseRulesSchema, MOST_WAYS, schoolFor } from './rules/schema';
export { QUESTION_IDS, QUESTIONS, schoolsOf } from './rules/schools';
export { answersTo, textOfBelief, textOfNumber } from './rules/search';
export { CLOTH_TRAITS, USE_TRAITS, WAY_LETTERS, type Way, type WayApplies } from './rules/way';
export { type ChangedTicket, whatChanges } from './rules/whatChanges';
export { answerOf } from './settle';
export { type CutFrom, layoutOf } from './shelf/cutting';
export { HOOP_PRESETS, hoopOf, USUAL_HOOP, USUAL_MACHINE } from './shelf/presets';
export {
  type Blank,
  EMPTY_SHELF,
  type FittedNeedle,
  HOOP_KINDS,
  type Hoop,
  isNameTaken,
  LOOSE_BOUNDS,
  type LooseSheets,
  type Machine,
  type Material,
  MOST_COUNTED,
  type OwnPlacement,
  SHELF_ITEMS,
  SHELF_NOUNS,
  SHELF_ROOM,
  type Shelf,
  type ShelfNoun,
  ShelfSchema,
  SIDES,
  SUPPLY_TYPES,
  type Supply,
  type SupplyType,
  type Thread,
  whyHoopCannotBe,
} from './shelf/schema';
export { type ShelfUse, ShelfUseSchema, shelfAfter, shelfUseOf } from './shelf/shelfUse';
export { type ShoppingLine, type ShoppingUnit, shoppingList } from './shelf/shopping';
export { changeNeedle, needlesOf, SUPPLIES, withNeedle } from './shelf/supplies';
export { usesInWords } from './shelf/useInWords';
export { nextStage, type StageState, stageStates } from './stageStates';
export { STAGE_QUESTIONS, STAGES, type Stage } from './stages';
export { deckOf } from './steps/jobSteps';
export type { RingPicture, Step } from './steps/step';
export { needleCare } from './stitch/needleCare';
export type { StitchStop } from './stitch/planStitch';
export {
  admitted,
  applyChange,
  type Change,
  MOST_SETTLED,
  type Ticket,
  type TicketHead,
  TicketHeadSchema,
  TicketSchema,
} from './ticket';
export {
  bareUnitOf,
  type DisplayUnits,
  formatFigure,
  formatLength,
  MM_PER_INCH,
  parseLength,
  stepOf,
} from './units/length';
export { mm, type Phrase, phrase, type Quantity, say } from './units/phrase';
