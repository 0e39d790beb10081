'use client';
import { Ruler } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useId, useState, type ReactNode } from 'react';
import { FACTOR_LIMITS } from '@/core/batch';
import { allLines, FORMULA_LIMITS, type Formula } from '@/core/formula';
import { ok, refuse, type Result } from '@/core/result';
import { formatDecimal, parseDecimal, within, type Bounds } from '@/core/units';
import { Button } from '@/ui/Button';
import { Cell } from '@/ui/Cell';
import { Choice } from '@/ui/Choice';
import { Segmented } from '@/ui/Segmented';
import { useBook, useNameOf } from '../book/BookProvider';
import { usePreferences, useUnits } from '../preferences/PreferencesProvider';
import { quantitiesComing } from '../quantities/readQuantity';
import { useQuantity } from '../quantities/useQuantity';
import { wordProblem } from '../wording/problems';
import type { BatchQuery } from './useBatchQuery';

const VesselDialog = dynamic(() => import('./VesselDialog').then((module) => module.VesselDialog), {
  ssr: false,
});

function Ask({ word, children }: { word: string; children: ReactNode }) {
  return (
    <div className="mt-3">
      <span className="text-sm font-semibold">{word}</span>
      <div className="mt-1">{children}</div>
    </div>
  );
}

interface BatchQuestionProps {
  formula: Formula;
  query: BatchQuery;
  onChange: (part: Partial<BatchQuery>) => void;
}

export function BatchQuestion({ formula, query, onChange }: BatchQuestionProps) {
  const id = useId();
  const nameOf = useNameOf();
  const units = useUnits();
  const readMass = useQuantity();
  const book = useBook();
  const { preferences } = usePreferences();

  const take =
    (path: string, read: (text: string) => Result<number>, limits: Bounds, put: (value: number) => void) =>
    (text: string): string | null => {
      const typed = read(text);
      const value = typed.ok ? within(typed.value, limits, path) : typed;
      if (!value.ok) return wordProblem(value.problem, preferences);
      put(value.value);
      return null;
    };
  const whole = (text: string): Result<number> => {
    const typed = parseDecimal(text);
    return typed.ok && !Number.isInteger(typed.value) ? refuse('notWhole') : typed;
  };
  const percent = (text: string): Result<number> => parseDecimal(text.replace(/\s*%\s*$/, ''));
  const times = (text: string): Result<number> => {
    const typed = parseDecimal(text.replace(/^\s*[×x]\s*/i, ''));
    return typed.ok ? ok(typed.value) : typed;
  };

  const [measuring, setMeasuring] = useState(false);
  const lines = allLines(formula);
  const fixedId = lines.find((line) => line.id === query.line)?.ingredientId ?? '';
  const readHave = (text: string) => readMass(text, book.get(fixedId) ?? null);
  const piece = (
    <Ask word={query.mode === 'pieces' ? 'each weighing' : 'in pieces of'}>
      <Cell
        size="bench"
        label="Weight of a piece"
        restore={() => onChange({ each: query.each })}
        testId="piece-mass"
        unit={units.massUnit}
        value={units.massNumber(query.each)}
        onType={take('pieceMassG', units.parseMass, FORMULA_LIMITS.pieceMassG, (each) => onChange({ each }))}
      />
    </Ask>
  );

  return (
    <section aria-labelledby={id} className="docket no-print rounded-b-md px-4 pt-4 pb-5">
      <h2 id={id} className="text-lg">
        How much?
      </h2>
      <Segmented
        label="How the batch is asked for"
        size="table"
        value={query.mode}
        onChange={(mode) => onChange({ mode })}
        options={[
          { value: 'pieces', label: 'Pieces' },
          { value: 'factor', label: 'Times' },
          { value: 'fixed', label: 'What I have' },
        ]}
        className="mt-2 flex w-full"
      />
      {query.mode === 'pieces' && (
        <>
          <Ask word="Pieces">
            <Cell
              size="bench"
              label="Number of pieces"
              restore={() => onChange({ pieces: query.pieces })}
              testId="pieces"
              inputMode="numeric"
              value={formatDecimal(query.pieces, 0)}
              onType={take('pieces', whole, FORMULA_LIMITS.pieces, (pieces) => onChange({ pieces }))}
            />
          </Ask>
          {piece}
          <Segmented
            label="When a piece is weighed"
            value={query.weighed}
            onChange={(weighed) => onChange({ weighed })}
            options={[
              { value: 'dough', label: 'as dough' },
              { value: 'baked', label: 'baked' },
            ]}
            className="mt-2 flex w-full"
          />
          <Ask word="Lost in the oven">
            <Cell
              size="bench"
              label="Bake loss"
              restore={() => onChange({ bakeLoss: query.bakeLoss })}
              unit="%"
              value={formatDecimal(query.bakeLoss, 1)}
              onType={take('bakeLossPercent', percent, FORMULA_LIMITS.lossPercent, (bakeLoss) =>
                onChange({ bakeLoss }),
              )}
            />
          </Ask>
        </>
      )}
      {query.mode === 'pieces' && query.weighed === 'dough' && (
        <Button className="mt-3" onClick={() => setMeasuring(true)}>
          <Ruler size={16} aria-hidden /> From a tin or a size
        </Button>
      )}
      {measuring && (
        <VesselDialog
          formula={formula}
          onClose={() => setMeasuring(false)}
          onTake={(each) => {
            onChange({ each });
            setMeasuring(false);
          }}
        />
      )}
      {query.mode === 'factor' && (
        <>
          <Ask word="Times the formula">
            <Cell
              size="bench"
              label="Factor"
              restore={() => onChange({ factor: query.factor })}
              testId="factor"
              unit="×"
              value={formatDecimal(query.factor, 3)}
              onType={take('factor', times, FACTOR_LIMITS, (factor) => onChange({ factor }))}
            />
          </Ask>
          {piece}
        </>
      )}
      {query.mode === 'fixed' && (
        <>
          <Ask word="I want to use up">
            <Choice
              label="Which ingredient is fixed"
              value={query.line}
              options={lines.map((line) => ({
                value: line.id,
                label: nameOf(line.ingredientId),
              }))}
              onChange={(line) => onChange({ line })}
              className="min-h-12 w-full border-edge bg-sheet px-2 text-lg"
            />
          </Ask>
          <Ask word="of which I have">
            <Cell
              size="bench"
              label="What I have of it"
              restore={() => onChange({ have: query.have })}
              testId="have"
              unit={units.massUnit}
              value={units.massNumber(query.have)}
              onType={take('massG', readHave, FORMULA_LIMITS.lineMassG, (have) => onChange({ have }))}
              later={quantitiesComing}
            />
          </Ask>
          {piece}
        </>
      )}
      <Ask word="Left in bowl and on hands">
        <Cell
          size="bench"
          label="Bowl loss"
          restore={() => onChange({ bowlLoss: query.bowlLoss })}
          unit="%"
          value={formatDecimal(query.bowlLoss, 1)}
          onType={take('bowlLossPercent', percent, FORMULA_LIMITS.lossPercent, (bowlLoss) =>
            onChange({ bowlLoss }),
          )}
        />
      </Ask>
    </section>
  );
}
