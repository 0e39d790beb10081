'use client';
import { GripVertical, X } from 'lucide-react';
import { memo } from 'react';
import type { FormulaEdit, Line } from '@/core/formula';
import { measuredAs } from '@/core/quantity/measuredAs';
import { GRAMS_PER_OUNCE } from '@/core/units';
import { Cell } from '@/ui/Cell';
import { cx } from '@/ui/cx';
import { IconButton } from '@/ui/Button';
import { useBook } from '../book/BookProvider';
import { useStoredKit } from '../kit/KitProvider';
import { useNumbers, usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordProblem } from '@/wording/problems';
import { Carried } from './carry/carry';
import type { Carry } from './carry/carryProps';
import { IngredientPicker } from './IngredientPicker';
import { quantitiesComing, readQuantity } from '../quantities/readQuantity';
import { roleColor } from './RoleDot';
import { useSheetActions, useSheetState } from '../sheet/SheetContext';
import { ROLE_WORD } from '@/wording/words';
import { words } from '@/wording/screens/formula/LineRow';

interface LineRowProps {
  lineId: string;
  onMove: (lineId: string, by: -1 | 1) => void;
}

/** One ingredient: grams and percent side by side, each following the other, with a bar for its share. */
export const LineRow = memo(function LineRow({ lineId, onMove }: LineRowProps) {
  const line = useSheetState((state) => state.lines.get(lineId));
  const percent = useSheetState((state) => state.totals.linePercent.get(lineId) ?? null);
  return line ? (
    <Carried id={lineId}>
      {(carry) => <Row line={line} percent={percent} onMove={onMove} carry={carry} />}
    </Carried>
  ) : null;
});

interface RowProps {
  line: Line;
  percent: number | null;
  onMove: LineRowProps['onMove'];
  carry: Carry;
}

/** What a typed weight or percentage does to a line; what is wrong with it comes back in words. */
function useLineTyping(line: Line) {
  const numbers = useNumbers();
  const { store, edit } = useSheetActions();
  const ingredient = useBook().get(line.ingredientId);
  const units = useUnits();
  const { preferences } = usePreferences();
  const { kit } = useStoredKit();
  const attempt = (change: FormulaEdit, key: string): string | null => {
    const problem = edit(change, `${key}:${line.id}`);
    return problem && wordProblem(problem, preferences);
  };
  const typeMass = (text: string) => {
    const massG = units.parseMass(text);
    if (massG.ok) return attempt({ type: 'setMass', lineId: line.id, massG: massG.value }, 'mass');
    const read = readQuantity(text, ingredient ?? null, {
      system: preferences.measure,
      bareUnitG: units.massUnit === 'g' ? 1 : GRAMS_PER_OUNCE,
      baseG: store.state.totals.baseG,
      own: kit.measures,
    });
    // until the reader is there a cell understands weights, as it always did
    if (!read || (!read.ok && read.problem.code === 'notANumber'))
      return wordProblem(massG.problem, preferences);
    if (!read.ok) return wordProblem(read.problem, preferences);
    const { massG: takenG } = read.value;
    if (read.value.by === 'percent') {
      return attempt(
        { type: 'setPercent', lineId: line.id, percent: (100 * takenG) / store.state.totals.baseG },
        'mass',
      );
    }
    const measured = measuredAs(text, read.value) ?? undefined;
    return attempt({ type: 'setMass', lineId: line.id, massG: takenG, measured }, 'mass');
  };
  const typePercent = (text: string) => {
    const typed = numbers.parse(text.replace(/\s*%\s*$/, ''));
    return typed.ok
      ? attempt({ type: 'setPercent', lineId: line.id, percent: typed.value }, 'percent')
      : wordProblem(typed.problem, preferences);
  };
  return { attempt, typeMass, typePercent };
}

function Row({ line, percent, onMove, carry }: RowProps) {
  const numbers = useNumbers();
  const book = useBook();
  const { edit, settle, takeBack } = useSheetActions();
  const units = useUnits();
  const ingredient = book.get(line.ingredientId);
  const name = ingredient?.name ?? line.ingredientId;
  const role = ingredient?.roles[0] ?? 'inclusion';

  const { attempt, typeMass, typePercent } = useLineTyping(line);

  return (
    <li
      {...carry.row}
      data-line={line.id}
      onKeyDown={(event) => {
        if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
        event.preventDefault();
        onMove(line.id, event.key === 'ArrowUp' ? -1 : 1);
      }}
      className={cx(
        'group relative grid grid-cols-[1.75rem_minmax(0,1fr)_5.75rem_5.25rem_2rem] items-center border-t border-rule thin:grid-cols-[1.75rem_minmax(0,1fr)_minmax(0,1fr)_2rem] sm:grid-cols-[1.75rem_minmax(0,1.1fr)_minmax(0,1fr)_6.5rem_6rem_2rem]',
        carry.carried && 'z-10 bg-well shadow-lg',
      )}
    >
      <button
        type="button"
        {...carry.grip}
        data-grip
        aria-label={words.move(name)}
        className="flex h-9 cursor-grab touch-none items-center justify-center text-edge hover:text-ink"
      >
        <GripVertical size={16} aria-hidden />
      </button>
      <IngredientPicker
        name={words.putAnotherIngredientHere(name)}
        label={words.insteadOf(name)}
        onPick={(picked) => edit({ type: 'setIngredient', lineId: line.id, ingredientId: picked.id })}
        className="min-h-9 rounded px-1 text-left leading-tight font-medium hover:underline thin:col-span-2"
      >
        {name}
      </IngredientPicker>
      <Cell
        label={words.noteFor(name)}
        value={line.note}
        align="left"
        inputMode="text"
        placeholder=""
        className="max-sm:hidden"
        inputClassName="text-sm text-soft"
        onType={(note) => attempt({ type: 'setLineNote', lineId: line.id, note }, 'note')}
        restore={() => takeBack(`note:${line.id}`)}
        onLeave={settle}
      />
      <Cell
        label={words.weight(name)}
        testId="mass"
        className="thin:col-start-2"
        value={units.massCell(line.massG)}
        unit={units.massUnit}
        onType={typeMass}
        later={quantitiesComing}
        restore={() => takeBack(`mass:${line.id}`)}
        onLeave={settle}
        inputClassName="font-semibold"
      />
      <Cell
        label={words.percentOfTheFlours(name)}
        testId="percent"
        value={percent === null ? '' : numbers.decimal(percent, percent < 10 ? 2 : 1)}
        placeholder="–"
        unit="%"
        onType={typePercent}
        restore={() => takeBack(`percent:${line.id}`)}
        onLeave={settle}
      />
      <IconButton
        label={words.remove(name)}
        onClick={() => edit({ type: 'removeLine', lineId: line.id })}
        className="opacity-60 thin:col-start-4 thin:row-start-1 group-focus-within:opacity-100 group-hover:opacity-100"
      >
        <X size={15} aria-hidden />
      </IconButton>
      {line.heldBack && (
        <label className="col-start-2 col-end-6 thin:col-end-5 -mt-1 flex min-h-6 items-center gap-1.5 pb-1 pl-1 text-xs text-soft">
          <input
            type="checkbox"
            checked
            onChange={() => edit({ type: 'setHeldBack', lineId: line.id, heldBack: false })}
            className="size-6 accent-[var(--ink)]"
          />
          {words.heldBack}
        </label>
      )}
      {line.measured && (
        <span
          data-testid="measured"
          className="col-start-2 col-end-6 thin:col-end-5 -mt-1 pb-1 pl-1 text-xs text-soft sm:col-start-4 sm:col-end-7 sm:pl-1.5"
        >
          {line.measured.said}: {units.massRange(line.measured.lowG, line.measured.highG)}
        </span>
      )}
      <span
        aria-hidden
        title={ROLE_WORD[role]}
        className="pointer-events-none absolute bottom-0 left-7 h-[3px] max-w-[calc(100%-1.75rem)]"
        style={{ width: `${Math.min(100, percent ?? 0) * 0.9}%`, background: roleColor(role) }}
      />
    </li>
  );
}
