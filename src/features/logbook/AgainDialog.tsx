'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import { withDeviations, type BakeRecord, type Deviation } from '@/core/bake';
import { formulaTotals, type Formula } from '@/core/formula';
import { Button, buttonClass } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { ask } from '../asking/ask';
import { useBook, useNameOf } from '../book/BookProvider';
import { KitchenLink, useKitchen, useMay } from '../kitchen/KitchenProvider';
import { useNumbers, useUnits } from '../preferences/PreferencesProvider';
import { words } from '@/wording/screens/logbook/AgainDialog';
import { batchAgain } from '../again/batchAgain';
import { useNextVersion } from '../again/useNextVersion';

interface AgainDialogProps {
  readonly bake: BakeRecord;
  readonly deviations: readonly Deviation[];
  readonly onClose: () => void;
}

interface Baked {
  readonly formula: Formula;
  readonly head: number;
}

/** Again: as the formula says, or as it was really done, which becomes its next version. */
export function AgainDialog({ bake, deviations, onClose }: AgainDialogProps) {
  const kitchen = useKitchen();
  const may = useMay();
  const [baked, setBaked] = useState<Baked | 'away' | null>(null);
  useEffect(() => {
    let gone = false;
    void ask<Baked>(kitchen.api(`/bakes/${bake.id}/formula`)).then(
      (answer) => !gone && setBaked(answer.kind === 'ok' ? answer.value : 'away'),
    );
    return () => {
      gone = true;
    };
  }, [bake.id, kitchen]);
  return (
    <Dialog wide onClose={onClose} title={words.again} hint={words.itWasNotAsWritten}>
      {may === 'all' &&
        (baked === 'away' ? (
          <p role="alert" className="text-alarm">
            {words.cannotAsk}
          </p>
        ) : (
          baked && <AsDone bake={bake} baked={baked} deviations={deviations} />
        ))}
      <section className="mt-5 border-t border-rule pt-4">
        <h3 className="text-lg">{words.asWritten}</h3>
        <p className="text-sm text-soft">{words.withoutAll}</p>
        <div className="mt-2 flex flex-wrap gap-3">
          <KitchenLink href={batchAgain(bake)} className={buttonClass('plain', 'table', 'min-h-10')}>
            {words.bakeAsWritten}
          </KitchenLink>
          <KitchenLink
            href={`/formulas/${bake.formulaId}`}
            className={buttonClass('quiet', 'table', 'min-h-10')}
          >
            {words.changeItYourself}
          </KitchenLink>
        </div>
      </section>
    </Dialog>
  );
}

function AsDone({ bake, baked, deviations }: Omit<AgainDialogProps, 'onClose'> & { baked: Baked }) {
  const router = useRouter();
  const kitchen = useKitchen();
  const book = useBook();
  const numbers = useNumbers();
  const { saving, save: saveNext } = useNextVersion(words);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(
    () => new Set(deviations.flatMap(({ id, meant }) => (meant ? [id] : []))),
  );
  const formula = useMemo(() => {
    return withDeviations(
      baked.formula,
      bake.sheet,
      deviations.filter((each) => chosen.has(each.id)),
      ({ id }) => `${id}-${bake.id.slice(0, 8)}`,
    );
  }, [baked.formula, bake, chosen, deviations]);
  const [before, after] = [formulaTotals(baked.formula, book), formulaTotals(formula, book)];
  const save = async () => {
    const wish = [...chosen].sort().join(' ');
    const next = { formulaId: bake.formulaId, head: baked.head, formula, wish };
    if ((await saveNext(next)) !== null) router.push(kitchen.page(batchAgain(bake)));
  };
  return (
    <section>
      <h3 className="text-lg">{words.asDone}</h3>
      <p className="text-sm text-soft">
        {baked.head === bake.revision
          ? words.becomes(baked.head + 1)
          : words.formulaWentOn(bake.revision, baked.head, baked.head + 1)}
      </p>
      <ul className="mt-2">
        {deviations.map((deviation) => (
          <li key={deviation.id} className="border-t border-rule">
            <label className="flex min-h-11 cursor-pointer items-center gap-3">
              <input
                type="checkbox"
                className="size-5 accent-ink"
                checked={chosen.has(deviation.id)}
                onChange={(event) => {
                  const next = new Set(chosen);
                  if (event.target.checked) next.add(deviation.id);
                  else next.delete(deviation.id);
                  setChosen(next);
                }}
              />
              <Said deviation={deviation} />
            </label>
          </li>
        ))}
      </ul>
      <p className="mt-3 border-t-2 border-ink pt-2" role="status">
        {words.hydration} <span className="figure text-2xl">{numbers.percent(after.hydrationAll, 1)}</span>{' '}
        <span className="text-soft">{words.insteadOf(numbers.percent(before.hydrationAll, 1))}</span>
      </p>
      {typeof saving === 'object' && (
        <p role="alert" className="mt-2 text-alarm">
          {saving.reason}
        </p>
      )}
      <Button
        look="now"
        size="bench"
        className="mt-3 w-full"
        disabled={saving === 'saving' || chosen.size === 0}
        onClick={() => void save()}
      >
        {saving === 'saving' ? words.saving : words.makeItMine}
      </Button>
    </section>
  );
}

function Said({ deviation }: { deviation: Deviation }) {
  const nameOf = useNameOf();
  const units = useUnits();
  const name = nameOf(deviation.ingredientId);
  switch (deviation.kind) {
    case 'amount':
      return (
        <span>
          <strong>{name}</strong>{' '}
          {words.insteadOfG(units.mass(deviation.actualG), units.mass(deviation.plannedG))}
          {!deviation.meant && <span className="text-soft"> {words.chance}</span>}
        </span>
      );
    case 'leftOut':
      return (
        <span>
          <strong>{name}</strong> {words.leftOut}
        </span>
      );
    case 'heldBackIn':
      return (
        <span>
          <strong>{name}</strong> {words.heldBackIn(units.mass(deviation.actualG))}
        </span>
      );
    case 'added':
      return (
        <span>
          <strong>{name}</strong> {words.added(units.mass(deviation.actualG))}
          {deviation.note && <span className="text-soft"> {deviation.note}</span>}
        </span>
      );
  }
}
