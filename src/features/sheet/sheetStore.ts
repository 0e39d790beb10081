import {
  allLines,
  startHistory,
  type Formula,
  type FormulaTotals,
  type History,
  type Line,
} from '@/core/formula';
import type { IngredientBook } from '@/core/ingredients';
import { doughAnswers, type DoughAnswers } from '@/core/notices/doughAnswers';

export interface SheetState {
  readonly history: History;
  readonly formula: Formula;
  readonly totals: FormulaTotals;
  readonly answers: DoughAnswers;
  readonly lines: ReadonlyMap<string, Line>;
}

/**
 * The sheet's present state outside React, so that a keystroke draws only what it changed: each row looks at its own line
 * and percentage, not at the formula. (Tried and dropped: the formula as React state at the top. Every key drew every row,
 * and with forty ingredients typing lagged.)
 */
export class SheetStore {
  private listeners = new Set<() => void>();
  state: SheetState;

  constructor(
    formula: Formula,
    public book: IngredientBook,
  ) {
    this.state = this.stateOf(startHistory(formula));
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Answers with another book from now on. */
  useBook(book: IngredientBook): void {
    if (book === this.book) return;
    this.book = book;
    this.state = this.stateOf(this.state.history);
    this.listeners.forEach((listener) => listener());
  }

  private stateOf(history: History): SheetState {
    const formula = history.present;
    const answers = doughAnswers(formula, this.book);
    return {
      history,
      formula,
      totals: answers.totals,
      answers,
      lines: new Map(allLines(formula).map((line) => [line.id, line])),
    };
  }

  put(history: History): void {
    if (history === this.state.history) return;
    this.state = history.present === this.state.formula ? { ...this.state, history } : this.stateOf(history);
    this.listeners.forEach((listener) => listener());
  }
}
