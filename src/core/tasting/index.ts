export {
  missedBy,
  OCCASIONS,
  QUESTION_IDS,
  QUESTIONS,
  type Occasion,
  type QuestionAbout,
  type QuestionId,
} from './questions';
export { tastingSchema, type Tasting } from './tastingSchema';
export { TASTING_LIMITS } from './limits';
export { pooled } from './pooled';
