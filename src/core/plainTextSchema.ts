import * as z from 'zod';
import { isPlain } from './plainText';

/** A text of at most so many letters, without what {@link isPlain} refuses. */
export const plainText = (maxLength: number, { lines = false } = {}) =>
  z
    .string()
    .max(maxLength)
    .refine((text) => isPlain(text, lines), { params: { code: 'control' } });
