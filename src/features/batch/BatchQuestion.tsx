'use client';
import { Ruler } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useId, useState } from 'react';
import { FACTOR_LIMITS } from '@/core/batch';
import { allLines, followsDough, FORMULA_LIMITS, type Formula } from '@/core/formula';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/Choice';
import { Segmented } from '@/ui/Segmented';
import { patiently } from '@/ui/patiently';
import { useBook, useNameOf } from '../book/BookProvider';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';
import { quantitiesComing } from '../quantities/readQuantity';
import { useQuantity } from '../quantities/useQuantity';
import { readWhole } from '../quantities/readWhole';
import { Ask, AskCell, AskLoss, readTimes } from './AskCell';
import { readCounts, writeCounts, type BatchQuery } from './useBatchQuery';
import { words } from '@/wording/screens/batch/BatchQuestion';
import { useStoredKit } from '../kit/KitProvider';
import { Term } from '../help/Term';

const VesselDialog = dynamic(
  patiently(() => import('./VesselDialog').then((module) => module.VesselDialog)),
  { ssr: false },
);

interface BatchQuestionProps {
  formula: Formula;
  query: BatchQuery;
  onChange: (part: Partial<BatchQuery>) => void;
}

/** How much is to be made: by pieces, as a multiple, or as much as one ingredient gives. */
export function BatchQuestion(props: BatchQuestionProps) {
  const { formula, query, onChange } = props;
  const id = useId();
  return (
    <section aria-labelledby={id} className="docket no-print rounded-b-md px-4 pt-4 pb-5">
      <h2 id={id} className="text-lg">
        {words.howMuch}
      </h2>
      <Segmented
        label={words.howTheBatchIsAsked}
        size="table"
        value={query.mode}
        onChange={(mode) => onChange({ mode })}
        options={[
          formula.ways ? { value: 'ways', label: words.breads } : { value: 'pieces', label: words.pieces },
          { value: 'factor', label: words.times },
          { value: 'fixed', label: words.whatIHave },
        ]}
        className="mt-2 flex w-full"
      />
      {query.mode === 'pieces' && <ByPieces {...props} />}
      {query.mode === 'ways' && <ByWays {...props} />}
      {query.mode === 'factor' && <ByFactor {...props} />}
      {query.mode === 'fixed' && <ByWhatIsThere {...props} />}
      <AskLoss
        word={<Term id="bowlLoss">{words.bowlLossAndWhatItIs}</Term>}
        label={words.bowlLoss}
        path="bowlLossPercent"
        value={query.bowlLoss}
        onChange={(bowlLoss) => onChange({ bowlLoss })}
      />
    </section>
  );
}

function PieceMass({ query, onChange }: BatchQuestionProps) {
  const units = useUnits();
  return (
    <AskCell
      word={query.mode === 'pieces' ? words.eachWeighing : words.inPiecesOf}
      label={words.weightOfAPiece}
      testId="piece-mass"
      unit={units.massUnit}
      path="pieceMassG"
      value={query.each}
      bounds={FORMULA_LIMITS.pieceMassG}
      read={units.parseMass}
      show={units.massCell}
      onChange={(each) => onChange({ each })}
    />
  );
}

function ByPieces(props: BatchQuestionProps) {
  const numbers = useNumbers();
  const { formula, query, onChange } = props;
  const [measuring, setMeasuring] = useState(false);
  return (
    <>
      <AskCell
        word={words.pieces}
        label={words.numberOfPieces}
        testId="pieces"
        inputMode="numeric"
        path="pieces"
        value={query.pieces}
        bounds={FORMULA_LIMITS.pieces}
        read={readWhole}
        show={(pieces) => numbers.decimal(pieces, 0)}
        onChange={(pieces) => onChange({ pieces })}
      />
      <PieceMass {...props} />
      <Segmented
        label={words.whenAPieceIsWeighed}
        value={query.weighed}
        onChange={(weighed) => onChange({ weighed })}
        options={[
          { value: 'dough', label: words.asDough },
          { value: 'baked', label: words.baked },
        ]}
        className="mt-2 flex w-full"
      />
      <AskLoss
        word={<Term id="bakeLoss">{words.bakeLossAndWhatItIs}</Term>}
        label={words.bakeLoss}
        path="bakeLossPercent"
        value={query.bakeLoss}
        onChange={(bakeLoss) => onChange({ bakeLoss })}
      />
      {query.weighed === 'dough' && (
        <Button className="mt-3" onClick={() => setMeasuring(true)}>
          <Ruler size={16} aria-hidden />
          {words.fromATinOrA}
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
    </>
  );
}

/** So many of each bread the dough parts into; the dough follows. */
function ByWays({ formula, query, onChange }: BatchQuestionProps) {
  const numbers = useNumbers();
  const units = useUnits();
  const counts = readCounts(query.counts);
  return (formula.ways ?? []).map((way) => (
    <AskCell
      key={way.id}
      word={words.ofEach(way.name, units.mass(way.amount.pieceMassG))}
      label={words.howManyOf(way.name)}
      testId={`count-${way.id}`}
      inputMode="numeric"
      path="pieces"
      value={counts.get(way.id) ?? 0}
      bounds={{ min: 0, max: FORMULA_LIMITS.pieces.max }}
      read={readWhole}
      show={(pieces) => numbers.decimal(pieces, 0)}
      onChange={(pieces) => onChange({ counts: writeCounts(new Map(counts).set(way.id, pieces)) })}
    />
  ));
}

function ByFactor(props: BatchQuestionProps) {
  const numbers = useNumbers();
  const { query, onChange } = props;
  return (
    <>
      <AskCell
        word={words.timesTheFormula}
        label={words.factor}
        testId="factor"
        unit="×"
        path="factor"
        value={query.factor}
        bounds={FACTOR_LIMITS}
        read={readTimes(numbers.parse)}
        show={(factor) => numbers.decimal(factor, 3)}
        onChange={(factor) => onChange({ factor })}
      />
      {!props.formula.ways && <PieceMass {...props} />}
    </>
  );
}

function ByWhatIsThere(props: BatchQuestionProps) {
  const { formula, query, onChange } = props;
  const nameOf = useNameOf();
  const book = useBook();
  const units = useUnits();
  const readMass = useQuantity(useStoredKit().kit.measures);
  // a bath follows its vessel, and no dough follows it
  const lines = allLines({ stages: formula.stages.filter(followsDough) });
  const fixedId = lines.find((line) => line.id === query.line)?.ingredientId ?? '';
  return (
    <>
      <Ask word={words.iWantToUseUp}>
        <Choice
          label={words.whichIngredientIsFixed}
          value={query.line}
          options={lines.map((line) => ({ value: line.id, label: nameOf(line.ingredientId) }))}
          onChange={(line) => onChange({ line })}
          className="min-h-12 w-full border-edge bg-surface px-2 text-lg"
        />
      </Ask>
      <AskCell
        word={words.ofWhichIHave}
        label={words.whatIHaveOfIt}
        testId="have"
        unit={units.massUnit}
        path="massG"
        value={query.have}
        bounds={FORMULA_LIMITS.lineMassG}
        read={(text) => readMass(text, book.get(fixedId) ?? null)}
        show={units.massCell}
        later={quantitiesComing}
        onChange={(have) => onChange({ have })}
      />
      {!formula.ways && <PieceMass {...props} />}
    </>
  );
}
