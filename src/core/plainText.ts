import { ok, refuse, type Result } from './result';

/**
 * Text as people type it. Control characters (which PostgreSQL, CSV and terminals each choke on differently) and
 * unpaired surrogates are refused; line breaks and tabs pass only where `lines` is set. Emoji are letters like others.
 */
export function isPlain(text: string, lines: boolean): boolean {
  return (
    !(lines ? /[\u0000-\u0008\u000b-\u001f\u007f]/ : /[\u0000-\u001f\u007f]/).test(text) &&
    text.isWellFormed()
  );
}

/** The same rule for one field of a sheet, as a refusal instead of a schema. */
export function checkText(text: string, max: number, path: string, { lines = false } = {}): Result<string> {
  if (text.length > max) return refuse('tooLong', path, { max });
  return isPlain(text, lines) ? ok(text) : refuse('control', path);
}
