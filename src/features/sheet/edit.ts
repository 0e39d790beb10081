import type { FormulaEdit } from '@/core/formula';
import type { Problem } from '@/core/result';

/** Changes the sheet; the reason when it may not be. `key` names the cell, so that its keystrokes undo together. */
export type Edit = (edit: FormulaEdit, key?: string) => Problem | null;
