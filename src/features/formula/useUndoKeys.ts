'use client';
import { useEffect } from 'react';
import type { FormulaSheet } from './useFormulaSheet';

/** Undo must not fight with the text in a cell: the cell is left first, and found again afterwards. */
function leavingTheCell(action: () => void): void {
  const cell = document.activeElement instanceof HTMLElement ? document.activeElement : null;
  cell?.blur();
  action();
  requestAnimationFrame(() => cell?.isConnected && cell.focus());
}

/** Ctrl+Z and Ctrl+Shift+Z take back and repeat what was done on the sheet. */
export function useUndoKeys({ undo, redo }: Pick<FormulaSheet, 'undo' | 'redo'>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
      // a dialog lies over the sheet: what is undone there is its own typing. Outside a field the browser would undo the last typing of
      // the whole page by itself, the sheet's behind the dialog.
      if (document.querySelector('[role="dialog"], [role="alertdialog"]')) {
        const field = event.target instanceof HTMLElement && event.target.closest('input, textarea');
        if (!field) event.preventDefault();
        return;
      }
      event.preventDefault();
      leavingTheCell(event.shiftKey ? redo : undo);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [redo, undo]);
}
