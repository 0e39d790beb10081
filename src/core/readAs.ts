import type * as z from 'zod';
import { ok, type Problem, type Result } from './result';

/** Zod's first complaint as a problem of ours: the code it was refused with, or the nearest of the general ones. */
export function problemOfIssue(issue: z.core.$ZodIssue): Problem {
  const path = issue.path.map(String).join('.');
  switch (issue.code) {
    case 'too_small':
      return {
        code: issue.origin === 'string' ? 'required' : 'tooSmall',
        path,
        params: { min: Number(issue.minimum) },
      };
    case 'too_big': {
      const code = issue.origin === 'string' ? 'tooLong' : issue.origin === 'array' ? 'tooMany' : 'tooLarge';
      return { code, path, params: { max: Number(issue.maximum) } };
    }
    case 'invalid_type':
      if (issue.expected === 'int') return { code: 'notWhole', path };
      return { code: issue.expected === 'number' ? 'notANumber' : 'required', path };
    case 'custom': {
      const { code, ...params } = (issue.params ?? {}) as { code?: Problem['code'] } & Record<string, number>;
      return { code: code ?? 'notAllowed', path, params };
    }
    default:
      return { code: 'notAllowed', path };
  }
}

/** What a schema makes of unknown data, as a result of the core's own kind. */
export function readAs<T>(schema: z.ZodType<T>, data: unknown): Result<T> {
  const read = schema.safeParse(data);
  if (read.success) return ok(read.data);
  const issue = read.error.issues[0];
  return { ok: false, problem: issue ? problemOfIssue(issue) : { code: 'notAllowed', path: '' } };
}
