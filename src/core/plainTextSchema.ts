import * as z from 'zod';
import { isPlain } from './plainText';

/** A text of at most so many letters, without what {@link isPlain} refuses. */
export const plainText = (maxLength: number, { lines = false } = {}) =>
  z
    .string()
    .max(maxLength)
    .refine((text) => isPlain(text, lines), { params: { code: 'control' } });

/**
 * A text made no longer than `most` (UTF-16 units, as the schemas count), never through the middle of a character: half an emoji is no
 * text, and a database refuses it.
 */
export function shortened(text: string, most: number): string {
  if (text.length <= most) return text;
  let short = '';
  for (const { segment } of new Intl.Segmenter('en').segment(text)) {
    if (short.length + segment.length > most) break;
    short += segment;
  }
  return short;
}
