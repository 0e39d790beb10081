import { parse, type ParseError } from 'jsonc-parser';
import { ok, refuse, type Result } from '../result';

export const FILE_LIMITS = { letters: 2_000_000, depth: 40, rows: 5000 } as const;

/** How deep brackets are nested, without building anything: a file of nothing but "[" must not get as far as the parser. */
function depthOf(text: string): number {
  let depth = 0;
  let deepest = 0;
  let quoted = false;
  for (let at = 0; at < text.length; at++) {
    const letter = text[at];
    if (quoted) {
      if (letter === '\\') at += 1;
      else if (letter === '"') quoted = false;
    } else if (letter === '"') quoted = true;
    else if (letter === '{' || letter === '[') deepest = Math.max(deepest, (depth += 1));
    else if (letter === '}' || letter === ']') depth -= 1;
  }
  return deepest;
}

/** Line and column of a place in a text, counted from 1. */
function placeOf(text: string, at: number): { line: number; column: number } {
  const before = text.slice(0, at).split('\n');
  return { line: before.length, column: (before.at(-1)?.length ?? 0) + 1 };
}

/** Where a text stops being JSON: the first place that no value can go on from. */
function brokenAt(text: string): { line: number; column: number } {
  const errors: ParseError[] = [];
  parse(text, errors, { disallowComments: true });
  return placeOf(text, errors[0]?.offset ?? text.length);
}

/**
 * Reads a JSON text as it comes from a file: with a byte-order mark or without, within {@link FILE_LIMITS}.
 * @returns the data; `tooLong`, `tooDeep`, `required` for nothing at all, `notText` with line and column where it breaks
 */
export function readJson(text: string): Result<unknown> {
  if (text.length > FILE_LIMITS.letters) return refuse('tooLong', 'file', { max: FILE_LIMITS.letters });
  const bare = text.replace(/^\uFEFF/, '');
  if (bare.trim() === '') return refuse('required', 'file');
  if (depthOf(bare) > FILE_LIMITS.depth) return refuse('tooDeep', 'file', { max: FILE_LIMITS.depth });
  try {
    return ok(JSON.parse(bare) as unknown);
  } catch {
    return refuse('notText', 'file', brokenAt(bare));
  }
}
