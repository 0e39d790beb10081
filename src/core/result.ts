/**
 * The one way the core reports an expected failure: data, never a sentence. The interface words it
 * (src/features/wording/problems.ts), so the same refusal reads the same at a field, in a log and in a test.
 */
export type ProblemCode =
  | 'required'
  | 'notANumber'
  | 'notADuration'
  | 'unknownUnit'
  | 'tooSmall'
  | 'tooLarge'
  | 'tooLong'
  | 'tooMany'
  | 'notWhole'
  | 'notAllowed'
  | 'onlyLooks'
  | 'unknownIngredient'
  | 'unknownLine'
  | 'unknownStage'
  | 'unknownWay'
  | 'unknownStep'
  | 'unknownLot'
  | 'unknownRung'
  | 'unknownPhoto'
  | 'noPhoto'
  | 'noSlice'
  | 'duplicateId'
  | 'onlyFlour'
  | 'noFlour'
  | 'noShareWithoutFlour'
  | 'tooWet'
  | 'lastStage'
  | 'cycle'
  | 'nothingToWeigh'
  | 'heavierThanBefore'
  | 'alreadyClosed'
  | 'alreadyDone'
  | 'notDoneYet'
  | 'timerRunning'
  | 'noTimer'
  | 'rangeReversed'
  | 'control'
  | 'sumNot100'
  | 'noReading'
  | 'notSolvable'
  | 'tooDeep'
  | 'notText'
  | 'formulaCell'
  | 'otherContent'
  | 'wrongVersion'
  | 'wrongFormat';

export interface Problem {
  readonly code: ProblemCode;
  /** Dotted path of the field the problem belongs to, '' for the whole. */
  readonly path: string;
  readonly params?: Readonly<Record<string, string | number>>;
}

export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

export const refuse = (code: ProblemCode, path = '', params?: Problem['params']): Result<never> => ({
  ok: false,
  problem: params ? { code, path, params } : { code, path },
});

/** For the end of a switch over a union: a new member that is not handled does not compile. */
export function never(value: never): never {
  throw new Error(`Unhandled case: ${JSON.stringify(value)}`);
}
