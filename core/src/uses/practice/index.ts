export { practiceJob, STRAIGHT } from './job';
export { placeWords } from './keys';
export { alongPath, keyedHull, keyedPoint } from './needle';
export { obey, practiceOutcome, practiceStart } from './obey';
export {
  type PracticeAnswer,
  PracticeAnswerSchema,
  type PracticeCommand,
  PracticeCommandSchema,
  type PracticeJob,
  PracticeJobSchema,
  PracticeLieSchema,
  type PracticePose,
  type PracticeState,
  PracticeStateSchema,
} from './schema';
