import type { IngredientBook } from '../ingredients/ingredientBook';
import { checkText } from '../plainText';
import { never, ok, refuse, type Result } from '../result';
import { within } from '../units/decimal';
import {
  allLines,
  atWeight,
  FORMULA_LIMITS,
  type Formula,
  type Line,
  type Stage,
  type StageKind,
  type Style,
} from './formula';
import type { BakedAs } from './formulaSchema';
import { editStep, editWays, insertAt, takingWhatIsThere, type StepEdit, type WayEdit } from './editSteps';
import { formulaTotals } from './totals';

/** Everything a baker can do to a sheet, as data: so that undo, tests and later a story of changes read the same. */
export type FormulaEdit =
  | { readonly type: 'bringBack'; readonly formula: Formula }
  | { readonly type: 'rename'; readonly name: string }
  | { readonly type: 'setStyle'; readonly style: Style }
  | { readonly type: 'setAbout'; readonly about: string }
  | { readonly type: 'setPercentBase'; readonly percentBase: Formula['percentBase'] }
  | { readonly type: 'setBakedAs'; readonly bakedAs: BakedAs }
  | { readonly type: 'setYield'; readonly usualYield: Formula['usualYield'] }
  | {
      readonly type: 'setMass';
      readonly lineId: string;
      readonly massG: number;
      readonly measured?: Line['measured'];
    }
  | { readonly type: 'setPercent'; readonly lineId: string; readonly percent: number }
  | { readonly type: 'setIngredient'; readonly lineId: string; readonly ingredientId: string }
  | { readonly type: 'setLineNote'; readonly lineId: string; readonly note: string }
  | { readonly type: 'addLine'; readonly stageId: string; readonly line: Line }
  | { readonly type: 'removeLine'; readonly lineId: string }
  | {
      readonly type: 'moveLine';
      readonly lineId: string;
      readonly toStageId: string;
      readonly toIndex: number;
    }
  | { readonly type: 'addStage'; readonly stage: Stage }
  | { readonly type: 'setStage'; readonly stageId: string; readonly name: string; readonly kind: StageKind }
  | { readonly type: 'removeStage'; readonly stageId: string }
  /** Of a part: how much a piece takes, what of it the bread keeps, how long what is left keeps. */
  | { readonly type: 'setPart'; readonly stageId: string; readonly part: PartFigures }
  /** Made by a formula of its own, with what goes in by it; null: on its own again, its lines as they are. */
  | {
      readonly type: 'fillPart';
      readonly stageId: string;
      readonly formulaId: string | null;
      readonly lines: readonly Line[];
    }
  | { readonly type: 'setHeldBack'; readonly lineId: string; readonly heldBack: boolean }
  | StepEdit
  | WayEdit;
type PartFigures = Pick<Stage, 'perPieceG' | 'takenUp' | 'keeps'>;

const mapLines = (formula: Formula, change: (line: Line) => Line): Formula => ({
  ...formula,
  stages: formula.stages.map((stage) => {
    const lines = stage.lines.map(change);
    return lines.some((line, index) => line !== stage.lines[index]) ? { ...stage, lines } : stage;
  }),
});

const withMass = (formula: Formula, masses: ReadonlyMap<string, number>): Formula =>
  mapLines(formula, (line) => {
    const massG = masses.get(line.id);
    return massG === undefined || massG === line.massG ? line : atWeight(line, massG);
  });

/** Refuses an edit only when it is this edit that makes the dough impossibly wet: drying a wet sheet is allowed. */
function notWetter(before: Formula, after: Formula, book: IngredientBook): Result<Formula> {
  const limit = FORMULA_LIMITS.hydrationPercent;
  const was = formulaTotals(before, book).hydrationAll ?? 0;
  const is = formulaTotals(after, book).hydrationAll ?? 0;
  return is > limit && is > was + 1e-9 && was > 0
    ? refuse('tooWet', 'massG', { percent: Math.round(is), max: limit })
    : ok(after);
}

/** The part of an ingredient's mass that belongs to the flour base: a starter's flour, 0 for salt. */
function baseShare(ingredientId: string, percentBase: Formula['percentBase'], book: IngredientBook): number {
  const alone = {
    percentBase,
    stages: [{ id: 's', kind: 'main' as const, lines: [{ id: 'l', ingredientId, massG: 1 }] }],
  };
  return formulaTotals(alone, book).baseG;
}

/**
 * Sets a line to a percentage of the flour base.
 *
 * For anything but a flour that is a product. For a flour the base itself would move with it, so the base weight is
 * held and the other flours give way in proportion: "40 % millet" then stays 40 % and the water keeps its percentage.
 * (Tried and dropped: leaving the other flours alone. The base, and with it every percentage on the sheet, jumped
 * under the reader's eyes at each key.) Flour that sits inside a starter cannot give way; only weighed lines do.
 */
function setPercent(
  formula: Formula,
  lineId: string,
  percent: number,
  book: IngredientBook,
): Result<Formula> {
  const line = allLines(formula).find(({ id }) => id === lineId);
  if (!line) return refuse('unknownLine', 'percent');
  const bounded = within(percent, FORMULA_LIMITS.linePercent, 'percent');
  if (!bounded.ok) return bounded;
  const totals = formulaTotals(formula, book);
  if (totals.baseG <= 0) return refuse('noShareWithoutFlour', 'percent');
  const isFlour = totals.baseLineIds.has(lineId);
  const share = isFlour ? 0 : baseShare(line.ingredientId, formula.percentBase, book);
  // A starter brings flour of its own, so the base it is measured against grows with it: m = p (rest + share m) / 100.
  const restG = totals.baseG - share * line.massG;
  if (percent * share >= 99) return refuse('tooLarge', 'percent', { max: Math.floor(98 / share) });
  const massG = (percent * restG) / (100 - percent * share);
  const inRange = within(massG, FORMULA_LIMITS.lineMassG, 'percent');
  if (!inRange.ok) return inRange;
  if (!isFlour) return notWetter(formula, withMass(formula, new Map([[lineId, massG]])), book);

  // a jar of flours with a little gum in it counts by its flours
  const inBase = (each: Line) => each.massG * baseShare(each.ingredientId, formula.percentBase, book);
  const ownShare = baseShare(line.ingredientId, formula.percentBase, book);
  const others = allLines(formula).filter(({ id }) => id !== lineId && totals.baseLineIds.has(id));
  const othersG = others.reduce((sum, other) => sum + inBase(other), 0);
  const lockedG = totals.baseG - othersG - ownShare * line.massG;
  const most = (100 * (totals.baseG - lockedG)) / totals.baseG / ownShare;
  if (others.length === 0) {
    return Math.abs(percent - most) < 1e-6 ? ok(formula) : refuse('onlyFlour', 'percent', { percent: most });
  }
  const leftG = totals.baseG - lockedG - ownShare * massG;
  if (others.some((other) => (other.massG * leftG) / othersG < FORMULA_LIMITS.lineMassG.min)) {
    return refuse('tooLarge', 'percent', { max: Math.floor(most * 10) / 10 - 0.1 });
  }
  const masses = new Map<string, number>([[lineId, massG]]);
  for (const other of others) masses.set(other.id, (other.massG * leftG) / othersG);
  return ok(withMass(formula, masses));
}

const PERCENT = { min: 0, max: 100 } as const;

const replaceStage = (formula: Formula, stageId: string, change: (stage: Stage) => Stage): Formula => ({
  ...formula,
  stages: formula.stages.map((stage) => (stage.id === stageId ? change(stage) : stage)),
});

type EditOf<T extends FormulaEdit['type']> = Extract<FormulaEdit, { type: T }>;
type LineEdit = EditOf<
  | 'setMass'
  | 'setPercent'
  | 'setIngredient'
  | 'setLineNote'
  | 'setHeldBack'
  | 'addLine'
  | 'removeLine'
  | 'moveLine'
>;
type StageEdit = EditOf<'addStage' | 'setStage' | 'setPart' | 'fillPart' | 'removeStage'>;
type WholeEdit = Exclude<FormulaEdit, LineEdit | StageEdit | StepEdit | WayEdit>;

function editWhole(formula: Formula, edit: WholeEdit): Result<Formula> {
  switch (edit.type) {
    case 'bringBack':
      return ok(edit.formula);
    case 'rename': {
      const name = checkText(edit.name, FORMULA_LIMITS.nameLength, 'name');
      if (!name.ok) return name;
      return edit.name.trim() === '' ? refuse('required', 'name') : ok({ ...formula, name: edit.name });
    }
    case 'setStyle':
      return ok({ ...formula, style: edit.style });
    case 'setAbout': {
      const about = checkText(edit.about, FORMULA_LIMITS.aboutLength, 'about', { lines: true });
      return about.ok ? ok({ ...formula, about: edit.about }) : about;
    }
    case 'setPercentBase':
      return ok({ ...formula, percentBase: edit.percentBase });
    case 'setBakedAs':
      return ok({ ...formula, bakedAs: edit.bakedAs });
    case 'setYield':
      return ok({ ...formula, usualYield: edit.usualYield });
    default:
      return never(edit);
  }
}

function editLine(formula: Formula, edit: LineEdit, book: IngredientBook): Result<Formula> {
  switch (edit.type) {
    case 'setMass': {
      const mass = within(edit.massG, FORMULA_LIMITS.lineMassG, 'massG');
      if (!mass.ok) return mass;
      if (!allLines(formula).some(({ id }) => id === edit.lineId)) return refuse('unknownLine', 'massG');
      return notWetter(
        formula,
        mapLines(formula, (line) =>
          line.id === edit.lineId ? atWeight(line, edit.massG, edit.measured) : line,
        ),
        book,
      );
    }
    case 'setPercent':
      return setPercent(formula, edit.lineId, edit.percent, book);
    case 'setIngredient':
      if (!book.has(edit.ingredientId)) return refuse('unknownIngredient', 'ingredientId');
      return ok(
        mapLines(formula, (line) =>
          line.id === edit.lineId ? atWeight({ ...line, ingredientId: edit.ingredientId }, line.massG) : line,
        ),
      );
    case 'setLineNote': {
      const note = checkText(edit.note, FORMULA_LIMITS.noteLength, 'note');
      if (!note.ok) return note;
      return ok(mapLines(formula, (line) => (line.id === edit.lineId ? { ...line, note: edit.note } : line)));
    }
    case 'setHeldBack':
      return notWetter(
        formula,
        mapLines(formula, (line) => {
          if (line.id !== edit.lineId || (line.heldBack ?? false) === edit.heldBack) return line;
          const { heldBack: _, ...rest } = line;
          return edit.heldBack ? { ...rest, heldBack: true } : rest;
        }),
        book,
      );
    case 'addLine': {
      if (!book.has(edit.line.ingredientId)) return refuse('unknownIngredient', 'ingredientId');
      const mass = within(edit.line.massG, FORMULA_LIMITS.lineMassG, 'massG');
      if (!mass.ok) return mass;
      const stage = formula.stages.find(({ id }) => id === edit.stageId);
      if (!stage) return refuse('unknownStage', 'stageId');
      if (stage.lines.length >= FORMULA_LIMITS.linesPerStage) {
        return refuse('tooMany', 'lines', { max: FORMULA_LIMITS.linesPerStage });
      }
      if (allLines(formula).some(({ id }) => id === edit.line.id)) return refuse('duplicateId', 'id');
      const after = replaceStage(formula, edit.stageId, (at) => ({ ...at, lines: [...at.lines, edit.line] }));
      return notWetter(formula, after, book);
    }
    case 'removeLine':
      return ok(
        takingWhatIsThere({
          ...formula,
          stages: formula.stages.map((stage) => ({
            ...stage,
            lines: stage.lines.filter((line) => line.id !== edit.lineId),
          })),
        }),
      );
    case 'moveLine': {
      const line = allLines(formula).find(({ id }) => id === edit.lineId);
      if (!line) return refuse('unknownLine', 'lineId');
      if (!formula.stages.some(({ id }) => id === edit.toStageId)) return refuse('unknownStage', 'stageId');
      return ok({
        ...formula,
        stages: formula.stages.map((stage) => {
          const lines = stage.lines.filter(({ id }) => id !== edit.lineId);
          return {
            ...stage,
            lines: stage.id === edit.toStageId ? insertAt(lines, edit.toIndex, line) : lines,
          };
        }),
      });
    }
    default:
      return never(edit);
  }
}

/** Puts the lines of another formula into a part; what steps took of lines that are gone they take no more. */
function fillPart(
  formula: Formula,
  { stageId, formulaId, lines }: EditOf<'fillPart'>,
  book: IngredientBook,
): Result<Formula> {
  if (!formula.stages.some(({ id }) => id === stageId)) return refuse('unknownStage', 'stageId');
  const withoutLink = replaceStage(formula, stageId, ({ formulaId: _, ...stage }) => stage);
  if (formulaId === null) return ok(withoutLink);
  const max = FORMULA_LIMITS.linesPerStage;
  if (lines.length > max) return refuse('tooMany', 'lines', { max });
  if (lines.length === 0) return refuse('nothingToWeigh', 'lines');
  const others = formula.stages.filter(({ id }) => id !== stageId).flatMap((stage) => stage.lines);
  const ids = new Set([...others, ...lines].map(({ id }) => id));
  if (ids.size < others.length + lines.length) return refuse('duplicateId', 'id');
  for (const line of lines) {
    if (!book.has(line.ingredientId)) return refuse('unknownIngredient', 'ingredientId');
    const mass = within(line.massG, FORMULA_LIMITS.lineMassG, 'massG');
    if (!mass.ok) return mass;
  }
  return ok(
    takingWhatIsThere(
      replaceStage(withoutLink, stageId, (stage) => ({ ...stage, lines: [...lines], formulaId })),
    ),
  );
}

function editStage(formula: Formula, edit: StageEdit, book: IngredientBook): Result<Formula> {
  switch (edit.type) {
    case 'addStage':
      if (formula.stages.length >= FORMULA_LIMITS.stages) {
        return refuse('tooMany', 'stages', { max: FORMULA_LIMITS.stages });
      }
      return ok({ ...formula, stages: [...formula.stages, edit.stage] });
    case 'setStage': {
      const name = checkText(edit.name, 40, 'name');
      if (!name.ok) return name;
      return ok(replaceStage(formula, edit.stageId, (at) => ({ ...at, name: edit.name, kind: edit.kind })));
    }
    case 'setPart': {
      const { perPieceG, takenUp, keeps } = edit.part;
      const checks = [
        ...(perPieceG == null ? [] : [within(perPieceG, FORMULA_LIMITS.lineMassG, 'perPieceG')]),
        ...(takenUp
          ? [
              within(takenUp.lowPercent, PERCENT, 'takenUp'),
              within(takenUp.highPercent, PERCENT, 'takenUp'),
              takenUp.lowPercent <= takenUp.highPercent ? ok(null) : refuse('rangeReversed', 'takenUp'),
            ]
          : []),
        ...(keeps ? [within(keeps.days, FORMULA_LIMITS.keepsDays, 'days')] : []),
      ];
      const refused = checks.find((check) => !check.ok);
      if (refused && !refused.ok) return refused;
      return ok(
        replaceStage(formula, edit.stageId, ({ perPieceG: _, takenUp: __, keeps: ___, ...stage }) => ({
          ...stage,
          ...(perPieceG != null && { perPieceG }),
          ...(takenUp && { takenUp }),
          ...(keeps && { keeps }),
        })),
      );
    }
    case 'fillPart': {
      const filled = fillPart(formula, edit, book);
      return filled.ok ? notWetter(formula, filled.value, book) : filled;
    }
    case 'removeStage':
      if (formula.stages.length === 1) return refuse('lastStage', 'stages');
      return ok(
        takingWhatIsThere({ ...formula, stages: formula.stages.filter(({ id }) => id !== edit.stageId) }),
      );
    default:
      return never(edit);
  }
}

/**
 * Applies one edit. Pure: the formula handed in is untouched, and an edit that is refused changes nothing.
 * A problem's `path` names the field of the edited thing (massG, percent, name ...).
 */
export function applyEdit(formula: Formula, edit: FormulaEdit, book: IngredientBook): Result<Formula> {
  switch (edit.type) {
    case 'setMass':
    case 'setPercent':
    case 'setIngredient':
    case 'setLineNote':
    case 'setHeldBack':
    case 'addLine':
    case 'removeLine':
    case 'moveLine':
      return editLine(formula, edit, book);
    case 'addStage':
    case 'setStage':
    case 'setPart':
    case 'fillPart':
    case 'removeStage':
      return editStage(formula, edit, book);
    case 'addStep':
    case 'setStep':
    case 'removeStep':
    case 'moveStep':
      return editStep(formula, edit);
    case 'partDough':
    case 'addWay':
    case 'setWay':
    case 'removeWay':
      return editWays(formula, edit);
    default:
      return editWhole(formula, edit);
  }
}
