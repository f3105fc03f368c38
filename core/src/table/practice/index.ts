export {
  type PracticeAnswer,
  PracticeAnswerSchema,
  type PracticeCommand,
  PracticeCommandSchema,
  type PracticeJob,
  PracticeJobSchema,
  type PracticePose,
  PracticePoseSchema,
  type PracticeState,
  PracticeStateSchema,
} from '../../model/practice';
export { practiceJob, STRAIGHT } from './job';
export { placeWords } from './keys';
export { alongPath, keyedHull, keyedPoint } from './needle';
export { obeyPress, practiceOutcome, practiceStart } from './obey';
