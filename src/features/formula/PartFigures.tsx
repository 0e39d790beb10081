'use client';
import {
  FORMULA_LIMITS,
  KEPT_IN,
  eatenOf,
  missingG,
  partMassG,
  purposeOf,
  yieldOf,
  type Formula,
} from '@/core/formula';
import { Cell } from '@/ui/Cell';
import { Choice } from '@/ui/Choice';
import { within } from '@/core/units';
import { wordProblem } from '@/wording/problems';
import { KEPT_WORD } from '@/wording/words';
import { words } from '@/wording/screens/formula/PartFigures';
import { useNumbers, usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { readWhole } from '../quantities/readWhole';
import { useSheetActions, useSheetState } from '../sheet/SheetContext';

const NOT_SAID = 'notSaid';
const PLACES = [
  { value: NOT_SAID, label: words.notSaid },
  ...KEPT_IN.map((value) => ({ value, label: KEPT_WORD[value] })),
] as const;
/** Where nobody says, days: quality, not safety. */
const USUAL_DAYS = { room: 1, fridge: 4, freezer: 60 } as const;

type Stage = Formula['stages'][number];
type Figures = Pick<Stage, 'perPieceG' | 'takenUp' | 'keeps'>;
interface FiguresProps {
  readonly stage: Stage;
  readonly formula: Formula;
}

/** Changes the figures of a part; what is not named goes. */
function usePart(stage: Stage) {
  const { edit, settle, takeBack } = useSheetActions();
  const key = `part:${stage.id}`;
  const { perPieceG, takenUp, keeps } = stage;
  const part: Figures = {
    ...(perPieceG != null && { perPieceG }),
    ...(takenUp && { takenUp }),
    ...(keeps && { keeps }),
  };
  const put = (next: Figures) => edit({ type: 'setPart', stageId: stage.id, part: next }, key);
  return { part, put, settle, restore: () => takeBack(key) };
}

/** Of a part that is not the dough: how much of it the pieces take, what is left over and how it keeps; of a bath and of dusting what the bread keeps. */
export function PartFigures({ stageId }: { stageId: string }) {
  const formula = useSheetState((state) => state.formula);
  const stage = formula.stages.find(({ id }) => id === stageId);
  const purpose = stage ? purposeOf(stage) : 'dough';
  if (!stage || purpose === 'dough') return null;
  return purpose === 'bath' || purpose === 'dusting' ? (
    <Kept stage={stage} formula={formula} />
  ) : (
    <div
      className="flex flex-wrap items-center gap-x-3 py-1 pl-1 text-sm text-soft"
      data-testid="part-figures"
    >
      <PerPiece stage={stage} formula={formula} />
      {purpose === 'with' && <Keeps stage={stage} />}
    </div>
  );
}

/** What the bread keeps of a bath, or of what is dusted and greased. */
function Kept({ stage, formula }: FiguresProps) {
  const units = useUnits();
  const numbers = useNumbers();
  const { preferences } = usePreferences();
  const { part, put, settle, restore } = usePart(stage);
  const { takenUp } = stage;
  const { low, high } = eatenOf(stage, yieldOf(formula));
  const range = (lowPercent: number, highPercent: number) =>
    words.range(numbers.decimal(lowPercent, 1), numbers.decimal(highPercent, 1));
  const type = (text: string): string | null => {
    if (text.trim() === '') {
      const { takenUp: _, ...rest } = part;
      put(rest);
      return null;
    }
    const [first, last = first, more] = text
      .split(/\s*(?:-|–|…|to)\s*/)
      .filter(Boolean)
      .map((each) => numbers.parse(each));
    if (!first || !last || more) return words.twoNumbers;
    if (!first.ok) return wordProblem(first.problem, preferences);
    if (!last.ok) return wordProblem(last.problem, preferences);
    const problem = put({ ...part, takenUp: { lowPercent: first.value, highPercent: last.value } });
    return problem && wordProblem(problem, preferences);
  };
  return (
    <div
      className="flex flex-wrap items-center gap-x-2 py-1 pl-1 text-sm text-soft"
      data-testid="part-figures"
    >
      <span>{words.theBreadKeeps}</span>
      <Cell
        label={words.keptOf(stage.name)}
        value={takenUp ? range(takenUp.lowPercent, takenUp.highPercent) : ''}
        unit="%"
        placeholder={range(100 * low, 100 * high)}
        className="w-28"
        onType={type}
        restore={restore}
        onLeave={settle}
      />
      <span>{words.ofItThatIs(units.massRange(low * partMassG(stage), high * partMassG(stage)))}</span>
      {!takenUp && <span className="italic">{words.asUsual}</span>}
    </div>
  );
}

/** How much a piece takes, what is left over of all, or lacks. */
function PerPiece({ stage, formula }: FiguresProps) {
  const units = useUnits();
  const { preferences } = usePreferences();
  const { part, put, settle, restore } = usePart(stage);
  const made = yieldOf(formula);
  const { leftG } = eatenOf(stage, made);
  const shortG = missingG(stage, made.pieces);
  return (
    <>
      <span className="flex items-center gap-1">
        {words.aPieceTakes}
        <Cell
          label={words.perPiece(stage.name)}
          value={stage.perPieceG == null ? '' : units.massCell(stage.perPieceG)}
          unit={units.massUnit}
          placeholder={words.itsShare}
          className="w-28"
          onType={(text) => {
            if (text.trim() === '') {
              const { perPieceG: _, ...rest } = part;
              put(rest);
              return null;
            }
            const typed = units.parseMass(text);
            const checked = typed.ok ? within(typed.value, FORMULA_LIMITS.lineMassG, 'perPieceG') : typed;
            if (!checked.ok) return wordProblem(checked.problem, preferences);
            put({ ...part, perPieceG: checked.value });
            return null;
          }}
          restore={restore}
          onLeave={settle}
        />
      </span>
      {leftG !== null && leftG >= 0.5 && <span>{words.left(units.mass(leftG), made.pieces)}</span>}
      {shortG >= 0.5 && <span className="text-alarm">{words.short(units.mass(shortG), made.pieces)}</span>}
    </>
  );
}

/** Where what is left of a sauce or filling keeps, and for how long. */
function Keeps({ stage }: Pick<FiguresProps, 'stage'>) {
  const { preferences } = usePreferences();
  const { part, put, settle, restore } = usePart(stage);
  const { keeps } = stage;
  return (
    <span className="flex items-center gap-1">
      {words.whatIsLeftKeeps}
      <Choice
        label={words.keptWhere(stage.name)}
        value={keeps?.place ?? NOT_SAID}
        options={PLACES}
        onChange={(place) => {
          const { keeps: _, ...rest } = part;
          put(
            place === NOT_SAID ? rest : { ...rest, keeps: { place, days: keeps?.days ?? USUAL_DAYS[place] } },
          );
          settle();
        }}
        className="border-edge"
      />
      {keeps && (
        <Cell
          label={words.keptDays(stage.name)}
          value={String(keeps.days)}
          unit={words.days}
          className="w-24"
          onType={(text) => {
            const typed = readWhole(text);
            const checked = typed.ok ? within(typed.value, FORMULA_LIMITS.keepsDays, 'days') : typed;
            if (!checked.ok) return wordProblem(checked.problem, preferences);
            put({ ...part, keeps: { place: keeps.place, days: checked.value } });
            return null;
          }}
          restore={restore}
          onLeave={settle}
        />
      )}
    </span>
  );
}
