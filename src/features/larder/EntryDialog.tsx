'use client';
import { useState } from 'react';
import {
  ALLERGENS, ENTRY_LIMITS, FAMILIES, GLUTEN_RISKS, libraryBook, PARTS, ROLES, type BagEntry, type Ingredient, type KitchenEntry,
} from '@/core/ingredients'; // prettier-ignore
import { Z80 } from '@/core/numeric';
import { formatDecimal } from '@/core/units';
import { Choice } from '@/ui/Choice';
import { cx } from '@/ui/cx';
import { Dialog } from '@/ui/Dialog';
import { newUuid } from '@/ui/newUuid';
import { useBook, useKeptIngredients } from '../book/BookProvider';
import { NumberField } from '../quantities/NumberField';
import { ALLERGEN_WORD, GLUTEN_WORD } from '../wording/cautions';
import { FAMILY_WORD, ROLE_WORD } from '../wording/words';
import { PART_WORD } from './figures';
import { KeepIt } from './KeepIt';
import { otherNames } from './otherNames';
import { TextField } from './TextField';
import { useSaveEntry } from './useSaveEntry';

interface EntryDialogProps {
  /** The ingredient to start from; null: a new one, started from white rice flour. */
  id: string | null;
  /** The bag at hand of something the library knows, rather than an ingredient of its own. */
  bag: boolean;
  onClose: (savedId?: string) => void;
}

const L = ENTRY_LIMITS;
const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

const figuresAlone = ({ madeOf: _madeOf, ...figures }: Ingredient) => figures;

/** Only what differs from the library is a fact about the bag; the rest goes on following the library. */
function changesOf(library: Ingredient, now: Ingredient): BagEntry['changes'] {
  const keys = [
    'per100g', 'saltPer100g', 'densitySpooned', 'densityScooped', 'absorption', 'gelatinisationC', 'usualShare', 'mostShare',
    'allergens', 'gluten', 'smokePointC',
  ] as const; // prettier-ignore
  return Object.fromEntries(
    keys.filter((key) => !same(library[key], now[key])).map((key) => [key, now[key]]),
  );
}

/** Every figure of an ingredient, to be stated for one's own or for the bag at hand. */
export function EntryDialog({ id, bag, onClose }: EntryDialogProps) {
  const book = useBook();
  const { kept } = useKeptIngredients();
  const { save, busy, trouble } = useSaveEntry();
  const before = kept.find((each) => each.id === id);
  const [now, setNow] = useState<Ingredient>(() => {
    const start = book.get(id ?? 'white-rice-flour') ?? libraryBook.get('white-rice-flour');
    if (!start) throw new Error('The library has white rice flour');
    return id === null
      ? { ...start, id: `own-${newUuid().slice(0, 18)}`, name: '', alsoCalled: [], madeOf: null, source: '' }
      : start;
  });
  const [bagName, setBagName] = useState(before?.entry.kind === 'bag' ? before.entry.bag : '');
  const [note, setNote] = useState(before?.entry.source ?? '');
  // as it is typed: a list made of it at each key would swallow the comma
  const [also, setAlso] = useState(now.alsoCalled.join(', '));
  const put = (part: Partial<Ingredient>) => setNow((was) => ({ ...was, ...part }));
  const sum = PARTS.reduce((total, part) => total + now.per100g[part].value, 0);
  const sumOff = sum < 98 || sum > 102;
  const nameless = (bag ? bagName : now.name).trim() === '';

  const keep = async () => {
    const library = libraryBook.get(now.id);
    const entry: KitchenEntry =
      bag && library
        ? { kind: 'bag', id: now.id, bag: bagName.trim(), source: note, changes: changesOf(library, now) }
        : {
            kind: 'own',
            ...figuresAlone(now),
            name: now.name.trim(),
            alsoCalled: otherNames(also),
            roles: [...now.roles],
            allergens: [...now.allergens],
            source: note,
          };
    if (await save({ entry, seen: before?.version ?? 0, away: false })) onClose(now.id);
  };
  const absorption = now.absorption;
  return (
    <Dialog
      open
      wide
      onOpenChange={(open) => !open && onClose()}
      title={
        bag
          ? `The bag of ${now.name.toLowerCase()} I hold`
          : id
            ? `Change ${now.name}`
            : 'An ingredient of mine'
      }
      hint={
        bag
          ? 'State what you know better than the library: from the label, or from your own dough. The rest stays as it is.'
          : 'From the label or the mill’s data sheet. What you don’t know may stay as it stands.'
      }
    >
      {bag ? (
        <TextField word="Which bag" hint="mill, lot, opened when" value={bagName} onChange={setBagName} />
      ) : (
        <>
          <TextField word="Name" value={now.name} onChange={(name) => put({ name })} />
          <TextField word="Also called" hint="commas between" value={also} onChange={setAlso} />
          <div className="mt-2 flex flex-wrap gap-2 text-sm">
            <Choice
              label="Family"
              value={now.family}
              options={FAMILIES.map((family) => ({ value: family, label: FAMILY_WORD[family] }))}
              onChange={(family) => put({ family })}
              className="border-edge bg-sheet"
            />
            <Choice
              label="What it is in the dough"
              value={now.roles[0]}
              options={ROLES.map((role) => ({ value: role, label: ROLE_WORD[role] }))}
              onChange={(role) => put({ roles: [role] })}
              className="border-edge bg-sheet"
            />
          </div>
        </>
      )}
      <div className="mt-4 grid gap-x-6 gap-y-4 sm:grid-cols-2">
        <fieldset className="border-b border-rule">
          <legend className="font-semibold">In the dough</legend>
          <NumberField
            word="Drinks, g of water per g"
            unit="g/g"
            optional
            value={absorption?.gPerG.value ?? null}
            bounds={L.absorptionGPerG}
            onChange={(value) =>
              put({
                absorption:
                  value === null
                    ? null
                    : {
                        gPerG: { value, sd: absorption?.gPerG.sd ?? 0.08 * value },
                        tauMin: absorption?.tauMin ?? 12,
                      },
              })
            }
          />
          {absorption && (
            <>
              <NumberField
                word="give or take (four bags of five)"
                unit="g/g"
                value={absorption.gPerG.sd * Z80}
                bounds={L.absorptionGPerG}
                onChange={(value) =>
                  put({
                    absorption: { ...absorption, gPerG: { ...absorption.gPerG, sd: (value ?? 0) / Z80 } },
                  })
                }
              />
              <NumberField
                word="Four fifths of it in"
                unit="min"
                places={0}
                value={absorption.tauMin * Math.log(5)}
                bounds={{ min: 1, max: 380 }}
                onChange={(value) =>
                  put({ absorption: { ...absorption, tauMin: (value ?? 20) / Math.log(5) } })
                }
              />
            </>
          )}
          <NumberField
            word="A millilitre, spooned"
            unit="g"
            value={now.densitySpooned}
            bounds={L.densityGPerMl}
            onChange={(value) => put({ densitySpooned: value ?? 1 })}
          />
          <NumberField
            word="A millilitre, scooped"
            unit="g"
            value={now.densityScooped}
            bounds={L.densityGPerMl}
            onChange={(value) => put({ densityScooped: value ?? 1 })}
          />
          <NumberField
            word="At most, of the flours"
            unit="%"
            optional
            value={now.mostShare}
            bounds={L.sharePercent}
            onChange={(mostShare) => put({ mostShare })}
          />
        </fieldset>
        <fieldset className="border-b border-rule">
          <legend className="font-semibold">
            In 100 g{' '}
            <span className={cx('text-sm font-normal', sumOff ? 'text-alarm' : 'text-soft')}>
              together {formatDecimal(sum, 1)} g{sumOff && ': must be 98 to 102'}
            </span>
          </legend>
          {PARTS.map((part) => (
            <NumberField
              key={part}
              word={PART_WORD[part]}
              unit="g"
              places={1}
              value={now.per100g[part].value}
              bounds={L.gPer100g}
              onChange={(value) =>
                put({
                  per100g: {
                    ...now.per100g,
                    [part]: { value: value ?? 0, sd: value === null ? 0 : Math.min(0.05 * value, value) },
                  },
                })
              }
            />
          ))}
          <NumberField
            word="Salt, of the ash"
            unit="g"
            value={now.saltPer100g}
            bounds={L.gPer100g}
            onChange={(value) => put({ saltPer100g: value ?? 0 })}
          />
        </fieldset>
      </div>
      <fieldset className="mt-4">
        <legend className="font-semibold">Who must not eat it</legend>
        <Choice
          label="Gluten"
          value={now.gluten}
          options={GLUTEN_RISKS.map((risk) => ({ value: risk, label: GLUTEN_WORD[risk] }))}
          onChange={(gluten) => put({ gluten })}
          className="mt-1 border-edge bg-sheet"
        />
        <div className="mt-1 flex flex-wrap gap-x-4">
          {ALLERGENS.map((allergen) => (
            <label key={allergen} className="flex min-h-8 items-center gap-1.5 text-sm">
              <input
                type="checkbox"
                className="size-5 accent-ink"
                checked={now.allergens.includes(allergen)}
                // what the library knows of a thing no bag takes away
                disabled={bag && (libraryBook.get(now.id)?.allergens.includes(allergen) ?? false)}
                onChange={(event) =>
                  put({
                    allergens: event.currentTarget.checked
                      ? [...now.allergens, allergen]
                      : now.allergens.filter((each) => each !== allergen),
                  })
                }
              />
              {ALLERGEN_WORD[allergen]}
            </label>
          ))}
        </div>
      </fieldset>
      <TextField
        word="Where the figures come from"
        hint="label, data sheet, my dough"
        value={note}
        maxLength={L.sourceLength}
        onChange={setNote}
      />
      <KeepIt
        trouble={trouble}
        busy={busy}
        missing={
          nameless
            ? bag
              ? 'Say which bag it is.'
              : 'Give it a name.'
            : sumOff
              ? 'The parts must add up.'
              : null
        }
        onKeep={() => void keep()}
      />
    </Dialog>
  );
}
