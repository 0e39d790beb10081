'use client';
import { useMemo, useState } from 'react';
import { checkFormula } from '@/core/formula';
import { sheetOfRecipe, type Answer, type LineRole, type RecipeReading } from '@/core/recipe';
import { Button } from '@/ui/Button';
import { newUuid } from '@/ui/newUuid';
import { useKitchenRouter, useKitchen } from '../kitchen/KitchenProvider';
import { ask } from '../asking/ask';
import { useBook } from '../book/BookProvider';
import { useNumbers, usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { wordPath } from '@/wording/paths';
import { wordProblem } from '@/wording/problems';
import { STAGE_WORD } from '@/wording/words';
import { ReadLine } from './ReadLine';
import { ReadLines } from './ReadLines';
import { meantBy, openStepAsks, ReadSteps, type StepAnswers } from './ReadSteps';
import { useReading, type ReadingState } from './useReading';
import { words } from '@/wording/screens/reading/ReadingView';

/** Ids for lines and steps while a text is being read: the same text gives the same ids, so that answers stay with their lines. */
function counter(letter: string): () => string {
  let next = 0;
  return () => `${letter}${(next += 1)}`;
}

const placeWords = (path: string): string => {
  const line = /^line\.(\d+)/.exec(path)?.[1];
  const row = /^row\.(\d+)(?:\.(\w+))?/.exec(path);
  if (line) return words.line(line);
  if (row) return words.row(row[1] ?? '', row[2]);
  if (/^stages(?:\.\d+\.lines)?$/.test(path))
    return path === 'stages' ? words.parts : words.ingredientsInOnePart;
  return wordPath(path);
};

const NOTHING_DECLARED: ReadonlyMap<number, LineRole> = new Map();

/** What a text was understood as; the way on is open once no question is. */
export function ReadingView({ text }: { text: string }) {
  const router = useKitchenRouter();
  const kitchen = useKitchen();
  const { preferences } = usePreferences();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  // one wish per text: pressed twice it is still one formula
  const requestId = useMemo(() => (text ? newUuid() : ''), [text]);
  const [declared, setDeclared] = useState<ReadonlyMap<number, LineRole>>(NOTHING_DECLARED);
  const { reading, of, cancel } = useReading(text, declared);
  const declare = (number: number, role: LineRole) =>
    setDeclared((before) => new Map(before).set(number, role));

  const send = async (path: string, body: object) => {
    setBusy(true);
    setTrouble(null);
    const answer = await ask<{ id: string }>(path, { requestId, ...body });
    if (answer.kind === 'ok') {
      router.push(`/formulas/${answer.value.id}`);
      // it may have brought ingredients along
      return router.refresh();
    }
    setBusy(false);
    const problem = answer.kind === 'invalid' ? answer.problems[0] : undefined;
    setTrouble(
      problem
        ? `${placeWords(problem.path)}${wordProblem(problem, preferences)}`
        : answer.kind === 'refused' && answer.why === 'tooBig'
          ? words.thisIsMoreThanOne
          : words.theServerDidNotAnswer,
    );
  };

  if (reading.kind !== 'read') {
    return <NotRead reading={reading} onCancel={cancel} />;
  }
  const { read } = reading;
  if (!read.ok) {
    return (
      <p role="alert" className="docket rounded-b-md p-6 text-alarm">
        {placeWords(read.problem.path)}
        {wordProblem(read.problem, preferences)}
      </p>
    );
  }
  return (
    <section aria-label={words.howItWasUnderstood} className="docket min-w-0 rounded-b-md px-4 pt-4 pb-5">
      {trouble && (
        <p
          role="alert"
          className="mb-3 rounded border border-alarm bg-alarm-wash px-3 py-2 text-sm text-alarm"
        >
          {trouble}
        </p>
      )}
      {read.value.as === 'ours' ? (
        <>
          <p className="text-lg font-semibold">{words.aFormulaFileOfHonest}</p>
          <p className="mt-1 text-sm text-soft">{words.itIsTakenWholeWith}</p>
          <Button
            look="now"
            className="mt-4 min-h-11 px-5"
            disabled={busy}
            onClick={() => void send(kitchen.api('/formulas/import'), { file: of })}
          >
            {words.importIt}
          </Button>
        </>
      ) : (
        <Understood
          // another text is another set of questions
          key={of}
          reading={read.value.reading}
          left={read.value.left}
          busy={busy}
          onDeclare={read.value.as === 'recipe' ? declare : null}
          onMake={(formula) => void send(kitchen.api('/formulas'), { formula })}
        />
      )}
    </section>
  );
}

const NOT_READ = {
  tooLong: words.thisTextTakesLongerTo,
  broken: words.thisTextCouldNotBe,
  left: words.readingWasStoppedChangeThe,
} as const;

function NotRead({
  reading: { kind },
  onCancel,
}: {
  reading: Exclude<ReadingState, { kind: 'read' }>;
  onCancel: () => void;
}) {
  if (kind !== 'reading') {
    return (
      <p role="alert" className="docket rounded-b-md p-6 text-alarm">
        {NOT_READ[kind]}
      </p>
    );
  }
  return (
    <div role="status" className="docket flex items-center justify-between gap-3 rounded-b-md p-6 text-soft">
      <span>{words.reading}</span>
      <Button onClick={onCancel}>{words.stop}</Button>
    </div>
  );
}

function Understood({
  reading,
  left,
  busy,
  onDeclare,
  onMake,
}: {
  reading: RecipeReading;
  left: readonly string[];
  busy: boolean;
  onDeclare: ((number: number, role: LineRole) => void) | null;
  onMake: (formula: ReturnType<typeof sheetOfRecipe>['formula']) => void;
}) {
  const book = useBook();
  const units = useUnits();
  const { preferences } = usePreferences();
  const [answers, setAnswers] = useState<ReadonlyMap<number, Answer>>(new Map());
  const [told, setTold] = useState<StepAnswers>(new Map());
  const meant = useMemo(() => meantBy(reading, told), [reading, told]);
  const sheet = useMemo(
    () => sheetOfRecipe(reading, answers, book, counter('s'), meant),
    [answers, book, meant, reading],
  );
  const open = sheet.open.length + openStepAsks(reading, told);
  const problem = useMemo(() => checkFormula(sheet.formula, book)[0], [book, sheet.formula]);
  const count = reading.parts.reduce((sum, part) => sum + part.items.length, 0);
  return (
    <>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <div>
          <h2 className="text-xl">{reading.title ?? words.withoutATitle}</h2>
          <p className="text-sm text-soft" data-testid="understood">
            {words.ingredientsSteps(count, reading.steps.length)}
            {open > 0 && (
              <strong className="text-alarm">
                {words.left(open === 1 ? words.oneQuestion : words.questions(open))}
              </strong>
            )}
          </p>
        </div>
        <Button
          look="now"
          className="min-h-11 px-5"
          disabled={busy || open > 0 || count === 0 || problem !== undefined}
          onClick={() => onMake(sheet.formula)}
        >
          {words.makeTheFormula}
        </Button>
      </div>
      {problem && (
        <p role="alert" className="mt-2 text-sm text-alarm">
          {placeWords(problem.path)}
          {wordProblem(problem, preferences)}
        </p>
      )}
      {sheet.cutLetters > 0 && (
        <p role="alert" className="mt-2 text-sm text-alarm">
          {words.itsWordsAreTooMany(sheet.cutLetters)}
        </p>
      )}
      {sheet.assumedBaseG !== null && (
        <p className="mt-2 text-sm text-soft">
          {words.onlyPercentagesWereGivenCalculated(units.mass(sheet.assumedBaseG))}
        </p>
      )}
      {reading.parts.map((part, index) => (
        <section key={index} className="mt-4">
          <h3 className="text-sm text-soft">
            {part.name || words.ingredients}
            {part.kind !== 'main' &&
              !part.name.toLowerCase().includes(part.kind) &&
              ` · ${STAGE_WORD[part.kind].toLowerCase()}`}
          </h3>
          <ul className="border-b border-rule">
            {part.items.map((item) => (
              <ReadLine
                key={item.number}
                item={item}
                answer={answers.get(item.number) ?? {}}
                open={sheet.open.includes(item.number)}
                percentOff={sheet.percentOff.find(({ number }) => number === item.number) ?? null}
                onAnswer={(answer) => setAnswers((before) => new Map(before).set(item.number, answer))}
              />
            ))}
          </ul>
        </section>
      ))}
      <Contradictions reading={reading} />
      <ReadSteps
        reading={reading}
        told={told}
        onTell={(key, answer) => setTold((before) => new Map(before).set(key, answer))}
      />
      <ReadLines reading={reading} left={left} onDeclare={onDeclare} />
    </>
  );
}

/** Two scales that disagree. */
function Contradictions({ reading }: { reading: RecipeReading }) {
  const numbers = useNumbers();
  if (reading.contradictions.length === 0) return null;
  return (
    <section className="mt-4 rounded border border-alarm bg-alarm-wash px-3 py-2 text-sm text-alarm">
      {reading.contradictions.map(({ written, firstC, secondC, number }) => (
        <p key={`${number} ${written}`}>
          {words.lineSaysThatIsC(number, written, numbers.decimal(firstC, 0), numbers.decimal(secondC, 0))}
        </p>
      ))}
    </section>
  );
}
