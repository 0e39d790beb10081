'use client';
import { useDeferredValue, useMemo, useState } from 'react';
import { ENTRY_LIMITS, estimateFromLabel, type BlendEntry, type Label } from '@/core/ingredients';
import { Z80 } from '@/core/numeric';
import { formatDecimal } from '@/core/units';
import { Dialog } from '@/ui/Dialog';
import { newUuid } from '@/ui/newUuid';
import { useBook, useNameOf } from '../book/BookProvider';
import { usePreferences } from '../preferences/PreferencesProvider';
import { NumberField } from '../quantities/NumberField';
import { wordProblem } from '../wording/problems';
import { KeepIt } from './KeepIt';
import { PartList, type ListedPart } from './PartList';
import { TextField } from './TextField';
import { useSaveEntry } from './useSaveEntry';

const PANEL: readonly (readonly [keyof Label['panel'], string])[] = [
  ['fat', 'Fat'],
  ['carbohydrate', 'Carbohydrate'],
  ['sugars', 'of which sugars'],
  ['fibre', 'Fibre'],
  ['protein', 'Protein'],
  ['salt', 'Salt'],
];
const EMPTY: Label['panel'] = {
  fat: null,
  carbohydrate: null,
  sugars: null,
  fibre: null,
  protein: null,
  salt: null,
};

const surely = (sureness: number): string =>
  sureness > 0.75 ? 'fairly sure' : sureness > 0.45 ? 'half sure' : 'mostly a guess';

/** A bought blend, from what is printed on it: the core works out what must be inside, and says how sure it is. */
export function LabelDialog({ onClose }: { onClose: (savedId?: string) => void }) {
  const book = useBook();
  const nameOf = useNameOf();
  const { preferences } = usePreferences();
  const { save, busy, trouble } = useSaveEntry();
  const [entryId] = useState(() => `own-${newUuid().slice(0, 18)}`);
  const [name, setName] = useState('');
  const [parts, setParts] = useState<readonly ListedPart[]>([]);
  const [panel, setPanel] = useState(EMPTY);
  // thousands of draws take a moment: the typing goes first
  const printed = useDeferredValue(useMemo(() => ({ parts, panel }), [panel, parts]));
  const estimate = useMemo(
    () =>
      printed.parts.length === 0
        ? null
        : estimateFromLabel(
            {
              ingredients: printed.parts.map(({ ingredientId, amount }) => ({
                ingredientId,
                percent: amount,
              })),
              panel: printed.panel,
            },
            book,
          ),
    [book, printed],
  );
  const keep = async () => {
    if (!estimate?.ok) return;
    const { shares, sureness, thirstCv } = estimate.value;
    const said = shares
      .map(
        ({ ingredientId, low, high }) =>
          `${nameOf(ingredientId).toLowerCase()} ${formatDecimal(low, 1)}–${formatDecimal(high, 1)} %`,
      )
      .join(', ');
    const entry: BlendEntry = {
      kind: 'blend',
      id: entryId,
      name: name.trim(),
      alsoCalled: [],
      source: `Estimated from its label, ${surely(sureness)}: ${said}.`.slice(0, ENTRY_LIMITS.sourceLength),
      role: 'flour',
      parts: shares.map(({ ingredientId, percent }) => ({
        ingredientId,
        massG: Math.max(0.001, percent * 10),
      })),
      densityGPerMl: null,
      thirstCv,
    };
    if (await save({ entry, seen: 0, away: false })) onClose(entryId);
  };
  return (
    <Dialog
      open
      wide
      onOpenChange={(open) => !open && onClose()}
      title="A bought blend, from its label"
      hint="The ingredients in the order of the label, gums and salt too, with the percentages it prints. Then the nutrition panel."
    >
      <TextField word="Name" hint="yours, not the maker’s, will do" value={name} onChange={setName} />
      <div className="grid gap-x-6 sm:grid-cols-[minmax(0,1fr)_14rem]">
        <PartList
          parts={parts}
          unit="%"
          max={100}
          amountWord="Percentage"
          emptyWord="not said"
          onChange={setParts}
        />
        <fieldset className="mt-3 border-b border-rule">
          <legend className="text-sm font-semibold">In 100 g, as printed</legend>
          {PANEL.map(([key, word]) => (
            <NumberField
              key={key}
              word={word}
              unit="g"
              optional
              value={panel[key]}
              bounds={ENTRY_LIMITS.gPer100g}
              onChange={(value) => setPanel((was) => ({ ...was, [key]: value }))}
            />
          ))}
        </fieldset>
      </div>
      {estimate && !estimate.ok && (
        <p role="alert" className="mt-3 text-sm text-alarm">
          {estimate.problem.code === 'rangeReversed'
            ? 'A label lists by falling weight: a percentage further down can’t be larger.'
            : wordProblem(estimate.problem, preferences)}
        </p>
      )}
      {estimate?.ok && (
        <section aria-label="What must be inside" className="mt-4" data-testid="estimate">
          <p className="font-semibold">
            What must be inside: <span className="figure">{surely(estimate.value.sureness)}</span>
          </p>
          {estimate.value.misfit > 2 && (
            <p role="status" className="text-sm text-alarm">
              List and panel do not agree. Is an ingredient missing, or the panel for the baked bread?
            </p>
          )}
          <ul className="mt-1">
            {estimate.value.shares.map(({ ingredientId, percent, low, high }, index) => (
              <li key={`${ingredientId} ${index}`} className="border-t border-rule py-1 text-sm">
                <span className="flex justify-between gap-3">
                  <span>{nameOf(ingredientId)}</span>
                  <span className="tabular-nums">
                    <strong>{formatDecimal(percent, percent < 10 ? 1 : 0)} %</strong>{' '}
                    <span className="text-soft">
                      {formatDecimal(low, 1)}–{formatDecimal(high, 1)}
                    </span>
                  </span>
                </span>
                <span aria-hidden className="relative mt-0.5 block h-1.5 rounded-full bg-well">
                  <span
                    className="absolute h-full rounded-full bg-ink/60"
                    style={{ left: `${low}%`, width: `${Math.max(0.6, high - low)}%` }}
                  />
                </span>
              </li>
            ))}
          </ul>
          {estimate.value.absorption && (
            <p className="mt-1 text-sm text-soft">
              It should drink {formatDecimal(estimate.value.absorption.gPerG.value, 2)} ±{' '}
              {formatDecimal(Z80 * estimate.value.absorption.gPerG.sd, 2)} g of water per g.
            </p>
          )}
        </section>
      )}
      <KeepIt
        trouble={trouble}
        busy={busy}
        missing={
          name.trim() === ''
            ? 'Give it a name.'
            : !estimate
              ? 'List what is in it.'
              : estimate.ok
                ? null
                : 'See above.'
        }
        onKeep={() => void keep()}
      />
    </Dialog>
  );
}
