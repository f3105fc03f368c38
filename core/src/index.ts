export { lightnessOf, nameOfColour } from './base/colour/colour';
export { type Box, boxContainsPoint, boxOf, centreOf, heightOf, inflate, widthOf } from './base/geometry/box';
export { add, distanceToSegment, negate, ORIGIN, type Point, rotate, subtract } from './base/geometry/point';
export { placed } from './base/geometry/polygon';
export { IdSchema } from './base/ids';
export {
  bareUnitOf,
  type DisplayUnits,
  formatFigure,
  formatLength,
  MM_PER_INCH,
  parseLength,
  stepOf,
} from './base/units/length';
export { mm, type Phrase, phrase, type Quantity, say } from './base/units/phrase';
export type { ShoppingUnit } from './business/shopping/shopping';
export { FABRICS } from './catalogue/fabrics';
export { type HouseNumber, numberFor } from './catalogue/houseNumber';
export { KNOWN_WAYS, type KnownWay } from './catalogue/knownWays';
export { BOBBINS, type Choice, NEEDLES, STABILIZERS, sheetsInWords, TOPPERS } from './catalogue/materials';
export { PLACE_NUMBERS } from './catalogue/numbers/place';
export { STITCH_NUMBERS } from './catalogue/numbers/stitch';
export { HOOP_PRESETS, hoopOf, USUAL_HOOP, USUAL_MACHINE } from './catalogue/presets';
export { QUESTIONS, questionText, schoolsOf } from './catalogue/schools';
export { type CutFrom, layoutOf } from './ledger/rolls/cutting';
export { type SheetPiece, sheetPieces } from './ledger/rolls/sheetPieces';
export {
  BACKUP_KINDS,
  type Backups,
  BackupsSchema,
  type BenchPage,
  BenchPageSchema,
  BenchQuestionSchema,
  type KeptBackup,
  KeptBackupSchema,
  type KeptEntry,
  KeptEntrySchema,
  type KeptTicket,
  KeptTicketSchema,
  LayPracticeSchema,
  LOG_FACETS,
  LOG_ORDERS,
  type LogFacet,
  type LogFilter,
  LogFilterSchema,
  type LogFound,
  type Logged,
  LoggedSchema,
  type LogOrder,
  type LogPage,
  LogPageSchema,
  type LogPiece,
  LogPieceSchema,
  type LogQuestion,
  LogQuestionSchema,
  MovementsSchema,
  type OnPractice,
  OnPracticeSchema,
  PlanAnswerSchema,
  PlanQuestionSchema,
  type SavedSearch,
  SavedSearchSchema,
  type SavedTicket,
  SavedTicketSchema,
  type SaveRules,
  SaveRulesSchema,
  type SaveTicket,
  SaveTicketSchema,
  SET_ASIDE_PLACES,
  SendingSchema,
  type SetAside,
  SetAsideSchema,
  ShelfChangedSchema,
  type ShelfChanges,
  ShelfChangesSchema,
  TicketQuestionSchema,
} from './model/api';
export { FAULTS, SAVED_BY_A_PATCH, SEVERITY_WORDS, SPOILT } from './model/faults';
export { allBounds, type Bounds, boundsAt } from './model/fields/bounds';
export { mendKept } from './model/fields/mendKept';
export { boundsInWords, type FieldReading, type Reader, readField } from './model/fields/readField';
export { type Refusal, refusalInWords, refusalsOf } from './model/fields/refusal';
export {
  changedThing,
  FIELD_LETTERS,
  keptUnread,
  type Unread,
  type WithUnread,
  withUnread,
} from './model/fields/unread';
export { applyMend, type Finding, FindingSchema, isInTheWay, type Mend } from './model/finding';
export { type FrozenPlan, FrozenPlanSchema } from './model/frozenPlan';
export {
  DEFAULT_HOUSE_RULES,
  type HouseRules,
  HouseRulesSchema,
  MOST_WAYS,
  readerOf,
  schoolFor,
} from './model/houseRules';
export {
  type LogEntry,
  LogEntrySchema,
  type LogSummary,
  LogSummarySchema,
  summaryOf,
} from './model/logEntry';
export { PIECE_KIND_IDS, type PieceKindId } from './model/pieceKindIds';
export { type Reason, ReasonSchema } from './model/reason';
export { QUESTION_IDS } from './model/schoolIds';
export {
  type Blank,
  EMPTY_SHELF,
  type FittedNeedle,
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
} from './model/shelf';
export { type ShelfUse, ShelfUseSchema } from './model/shelfUse';
export { STAGE_QUESTIONS, STAGES, type Stage } from './model/stages';
export {
  admitted,
  applyChange,
  type Change,
  MOST_SETTLED,
  type Ticket,
  type TicketHead,
  TicketHeadSchema,
  TicketSchema,
} from './model/ticket';
export type { Artwork, ColourStop } from './model/ticket/artwork';
export type { DesignInput } from './model/ticket/design';
export { nameOfFile } from './model/ticket/designBounds';
export { type HoopInput, type Method, otherHoop } from './model/ticket/hoop';
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
} from './model/ticket/layers';
export { type LogInput, OUTCOMES, type Outcome } from './model/ticket/log';
export {
  MARK_IDS,
  type MarkFound,
  type MarkId,
  type MountInput,
  OBSTACLE_KINDS,
  type Obstacle,
} from './model/ticket/mount';
export { DENSITY_CLASSES, EMPTY_PART, FIRST_PART, type Part } from './model/ticket/part';
export {
  type Evenness,
  type Fabric,
  type Grain,
  type PieceInput,
  pieceCount,
  type Size,
  STRIP_EDGES,
  STRUCTURES,
} from './model/ticket/piece';
export { DESIGN_PARTS, type DesignPart, type MarkMethod, type PlaceInput } from './model/ticket/place';
export { CLOTH_TRAITS, USE_TRAITS, WAY_LETTERS, type Way, type WayApplies } from './model/way';
export { fieldName, stageOfField, wordsOfPath } from './planner/fieldNames';
export { logOfToday, newTicket, withTodaysFields } from './planner/newTicket';
export { placeAhead } from './planner/placeAhead';
export { makePlanner, planTicket } from './planner/plan';
export type { Plan } from './planner/planned';
export { answerOf } from './planner/settle';
export { nextStage, type StageState, stageStates } from './planner/stageStates';
export { entryTitleOf, titleOf } from './planner/titleOf';
export { whyUnread } from './planner/unreadFindings';
export type { Advice, StackAdvice, ToldChance } from './records/evidence/advice';
export type { EntryFacts, LearnedFacts } from './records/find/entryFacts';
export { asUsed } from './records/logbook/asUsed';
export { drawnFrom, frozenPlan, PLANNER_VERSION } from './records/logbook/frozenPlan';
export { shelfUseOf } from './records/logbook/shelfUse';
export { usesInWords } from './records/logbook/useInWords';
export type { DesignFacts } from './stages/design/designFacts';
export type { StitchFigures } from './stages/design/stitchFigures';
export type { ReadSvg } from './stages/design/svg/readSvg';
export type { SvgRefusal } from './stages/design/svg/refuse';
export type { HoopVerdict } from './stages/hoop/judgeHoop';
export { HOOP_KINDS, hoopKindOf } from './stages/hoop/kinds';
export { factsInHoop, type LaidHoop } from './stages/hoop/layHoop';
export type { HoopPlan } from './stages/hoop/planHoop';
export { inHoopFrame } from './stages/hoop/ring';
export { sidesInWords } from './stages/hoop/sides';
export { whyHoopCannotBe } from './stages/hoop/whyHoopCannotBe';
export { BELIEFS, type Belief } from './stages/layers/beliefs';
export { sheetsOfToday } from './stages/layers/keptSheets';
export { FURTHER_SHEET } from './stages/layers/placing';
export type { ChosenPart, LayersPlan, StackLayer } from './stages/layers/planLayers';
export type { RiskBar } from './stages/layers/risk';
export { appliesInWords, wayFrom, wayTitle } from './stages/layers/ways';
export type { LogPlan } from './stages/log/planLog';
export type { CrookedPlan } from './stages/mount/crooked';
export type { SideHold } from './stages/mount/holdDown';
export { MARK_NAMES } from './stages/mount/hoopAgain';
export { type KeyStep, type Keys, keysNeeded } from './stages/mount/keys';
export { OBSTACLE_SIZES, obstacleOutline } from './stages/mount/obstacles';
export type { MountPlan } from './stages/mount/planMount';
export { datumName, isA, PIECE_FAMILIES, type PieceOutline } from './stages/piece/geometry';
export { PIECE_KINDS } from './stages/piece/kinds';
export { type Face, faceOf, type PiecePlan } from './stages/piece/planPiece';
export type { Reading } from './stages/piece/readings';
export { sewingCuts } from './stages/piece/sewing';
export { depthLandmarks } from './stages/place/depths';
export { movedCopy, posesOf } from './stages/place/moveCopy';
export { faceWidthOf, type PlacePlan, placementsFor } from './stages/place/planPlace';
export { scatterQuestionFor } from './stages/place/scatterQuestion';
export { needleCare } from './stages/stitch/needleCare';
export type { StitchStop } from './stages/stitch/planStitch';
export { isSeenOn, nearestThread, shuffledThreads, toneLadder } from './stock/fromShelf';
export { changeNeedle, needlesOf, SUPPLIES, withNeedle } from './stock/supplies';
export type { RingPicture, Step } from './table/deck/step';
export { HOUSE_NUMBERS } from './table/houseRules/numbers';
