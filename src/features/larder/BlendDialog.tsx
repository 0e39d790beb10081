'use client';
import { useState } from 'react';
import { ENTRY_LIMITS, layOver, libraryBook, type BlendEntry } from '@/core/ingredients';
import { formatDecimal } from '@/core/units';
import { Dialog } from '@/ui/Dialog';
import { newUuid } from '@/ui/newUuid';
import { Segmented } from '@/ui/Segmented';
import { useKeptIngredients } from '../book/BookProvider';
import { usePreferences } from '../preferences/PreferencesProvider';
import { NumberField } from '../quantities/NumberField';
import { wordProblem } from '../wording/problems';
import { KeepIt } from './KeepIt';
import { otherNames } from './otherNames';
import { PartList, type ListedPart } from './PartList';
import { TextField } from './TextField';
import { useSaveEntry } from './useSaveEntry';

const ROLES = [
  { value: 'flour', label: 'flours' },
  { value: 'starter', label: 'a starter' },
  { value: 'binder', label: 'a gel' },
  { value: 'scald', label: 'a scald' },
  { value: 'inclusion', label: 'seeds, bits' },
  { value: 'flavour', label: 'spices' },
] as const;

const sameParts = (was: BlendEntry, parts: readonly ListedPart[]): boolean =>
  was.parts.length === parts.length &&
  was.parts.every(
    ({ ingredientId, massG }, index) =>
      parts[index]?.ingredientId === ingredientId && parts[index]?.amount === massG,
  );

/** A mixture that is made once and used in several formulas: what goes in, by weight. Its figures follow from its parts. */
export function BlendDialog({ id, onClose }: { id: string | null; onClose: (savedId?: string) => void }) {
  const { kept } = useKeptIngredients();
  const { preferences } = usePreferences();
  const { save, busy, trouble } = useSaveEntry();
  const before = kept.find((each) => each.id === id);
  const was = before?.entry.kind === 'blend' ? before.entry : null;
  const [entryId] = useState(() => id ?? `own-${newUuid().slice(0, 18)}`);
  const [name, setName] = useState(was?.name ?? '');
  const [also, setAlso] = useState(was?.alsoCalled.join(', ') ?? '');
  const [role, setRole] = useState<BlendEntry['role']>(was?.role ?? 'flour');
  const [density, setDensity] = useState<number | null>(was?.densityGPerMl ?? null);
  const [note, setNote] = useState(was?.source ?? '');
  const [parts, setParts] = useState<readonly ListedPart[]>(
    () => was?.parts.map(({ ingredientId, massG }) => ({ ingredientId, amount: massG })) ?? [],
  );
  const wholeG = parts.reduce((sum, { amount }) => sum + (amount ?? 0), 0);
  const complete = parts.length > 0 && parts.every(({ amount }) => amount !== null) && name.trim() !== '';
  const entry: BlendEntry = {
    kind: 'blend',
    id: entryId,
    name: name.trim(),
    alsoCalled: otherNames(also),
    source: note,
    role,
    parts: parts.map(({ ingredientId, amount }) => ({ ingredientId, massG: amount ?? 0 })),
    densityGPerMl: density,
    // what a label left open stays open until somebody says better
    ...(was?.thirstCv !== undefined && sameParts(was, parts) && { thirstCv: was.thirstCv }),
  };
  const keep = async () => {
    if (await save({ entry, seen: before?.version ?? 0, away: false })) onClose(entryId);
  };
  const others = kept
    .filter((each) => each.id !== entryId && !(each.away && each.entry.kind === 'bag'))
    .map((each) => each.entry);
  const laid = complete ? layOver(libraryBook, [...others, entry]) : null;
  const made = laid?.ok ? laid.value.get(entryId) : null;
  return (
    <Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      title={id ? `Change ${was?.name ?? 'the blend'}` : 'A blend of mine'}
      hint="What goes into it, by weight. On a sheet it is taken apart again, to the last flour."
    >
      <TextField word="Name" value={name} onChange={setName} />
      <TextField word="Also called" hint="commas between" value={also} onChange={setAlso} />
      <p className="mt-3 text-sm font-semibold">It is</p>
      <Segmented label="What it is" value={role} onChange={setRole} options={ROLES} className="flex-wrap" />
      <PartList
        parts={parts}
        unit="g"
        max={100_000}
        amountWord="Weight"
        emptyWord="weight"
        onChange={setParts}
      />
      {made && (
        <p className="mt-2 text-sm text-soft">
          {formatDecimal(wholeG, 1)} g in all. In 100 g: {formatDecimal(made.per100g.water.value, 1)} water,{' '}
          {formatDecimal(made.per100g.starch.value, 1)} starch, {formatDecimal(made.per100g.protein.value, 1)}{' '}
          protein, {formatDecimal(made.per100g.fibre.value, 1)} fibre.
        </p>
      )}
      {laid && !laid.ok && (
        <p role="alert" className="mt-2 text-sm text-alarm">
          {wordProblem(laid.problem, preferences)}
        </p>
      )}
      <NumberField
        word="A millilitre of it weighs, if you measured it"
        unit="g"
        optional
        value={density}
        bounds={ENTRY_LIMITS.densityGPerMl}
        onChange={setDensity}
      />
      <TextField word="Note" value={note} maxLength={ENTRY_LIMITS.sourceLength} onChange={setNote} />
      <KeepIt
        trouble={trouble}
        busy={busy}
        missing={
          name.trim() === ''
            ? 'Give it a name.'
            : !complete
              ? 'Say how much of each goes in.'
              : laid?.ok
                ? null
                : 'See above.'
        }
        onKeep={() => void keep()}
      />
    </Dialog>
  );
}
