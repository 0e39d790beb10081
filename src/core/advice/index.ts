export type { Change, ExpectedScore, TakenAdvice } from './adviceSchema';
export type { CauseId, ChangeKind, Explanation } from './ids';
export { checkedAdvice, type AdviceResult } from './checked';
