import { ENTRY_LIMITS } from '@/core/ingredients';

/** "gate flour, miller’s own": the names between the commas. */
export const otherNames = (text: string): string[] =>
  text
    .split(',')
    .map((each) => each.trim())
    .filter(Boolean)
    .slice(0, ENTRY_LIMITS.otherNames);
