import { outcomeSchema, type Outcome } from '@/core/bake';
import { problemOfIssue } from '@/core/readAs';
import { ok, type Problem, type Result } from '@/core/result';
import { parseDecimal } from '@/core/units';

/** The form holds text as it is typed, in the reader's units; grams and degrees are made of it on the way out. */
export interface OutcomeText {
  pieces: string;
  massBeforeG: string;
  massAfterG: string;
  coreTempC: string;
  scores: Outcome['scores'];
  again: Outcome['again'];
  words: string;
}

export type NumberName = 'pieces' | 'massBeforeG' | 'massAfterG' | 'coreTempC';
type Fault = { readonly field: string; readonly problem: Problem };

interface Reading {
  readonly parseMass: (text: string) => Result<number>;
  readonly parseTemperature: (text: string) => Result<number>;
}

/** Reads the typed text with the very schema that the server will hold it to. Every fault is told, each at its field. */
export function readOutcome(text: OutcomeText, units: Reading): { outcome: Outcome | null; faults: Fault[] } {
  const faults: Fault[] = [];
  const number = (field: NumberName, read: (text: string) => Result<number>): number | null => {
    const typed = text[field] ?? '';
    const value = typed.trim() === '' ? ok(null) : read(typed);
    if (value.ok) return value.value;
    faults.push({ field, problem: value.problem });
    return null;
  };
  const read = outcomeSchema.safeParse({
    ...text,
    pieces: number('pieces', parseDecimal),
    massBeforeG: number('massBeforeG', units.parseMass),
    massAfterG: number('massAfterG', units.parseMass),
    coreTempC: number('coreTempC', units.parseTemperature),
  });
  if (!read.success) {
    for (const issue of read.error.issues) {
      const problem = problemOfIssue(issue);
      faults.push({ field: problem.path.split('.')[0] ?? '', problem });
    }
  }
  return { outcome: read.success && faults.length === 0 ? read.data : null, faults };
}
