'use client';
import { Plus, X } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import {
  useFieldArray,
  useForm,
  type Control,
  type FieldErrors,
  type UseFormRegister,
} from 'react-hook-form';
import { EATER_LIMITS, EXCLUSIONS } from '@/core/eaters';
import type { KitchenDetails } from '@/core/kit';
import { Button, IconButton } from '@/ui/Button';
import { newUuid } from '@/ui/newUuid';
import { Reason } from '@/ui/Reason';
import { ask } from '../asking/ask';
import { useKitchen } from '../kitchen/KitchenProvider';
import { useZones } from '../kitchen/useZones';
import { ZoneOptions } from '../kitchen/ZoneOptions';
import { EXCLUSION_WORD } from '@/wording/eaters';
import { UnitSwitches } from '../shell/UnitSwitches';
import { KitCard } from './KitCard';
import { words } from '@/wording/screens/kit/DetailsCard';

const FIELD = 'mt-1 block min-h-10 w-full rounded-md border border-edge bg-surface px-3';

/** As the form holds it: a list of names needs a field for each. */
interface Typed extends Omit<KitchenDetails, 'people'> {
  people: { name: string }[];
}
const typedOf = ({ people, ...details }: KitchenDetails): Typed => ({
  ...details,
  people: people.map((name) => ({ name })),
});
const detailsOf = ({ people, eaters, ...details }: Typed): KitchenDetails => ({
  ...details,
  name: details.name.trim(),
  people: people.map(({ name }) => name.trim()),
  eaters: eaters.map((eater) => ({ ...eater, name: eater.name.trim() })),
});

const filled = (text: string) => text.trim() !== '' || words.giveItAName;

/** Who the kitchen is: its name and place, how it writes numbers and times, who bakes and who eats. Its address stays as it is. */
export function DetailsCard({ details }: { details: KitchenDetails }) {
  const router = useRouter();
  const kitchen = useKitchen();
  const { register, handleSubmit, reset, formState, control } = useForm<Typed>({
    defaultValues: typedOf(details),
  });
  const { errors, isDirty, isSubmitting } = formState;
  const [said, setSaid] = useState<string | null>(null);
  const [saved, setSaved] = useState(false);
  const zones = [...new Set([details.timeZone, ...useZones()])];
  const save = handleSubmit(async (typed) => {
    const next = detailsOf(typed);
    const answer = await ask(kitchen.api('/details'), next);
    setSaid(answer.kind === 'ok' ? null : words.thatWasNotSavedLook);
    if (answer.kind !== 'ok') return;
    reset(typedOf(next));
    setSaved(true);
    // the name stands on other pages, and times are told by the zone
    router.refresh();
  });
  return (
    <KitCard title={words.thisKitchen}>
      <form
        onSubmit={(event) => void save(event)}
        noValidate
        className="grid gap-3 border-t border-rule pt-3"
      >
        <label className="block text-sm font-semibold">
          {words.name}
          <input
            {...register('name', { validate: filled })}
            maxLength={80}
            autoComplete="off"
            className={FIELD}
          />
          <Reason>{errors.name?.message}</Reason>
        </label>
        <label className="block text-sm font-semibold">
          {words.timeZone}
          <select {...register('timeZone')} className={FIELD}>
            <ZoneOptions zones={zones} />
          </select>
        </label>
        <Ways register={register} />
        <fieldset className="flex flex-wrap items-center gap-2">
          <legend className="float-left mr-2 text-sm font-semibold">{words.unitsInThisBrowser}</legend>
          <UnitSwitches />
        </fieldset>
        <label className="block text-sm font-semibold">
          {words.aboutIt}
          <textarea
            {...register('about')}
            maxLength={1000}
            rows={2}
            className={`${FIELD} py-2 font-normal`}
          />
        </label>
        <People control={control} register={register} errors={errors} />
        <Eaters control={control} register={register} errors={errors} />
        <Save
          dirty={isDirty}
          saving={isSubmitting}
          said={saved && !isDirty ? words.saved : null}
          trouble={said}
        />
      </form>
    </KitCard>
  );
}

/** How it writes its numbers and times. */
function Ways({ register }: Pick<ListProps, 'register'>) {
  return (
    <div className="grid gap-3 sm:grid-cols-3">
      <label className="block text-sm font-semibold">
        {words.clock}
        <select {...register('clockFace')} className={FIELD}>
          <option value="24">18:30</option>
          <option value="12">{words.n630Pm}</option>
        </select>
      </label>
      <label className="block text-sm font-semibold">
        {words.numbers}
        <select {...register('decimalMark')} className={FIELD}>
          <option value="point">7.5</option>
          <option value="comma">7,5</option>
        </select>
      </label>
      <label className="block text-sm font-semibold">
        {words.theWeekBeginsOn}
        <select {...register('weekStart')} className={FIELD}>
          <option value="monday">{words.monday}</option>
          <option value="saturday">{words.saturday}</option>
          <option value="sunday">{words.sunday}</option>
        </select>
      </label>
    </div>
  );
}

interface SaveProps {
  dirty: boolean;
  saving: boolean;
  said: string | null;
  trouble: string | null;
}

/** The button, and beside it what became of the last press: a button that waits is no answer. */
function Save({ dirty, saving, said, trouble }: SaveProps) {
  return (
    <div className="flex flex-wrap items-center gap-3 pb-1">
      <Button type="submit" look="strong" disabled={!dirty || saving} className="min-h-10 px-4">
        {words.save}
      </Button>
      <p role="status" className="text-soft" data-testid="details-save">
        {saving ? words.saving : said}
      </p>
      <Reason>{trouble ?? undefined}</Reason>
    </div>
  );
}

interface ListProps {
  control: Control<Typed>;
  register: UseFormRegister<Typed>;
  errors: FieldErrors<Typed>;
}

function People({ control, register, errors }: ListProps) {
  const { fields, append, remove } = useFieldArray({ control, name: 'people' });
  return (
    <fieldset className="border-t border-rule pt-2">
      <legend className="float-left mb-1 w-full text-base font-semibold">{words.whoBakesHere}</legend>
      {fields.map((field, index) => (
        <div key={field.id} className="clear-both mt-1 flex items-center gap-2">
          <input
            {...register(`people.${index}.name`, { validate: filled })}
            aria-label={words.nameOfPerson(index + 1)}
            aria-invalid={errors.people?.[index] !== undefined}
            maxLength={EATER_LIMITS.nameLength}
            autoComplete="off"
            className={`${FIELD} aria-invalid:border-alarm`}
          />
          <IconButton label={words.removePerson(index + 1)} className="size-10" onClick={() => remove(index)}>
            <X size={16} aria-hidden />
          </IconButton>
        </div>
      ))}
      <Button
        look="quiet"
        className="clear-both mt-1 text-soft"
        disabled={fields.length >= EATER_LIMITS.people}
        onClick={() => append({ name: '' })}
      >
        <Plus size={16} aria-hidden />
        {words.addAPerson}
      </Button>
    </fieldset>
  );
}

function Eaters({ control, register, errors }: ListProps) {
  const { fields, append, remove } = useFieldArray({ control, name: 'eaters', keyName: 'key' });
  return (
    <fieldset className="border-t border-rule pt-2">
      <legend className="float-left mb-1 w-full text-base font-semibold">{words.whoEatsItAndWhat}</legend>
      <p className="clear-both text-sm text-soft">{words.aPersonOrAnOrder}</p>
      {fields.map((field, index) => (
        <div
          key={field.key}
          role="group"
          aria-label={field.name || words.eater(index + 1)}
          className="mt-2 rounded-md border border-rule p-2"
        >
          <div className="flex items-center gap-2">
            <input
              {...register(`eaters.${index}.name`, { validate: filled })}
              aria-label={words.nameOfEater(index + 1)}
              aria-invalid={errors.eaters?.[index]?.name !== undefined}
              maxLength={EATER_LIMITS.nameLength}
              autoComplete="off"
              className={`${FIELD} aria-invalid:border-alarm`}
            />
            <IconButton
              label={words.removeEater(index + 1)}
              className="size-10"
              onClick={() => remove(index)}
            >
              <X size={16} aria-hidden />
            </IconButton>
          </div>
          <div className="mt-2 flex flex-wrap gap-x-4">
            {EXCLUSIONS.map((exclusion) => (
              <label key={exclusion} className="flex min-h-8 items-center gap-2 text-sm">
                <input
                  {...register(`eaters.${index}.avoids`)}
                  type="checkbox"
                  value={exclusion}
                  className="size-5 accent-(--ink)"
                />
                {EXCLUSION_WORD[exclusion]}
              </label>
            ))}
          </div>
        </div>
      ))}
      <Button
        look="quiet"
        className="mt-1 text-soft"
        disabled={fields.length >= EATER_LIMITS.eaters}
        onClick={() => append({ id: newUuid().slice(0, 13), name: '', avoids: [] })}
      >
        <Plus size={16} aria-hidden />
        {words.addAnEaterOrAn}
      </Button>
    </fieldset>
  );
}
